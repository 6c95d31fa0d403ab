import { Box, chakra } from "@chakra-ui/react";
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import type { Schemas } from "../../api/client";
import { Fold } from "../../ui/Fold";
import { Said } from "../../ui/Said";
import { Asked } from "../shared/Asked";
import type { Ask } from "./ask";

interface Props {
  ask: Ask<Schemas["WhatIfNotDocument"][]>;
  at: number;
}

/** What may have gone wrong where a step does not show what it should; worked out when it is looked at. */
export function IfNot({ ask, at }: Props) {
  const [openAt, setOpenAt] = useState<number | null>(null);
  return (
    <Fold key={at} title="If you see something else" onToggle={(e) => setOpenAt((e.target as HTMLDetailsElement).open ? at : null)}>
      {openAt === at && <Groups ask={ask} />}
    </Fold>
  );
}

function Groups({ ask }: Pick<Props, "ask">) {
  const groups = useQuery(ask);
  return (
    <Asked of={groups} what="What may have gone wrong">
      {(all) =>
        all.length === 0 ? (
          <Box color="muted">Nothing that is known goes wrong at this step.</Box>
        ) : (
          <Box display="grid" gap="3" mt="1">
            {all.map((group, i) => (
              <Group key={i} group={group} />
            ))}
          </Box>
        )
      }
    </Asked>
  );
}

function Group({ group: { shows, slips, unseen, tests } }: { group: Schemas["WhatIfNotDocument"] }) {
  return (
    <Box bg="card" borderWidth="1px" borderStyle="solid" borderColor="line" rounded="lg" p="3">
      {shows.length > 0 ? (
        <Box as="ul" aria-label="Seen instead" listStyleType="none" m="0" p="0">
          {shows.map((line) => (
            <li key={line.key}>
              <chakra.span color="muted">
                <Said text={line.what} />:
              </chakra.span>{" "}
              <chakra.span fontWeight="600">
                <Said text={line.says} />
              </chakra.span>
            </li>
          ))}
        </Box>
      ) : (
        <Box color="muted">{unseen}</Box>
      )}
      {tests !== null && <Box mt="1">{tests}</Box>}
      <Box as="ul" aria-label="What it may be" mt="2" pl="5" css={{ "& > li + li": { marginTop: "0.25rem" } }}>
        {slips.map((slip) => (
          <li key={slip.says}>
            <Said text={slip.says} /> <Said text={slip.wayOut} />
          </li>
        ))}
      </Box>
    </Box>
  );
}
