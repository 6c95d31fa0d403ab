import { Flex } from "@chakra-ui/react";
import { Timer } from "lucide-react";
import type { Schemas } from "../../api/client";
import { Button } from "../../ui/controls";
import { about, clock } from "./time";
import { useTimers } from "./useTimers";

interface Props {
  job: number;
  step: Schemas["SheetStepDocument"];
  steps: readonly Schemas["SheetStepDocument"][];
  go: (step: number) => void;
}

/** The timer of this step, and those of other steps that run meanwhile. */
export function StepTimers({ job, step, steps, go }: Props) {
  const timers = useTimers(job);
  const left = timers.left(step.id);
  const others = steps.filter((s) => s.id !== step.id && timers.left(s.id) !== null);
  return (
    // A second that goes by is not read out.
    <Flex mt="2" gap="3" wrap="wrap" align="center" className="notPrinted" aria-live="off">
      <Button onClick={() => (left === null ? timers.start(step.id, step.takes.usual) : timers.stop(step.id))}>
        <Timer size={16} aria-hidden /> {left === null ? `Start timer, ${about(step.takes.usual)}` : `${said(left)}, stop`}
      </Button>
      {others.map((s) => (
        <Button key={s.id} variant="quiet" onClick={() => go(s.number)}>
          Step {s.number}: {said(timers.left(s.id) ?? 0)}
        </Button>
      ))}
    </Flex>
  );
}

const said = (left: number) => (left >= 0 ? `${clock(left)} left` : `over by ${clock(-left)}`);
