import { Box, chakra } from "@chakra-ui/react";
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import type { Schemas } from "../../api/client";
import { Fold } from "../../ui/Fold";
import { counted } from "../../ui/words";
import { Asked } from "../shared/Asked";
import type { Ask } from "./ask";
import { BriefSteps } from "./BriefSteps";
import { about } from "./time";
import { Verdict } from "./Verdict";

interface Props {
  job: number;
  at: number;
  ask: Ask<Schemas["BranchDocument"][]>;
}

/** How the evening goes on where this step comes out otherwise than was taken to be so; worked out when it is looked at. */
export function Otherwise({ job, at, ask }: Props) {
  const [openAt, setOpenAt] = useState<number | null>(null);
  return (
    <Fold key={at} title="If it comes out otherwise" onToggle={(e) => setOpenAt((e.target as HTMLDetailsElement).open ? at : null)}>
      {openAt === at && <Branches job={job} ask={ask} />}
    </Fold>
  );
}

function Branches({ job, ask }: Pick<Props, "job" | "ask">) {
  const branches = useQuery(ask);
  return (
    <Asked of={branches} what="How it goes on">
      {(all) =>
        all.map((b) => (
          <Box key={b.if} mt="2" bg="card" borderWidth="1px" borderStyle="solid" borderColor="line" rounded="lg" p="3">
            <chakra.h3 fontSize="sm" fontWeight="700">
              If {b.if}: {counted(b.steps.length, "step")} from here, about {about(b.takes.usual)}
            </chakra.h3>
            <Verdict of={b.verdict} />
            <BriefSteps job={job} steps={b.steps} />
          </Box>
        ))
      }
    </Asked>
  );
}
