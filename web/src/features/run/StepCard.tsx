import { Box, chakra } from "@chakra-ui/react";
import type { Schemas } from "../../api/client";
import { Said } from "../../ui/Said";
import { StepFrame } from "./StepFrame";
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
    <StepFrame head={`Step ${at} of ${last}`} says={step?.says} at={at} last={last} go={go} from={from}>
      {step && (
        <>
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
    </StepFrame>
  );
}
