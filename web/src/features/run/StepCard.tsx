import { Box, chakra, Flex } from "@chakra-ui/react";
import { ChevronLeft, ChevronRight } from "lucide-react";
import type { Schemas } from "../../api/client";
import { Button } from "../../ui/controls";
import { Said } from "../../ui/Said";
import { lasting } from "./time";
import { TypedLines } from "./TypedLines";

interface Props {
  job: number;
  /** The step; none before the first. */
  step: Schemas["PlayedStepDocument"] | undefined;
  at: number;
  last: number;
  go: (step: number) => void;
  /** The set-up that it begins with. */
  from: string;
  name: (id: string) => string;
}

/** What is done in one step, large enough to be read from where the box stands. */
export function StepCard({ job, step, at, last, go, from, name }: Props) {
  return (
    <Box as="section" aria-label="This step" aria-live="polite">
      <Flex gap="3" align="center" justify="space-between" wrap="wrap">
        <Box color="muted">{at === 0 ? "Before the first step" : `Step ${at} of ${last}`}</Box>
        <Flex gap="2">
          <Button minH="11" disabled={at <= 0} onClick={() => go(at - 1)} title="Back (p)">
            <ChevronLeft size={18} aria-hidden /> Back
          </Button>
          <Button minH="11" variant="main" disabled={at >= last} onClick={() => go(at + 1)} title="Next step (n)">
            Next step <ChevronRight size={18} aria-hidden />
          </Button>
        </Flex>
      </Flex>
      {step === undefined ? (
        <chakra.h2 fontSize="1.375rem" mt="1">
          The home as it is in the set-up {from}
        </chakra.h2>
      ) : (
        <>
          <chakra.h2 fontSize="1.375rem" mt="1" lineHeight="1.3">
            <Said text={step.says} />
          </chakra.h2>
          {step.lines.length > 0 && <TypedLines job={job} lines={step.lines} />}
          {step.refused === null ? (
            <Box mt="2" fontSize="sm">
              {step.takes.usual > 0 && <>About {lasting(step.takes.usual)}</>}
              {step.then && (
                <>
                  {step.takes.usual > 0 ? "; then " : "Then "}ready after {lasting(step.then.usual)} ({lasting(step.then.least)} to{" "}
                  {lasting(step.then.most)}, {step.then.noted ? "noted of its kind" : "as is usual"})
                </>
              )}
              {(step.takes.usual > 0 || step.then) && ". "}
              {step.offline.length > 0 && (
                <chakra.span color="muted">Without internet meanwhile: {step.offline.map(name).join(", ")}.</chakra.span>
              )}
            </Box>
          ) : (
            <Box mt="2" role="alert" color="brick" fontWeight="600">
              Cannot be done: <Said text={step.refused} />
            </Box>
          )}
          {step.breaks.map((b) => (
            <Box key={b.code + b.text} mt="2" role="alert" borderLeftWidth="4px" borderLeftStyle="solid" borderColor="brick" pl="2">
              <chakra.span color="brick" fontWeight="700">
                Breaks rule {b.number}:{" "}
              </chakra.span>
              <Said text={b.text} />
            </Box>
          ))}
          {step.departs.map((d) => (
            <Box key={d} mt="2" borderLeftWidth="4px" borderLeftStyle="solid" borderColor="ochre" pl="2">
              Not your way: <Said text={d} />
            </Box>
          ))}
          {step.otherwise.length > 0 && (
            <Box mt="2" borderLeftWidth="4px" borderLeftStyle="solid" borderColor="ochre" pl="2">
              Taken to be so here: {step.if}. Look whether instead {step.otherwise.join("; or ")}.
            </Box>
          )}
        </>
      )}
    </Box>
  );
}
