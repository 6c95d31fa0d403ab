import { Box, chakra } from "@chakra-ui/react";
import { useEffect, useRef } from "react";
import type { Schemas } from "../../api/client";
import { Said } from "../../ui/Said";
import { inPhases, phaseWords } from "./phases";
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
  const chosen = useRef<HTMLLIElement>(null);
  useEffect(() => {
    if (follow) {
      chosen.current?.scrollIntoView({ block: "nearest" });
    }
  }, [at, follow]);
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
            {part.steps.map((s) => {
              const now = s.number === at;
              return (
                <chakra.li key={s.id} ref={now ? chosen : undefined}>
                  <chakra.button
                    type="button"
                    onClick={() => go(s.number)}
                    aria-current={now ? "step" : undefined}
                    display="grid"
                    gridTemplateColumns="1.9rem minmax(0, 1fr)"
                    width="100%"
                    textAlign="start"
                    alignItems="baseline"
                    px="3"
                    py="1"
                    minH="8"
                    font="inherit"
                    fontWeight={now ? 700 : 400}
                    cursor="pointer"
                    color="ink"
                    bg={now ? "clay.1" : "transparent"}
                    borderLeftWidth="4px"
                    borderLeftStyle="solid"
                    borderLeftColor={now ? "copper" : "transparent"}
                    _hover={{ bg: "clay.1" }}
                    css={{ "@media (pointer: coarse)": { minHeight: "44px" } }}
                  >
                    <chakra.span color="muted" fontWeight="400">
                      {s.number}
                    </chakra.span>
                    <span>
                      <Said text={s.says} />
                      <Note step={s} />
                    </span>
                  </chakra.button>
                </chakra.li>
              );
            })}
          </Box>
        </Box>
      ))}
    </>
  );
}

function Note({ step }: { step: Schemas["SheetStepDocument"] }) {
  const [text, colour] =
    step.breaks.length > 0
      ? [`breaks rule ${step.breaks.map((b) => b.number).join(" and ")}`, "brick"]
      : step.dips
        ? ["internet away", "ochre"]
        : step.undo?.can === false
          ? ["no way back", "ochre"]
          : step.rest
            ? ["rest point", "moss"]
            : ["", ""];
  return text === "" ? null : (
    <chakra.span color={colour} fontWeight="700" whiteSpace="nowrap">
      {" "}
      · {text}
    </chakra.span>
  );
}
