import { Box, chakra, Flex } from "@chakra-ui/react";
import { Download, Printer } from "lucide-react";
import { Link } from "react-router";
import type { JobState, Schemas } from "../../api/client";
import { Button, Mono } from "../../ui/controls";
import { Said } from "../../ui/Said";
import { counted } from "../../ui/words";
import { Asked } from "../shared/Asked";
import { nameOf } from "../shared/designReading";
import { CalendarFile } from "./CalendarFile";
import { Checks } from "./Checks";
import { PageFile } from "./PageFile";
import { inPhases, phaseWords } from "./phases";
import { PaperTick } from "./PaperTick";
import { about } from "./time";
import { Verdict } from "./Verdict";
import { useRun } from "../shared/useRun";

const files = [
  { form: "markdown", words: "Markdown" },
  { form: "csv", words: "Table (CSV)" },
  { form: "json", words: "Data (JSON)" },
] as const;

const contentOf = (job: number, asked: Record<string, string>) => `/api/jobs/${job}/run/content?${new URLSearchParams(asked).toString()}`;

/** The whole sheet as a page to print, and as files to take along. */
export function PaperSheet({ state, to }: { state: JobState; to: string | null }) {
  const run = useRun(state, to);
  return (
    <Box className="paper" p={{ base: "3", lg: "5" }} maxW="56rem" mx="auto" display="grid" gap="4" gridTemplateColumns="minmax(0, 1fr)">
      <Asked of={run} what="The run sheet">
        {({ sheet, from, to: end }) =>
          sheet ? (
            <>
              <Flex columnGap="3" rowGap="2" wrap="wrap" align="center" className="notPrinted">
                <Link to={`?${new URLSearchParams({ to: sheet.to }).toString()}`}>Back to the steps</Link>
                <Button variant="main" onClick={() => window.print()}>
                  <Printer size={16} aria-hidden /> Print this page
                </Button>
                <PageFile address={contentOf(state.job.id, { as: "html", from: sheet.from, to: sheet.to })} steps={sheet.steps} />
                {files.map((f) => (
                  <a key={f.form} href={contentOf(state.job.id, { as: f.form, from: sheet.from, to: sheet.to })} download>
                    <Download size={14} aria-hidden style={{ display: "inline" }} /> {f.words}
                  </a>
                ))}
                <CalendarFile
                  address={(start) => contentOf(state.job.id, { as: "ics", from: sheet.from, to: sheet.to, start: start.slice(0, 16) })}
                />
              </Flex>
              <Box>
                <chakra.h1 fontSize="xl">
                  Run sheet: {state.design.site.name}, from {sheet.from} to {sheet.to}
                </chakra.h1>
                <Verdict of={sheet.verdict} />
                <Box color="muted">
                  {counted(sheet.steps.length, "step")}, about {about(sheet.takes.usual)} ({about(sheet.takes.least)} to{" "}
                  {about(sheet.takes.most)}).
                </Box>
              </Box>
              {sheet.material.length > 0 && (
                <chakra.section aria-label="Take along">
                  <chakra.h2 fontSize="lg">Take along</chakra.h2>
                  <Box as="ul" pl="0" listStyleType="none">
                    {sheet.material.map((m) => (
                      <li key={m}>
                        <PaperTick /> <Said text={m} />
                      </li>
                    ))}
                  </Box>
                </chakra.section>
              )}
              <PaperChecks of={sheet.checksBefore} />
              {inPhases(sheet.steps).map((part) => (
                <chakra.section key={part.steps[0]?.id} aria-label={phaseWords[part.phase]}>
                  <chakra.h2 fontSize="lg">{phaseWords[part.phase]}</chakra.h2>
                  <Box as="ol" listStyleType="none" pl="0" display="grid" gap="2">
                    {part.steps.map((s) => (
                      <PaperStep key={s.id} step={s} name={(id) => nameOf(state.design, id)} />
                    ))}
                  </Box>
                </chakra.section>
              ))}
              <PaperChecks of={sheet.checksAfter} />
            </>
          ) : (
            <Box>
              There is no run sheet from {from} {end === null ? "" : `to ${end} `}yet. <Link to="?">See why</Link>
            </Box>
          )
        }
      </Asked>
    </Box>
  );
}

function PaperChecks({ of }: { of: readonly Schemas["SheetChecks"][] }) {
  return of.map((list) => (
    <chakra.section key={list.title} aria-label={list.title}>
      <chakra.h2 fontSize="lg">{list.title}</chakra.h2>
      <Checks of={list} onPaper />
    </chakra.section>
  ));
}

function PaperStep({ step, name }: { step: Schemas["SheetStepDocument"]; name: (id: string) => string }) {
  const { where } = step;
  return (
    <chakra.li borderTopWidth="1px" borderTopStyle="solid" borderColor="line" pt="1" css={{ breakInside: "avoid" }}>
      <Flex gap="2" align="baseline">
        <PaperTick />
        <Box flex="1" fontWeight="700">
          {step.number}. <Said text={step.says} />
        </Box>
        <Box color="muted">{about(step.takes.usual)}</Box>
      </Flex>
      <Box pl="7" fontSize="sm">
        {where && (
          <Box color="muted">
            {name(where.box)}
            {where.laptopPort ? ` · laptop in ${where.laptopPort}` : ""} · page {where.page ?? "at ____________"}
            {where.area ? ` · area ${where.area}` : ""}
          </Box>
        )}
        {step.acts.length > 1 ? (
          <Box as="ol" pl="5" listStyleType="decimal">
            {step.acts.map((a, i) => (
              <li key={i}>
                <Said text={a.says} />
                {a.main && <Typed lines={step.lines} />}
              </li>
            ))}
          </Box>
        ) : (
          <Typed lines={step.lines} />
        )}
        {step.why && (
          <Box color="muted">
            Why: <Said text={step.why} />
          </Box>
        )}
        {[...step.breaks.map((b) => `Breaks rule ${b.number}: ${b.text}`), ...step.cautions].map((c) => (
          <Box key={c} fontWeight="600">
            <Said text={c} />
          </Box>
        ))}
        {step.undo && (
          <Box color="muted">
            Way back: <Said text={step.undo.says} />
            {step.undo.lines.length > 0 &&
              ` ${step.undo.lines.map((l) => (l.isSecret || !l.value ? l.what : `${l.what}: ${l.value}`)).join("; ")}.`}
          </Box>
        )}
      </Box>
    </chakra.li>
  );
}

/** What is typed; a password is written in by hand. */
function Typed({ lines }: { lines: readonly Schemas["PageField"][] }) {
  return lines.map((l, i) => (
    <Box key={i}>
      {l.what}
      {l.value !== null && (
        <>
          : <Mono fontWeight="600">{l.isSecret ? "____________" : l.value}</Mono>
        </>
      )}
    </Box>
  ));
}
