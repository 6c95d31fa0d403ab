import { Box, chakra } from "@chakra-ui/react";
import type { ReactNode } from "react";
import type { Schemas } from "../../api/client";
import { Mono } from "../../ui/controls";
import { Said } from "../../ui/Said";
import { phaseWords } from "./phases";
import { StepFrame } from "./StepFrame";
import { StepTimers } from "./StepTimers";
import { about } from "./time";
import { TypedLines } from "./TypedLines";

interface Props {
  job: number;
  /** The step; none before the first. */
  step: Schemas["SheetStepDocument"] | undefined;
  /** All steps of the sheet: timers of others run on. */
  steps: readonly Schemas["SheetStepDocument"][];
  at: number;
  last: number;
  go: (step: number) => void;
  /** The set-up that it begins with. */
  from: string;
  name: (id: string) => string;
}

/** What is done in one step, large enough to be read from where the box stands. */
export function DerivedStep({ job, step, steps, at, last, go, from, name }: Props) {
  return (
    <StepFrame
      head={step ? `Step ${at} of ${last} · ${phaseWords[step.phase].toLowerCase()}` : ""}
      says={step?.says}
      at={at}
      last={last}
      go={go}
      from={from}
    >
      {step && (
        <>
          {step.where && <Where where={step.where} name={name} />}
          {step.breaks.map((b) => (
            <Aside key={b.code + b.text} colour="brick" alert>
              <b>Breaks rule {b.number}:</b> <Said text={b.text} />
            </Aside>
          ))}
          <Acts acts={step.acts} lines={step.lines} job={job} />
          <Box mt="2" fontSize="sm">
            About {about(step.takes.usual)} ({about(step.takes.least)} to {about(step.takes.most)}).
            {step.offline.length > 0 && (
              <chakra.span color="ochre" fontWeight="600">
                {" "}
                Without internet after it: {step.offline.map(name).join(", ")}.
              </chakra.span>
            )}
            {step.dips && step.offline.length === 0 && (
              <chakra.span color="ochre" fontWeight="600">
                {" "}
                The internet is away for some devices meanwhile.
              </chakra.span>
            )}
            {step.rest && (
              <chakra.span color="moss" fontWeight="600">
                {" "}
                One can rest here.
              </chakra.span>
            )}
          </Box>
          <StepTimers job={job} step={step} steps={steps} go={go} />
          {step.why !== null && (
            <Box mt="1" color="muted">
              Why: <Said text={step.why ?? ""} />
            </Box>
          )}
          {step.cautions.map((c) => (
            <Aside key={c} colour="brick">
              <b>Take care:</b> <Said text={c} />
            </Aside>
          ))}
          {step.departs.map((d) => (
            <Aside key={d} colour="ochre">
              Not your way: <Said text={d} />
            </Aside>
          ))}
          {step.otherwise.length > 0 && (
            <Aside colour="ochre">
              Taken to be so here: {step.if}. Look whether instead {step.otherwise.join("; or ")}.
            </Aside>
          )}
        </>
      )}
    </StepFrame>
  );
}

/** Where the laptop is, and which page and which area of it. */
function Where({ where, name }: { where: Schemas["StepPlace"]; name: (id: string) => string }) {
  return (
    <Box mt="1">
      <b>{name(where.box)}</b>
      {where.laptopPort && (
        <>
          {" "}
          · laptop in <Said text={where.laptopPort} />
        </>
      )}
      {" · page "}
      {where.page ? <Mono fontWeight="600">{where.page}</Mono> : "at the address that was found"}
      {where.area && (
        <>
          {" · area "}
          <b>{where.area}</b>
        </>
      )}
    </Box>
  );
}

/** What is done in order; the values stand below the act that types them. */
function Acts({ acts, lines, job }: { acts: readonly Schemas["SheetActDocument"][]; lines: readonly Schemas["PageField"][]; job: number }) {
  return acts.length === 1 ? (
    lines.length > 0 && <TypedLines job={job} lines={lines} />
  ) : (
    <Box as="ol" mt="2" pl="6" listStyleType="decimal" css={{ "& > li + li": { marginTop: "0.15rem" } }}>
      {acts.map((a, i) => (
        <chakra.li key={i} fontWeight={a.main ? 600 : 400}>
          <Said text={a.says} />
          {a.main && lines.length > 0 && (
            <Box fontWeight="400" mb="2">
              <TypedLines job={job} lines={lines} />
            </Box>
          )}
        </chakra.li>
      ))}
    </Box>
  );
}

function Aside({ colour, alert, children }: { colour: string; alert?: boolean; children: ReactNode }) {
  return (
    <Box mt="2" role={alert ? "alert" : undefined} borderLeftWidth="4px" borderLeftStyle="solid" borderColor={colour} pl="2">
      {children}
    </Box>
  );
}
