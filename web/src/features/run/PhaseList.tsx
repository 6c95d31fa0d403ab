import { Box, chakra } from "@chakra-ui/react";
import type { Schemas } from "../../api/client";
import { inPhases, phaseWords } from "./phases";
import { StepRow } from "./StepRow";
import { about } from "./time";

interface Props {
  steps: readonly Schemas["SheetStepDocument"][];
  at: number;
  go: (step: number) => void;
  /** Whether the list scrolls to the chosen step: only where it stands beside it. */
  follow: boolean;
}

/** Every step by its part of the evening, with what has to be known of it at a glance; one is chosen. */
export function PhaseList({ steps, at, go, follow }: Props) {
  return (
    <>
      {inPhases(steps).map((part) => (
        <Box as="section" key={part.steps[0]?.id} aria-label={phaseWords[part.phase]}>
          <chakra.h2 fontSize="sm" fontWeight="700" px="3" pt="2" pb="0.5" display="flex" justifyContent="space-between" gap="2">
            <span>{phaseWords[part.phase]}</span>
            <chakra.span color="muted" fontWeight="400">
              {about(part.steps.reduce((sum, s) => sum + s.takes.usual, 0))}
            </chakra.span>
          </chakra.h2>
          <Box as="ol" listStyleType="none" fontSize="sm">
            {part.steps.map((s) => (
              <StepRow
                key={s.id}
                number={s.number}
                says={s.says}
                now={s.number === at}
                choose={() => go(s.number)}
                follow={follow}
                note={noteOf(s)}
              />
            ))}
          </Box>
        </Box>
      ))}
    </>
  );
}

function noteOf(step: Schemas["SheetStepDocument"]) {
  return step.breaks.length > 0
    ? { text: `breaks rule ${step.breaks.map((b) => b.number).join(" and ")}`, colour: "brick" }
    : step.dips
      ? { text: "internet away", colour: "ochre" }
      : step.undo?.can === false
        ? { text: "no way back", colour: "ochre" }
        : step.rest
          ? { text: "rest point", colour: "moss" }
          : null;
}
