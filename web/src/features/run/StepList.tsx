import { Box } from "@chakra-ui/react";
import type { Schemas } from "../../api/client";
import { Mono } from "../../ui/controls";
import { StepRow } from "./StepRow";
import { clock } from "./time";

interface Props {
  steps: readonly Schemas["PlayedStepDocument"][];
  at: number;
  go: (step: number) => void;
  /** Whether the list scrolls to the chosen step: only where it stands beside it. */
  follow: boolean;
}

/** Every step with the time at which it begins and what is wrong with it; one is chosen. */
export function StepList({ steps, at, go, follow }: Props) {
  return (
    <Box as="ol" listStyleType="none" fontSize="sm">
      {steps.map((s) => {
        const note = s.refused
          ? { text: "cannot be done", colour: "brick" }
          : s.breaks.length > 0
            ? { text: `breaks rule ${s.breaks.map((b) => b.number).join(" and ")}`, colour: "brick" }
            : s.otherwise.length > 0
              ? { text: "look which it is", colour: "ochre" }
              : null;
        return (
          <StepRow
            key={s.number}
            number={s.number}
            says={s.says}
            now={s.number === at}
            choose={() => go(s.number)}
            follow={follow}
            lead={
              <Mono fontSize="xs" color="muted" fontWeight="400">
                {clock(s.beginsAt)}
              </Mono>
            }
            note={note}
          />
        );
      })}
    </Box>
  );
}
