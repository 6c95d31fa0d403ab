import { Box, chakra } from "@chakra-ui/react";
import type { Schemas } from "../../api/client";
import { Said } from "../../ui/Said";
import { about } from "./time";
import { TypedLines } from "./TypedLines";

/** The steps of a sheet that is told beside another, each with how long it takes and what is typed. */
export function BriefSteps({ job, steps }: { job: number; steps: readonly Schemas["BriefStep"][] }) {
  return (
    <Box as="ol" pl="6" mt="1" listStyleType="decimal">
      {steps.map((s, i) => (
        <li key={i}>
          <Said text={s.says} /> <chakra.span color="muted">({about(s.seconds)})</chakra.span>
          {s.lines.length > 0 && <TypedLines job={job} lines={s.lines} />}
        </li>
      ))}
    </Box>
  );
}
