import { Box, chakra } from "@chakra-ui/react";
import { useEffect, useRef } from "react";
import type { Schemas } from "../../api/client";
import { Mono } from "../../ui/controls";
import { Said } from "../../ui/Said";
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
  const chosen = useRef<HTMLLIElement>(null);
  useEffect(() => {
    if (follow) {
      chosen.current?.scrollIntoView({ block: "nearest" });
    }
  }, [at, follow]);
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
          <chakra.li key={s.number} ref={s.number === at ? chosen : undefined}>
            <chakra.button
              type="button"
              onClick={() => go(s.number)}
              aria-current={s.number === at ? "step" : undefined}
              display="grid"
              gridTemplateColumns="3.2rem 1.9rem minmax(0, 1fr)"
              width="100%"
              textAlign="start"
              alignItems="baseline"
              px="3"
              py="1"
              minH="8"
              font="inherit"
              fontWeight={s.number === at ? 700 : 400}
              cursor="pointer"
              color="ink"
              bg={s.number === at ? "clay.1" : "transparent"}
              borderLeftWidth="4px"
              borderLeftStyle="solid"
              borderLeftColor={s.number === at ? "copper" : "transparent"}
              _hover={{ bg: "clay.1" }}
              css={{ "@media (pointer: coarse)": { minHeight: "44px" } }}
            >
              <Mono fontSize="xs" color="muted" fontWeight="400">
                {clock(s.beginsAt)}
              </Mono>
              <chakra.span color="muted" fontWeight="400">
                {s.number}
              </chakra.span>
              <span>
                <Said text={s.says} />
                {note && (
                  <chakra.span color={note.colour} fontWeight="700">
                    {" "}
                    · {note.text}
                  </chakra.span>
                )}
              </span>
            </chakra.button>
          </chakra.li>
        );
      })}
    </Box>
  );
}
