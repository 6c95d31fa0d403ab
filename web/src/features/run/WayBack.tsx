import { Box, chakra } from "@chakra-ui/react";
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import type { Schemas } from "../../api/client";
import { Fold } from "../../ui/Fold";
import { Said } from "../../ui/Said";
import { counted } from "../../ui/words";
import { Asked } from "../shared/Asked";
import type { Ask } from "./ask";
import { BriefSteps } from "./BriefSteps";
import { about } from "./time";
import { TypedLines } from "./TypedLines";

interface Props {
  job: number;
  at: number;
  /** The set-up to which it leads. */
  from: string;
  /** How this step alone is undone; none before the first. */
  undo: Schemas["StepUndo"] | null | undefined;
  ask: Ask<Schemas["WayBackDocument"]>;
}

/** How this step is undone, and from here all of the way back to how the home was found; worked out when it is looked at. */
export function WayBack({ job, at, from, undo, ask }: Props) {
  const [openAt, setOpenAt] = useState<number | null>(null);
  return (
    <Fold
      key={at}
      title={undo?.can === false ? "Way back: this step has none" : "Way back"}
      onToggle={(e) => setOpenAt((e.target as HTMLDetailsElement).open ? at : null)}
    >
      {undo && (
        <Box mt="1">
          <b>This step:</b> <Said text={undo.says} />
          {undo.lines.length > 0 && <TypedLines job={job} lines={undo.lines} />}
        </Box>
      )}
      {openAt === at && <Card job={job} from={from} ask={ask} />}
    </Fold>
  );
}

function Card({ job, from, ask }: Pick<Props, "job" | "from" | "ask">) {
  const back = useQuery(ask);
  return (
    <Asked of={back} what="The way back">
      {(b) => (
        <Box mt="2" bg="card" borderWidth="1px" borderStyle="solid" borderColor="line" rounded="lg" p="3">
          <chakra.h3 fontSize="sm" fontWeight="700">
            From here back to {from}: {counted(b.steps.length, "step")}, about {about(b.takes.usual)}
          </chakra.h3>
          <Box color={b.long ? "brick" : "muted"}>
            Hands at the main box: {about(b.atMainBox)}
            {b.long ? ", more than 5 min: say so before the window opens." : "."}
          </Box>
          {b.beginBefore !== null && (
            <Box mt="1">
              Begin this step no later than <b>{about(b.beginBefore)}</b> before the evening or the provider&rsquo;s hotline ends: so long
              can it take, and the way back from it.
            </Box>
          )}
          <BriefSteps job={job} steps={b.steps} />
          {[...b.missing, ...b.differs, ...b.unsafe].map((m) => (
            <Box key={m} mt="1" color="brick">
              <Said text={m} />
            </Box>
          ))}
          {b.missing.length + b.differs.length === 0 && (
            <Box mt="1" color="moss" fontWeight="600">
              Every device then has what it had.
            </Box>
          )}
        </Box>
      )}
    </Asked>
  );
}
