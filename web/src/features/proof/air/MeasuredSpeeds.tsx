import { Box, chakra } from "@chakra-ui/react";
import { Link } from "react-router";
import type { JobState, Schemas } from "../../../api/client";
import { Button } from "../../../ui/controls";
import { momentWords } from "../../../ui/moment";
import { Cell, Head } from "../../../ui/tables";
import { rateStandingWords, runByWords } from "../../../ui/words";
import { nameOf } from "../../shared/designReading";
import type { JobTools } from "../../shared/jobTools";
import { mbpsText, spanWords } from "../../shared/airWords";

/** Speeds that were measured and kept, each beside what is computed for the same way. */
export function MeasuredSpeeds({ held, state, tools }: { held: Schemas["HeldSpeed"][]; state: JobState; tools: JobTools }) {
  const { design } = state;
  return (
    <Box as="section" aria-labelledby="measured">
      <chakra.h2 id="measured" fontSize="lg" mb="1">
        Measured speeds
      </chakra.h2>
      {held.length === 0 ? (
        <Box color="muted">
          None is kept.{" "}
          <Link to="../survey?part=readings&show=speed" relative="path">
            Note runs of a speed test
          </Link>{" "}
          and take them over: three of 30 s, in one place, with one machine.
        </Box>
      ) : (
        <Box overflowX="auto" tabIndex={0} role="region" aria-label="Measured speeds, table">
          <chakra.table width="100%">
            <thead>
              <tr>
                <Head scope="col">Where</Head>
                <Head scope="col">Down</Head>
                <Head scope="col">Up</Head>
                <Head scope="col">Beside what is computed</Head>
                <Head as="td" />
              </tr>
            </thead>
            <tbody>
              {held.map((h) => (
                <tr key={h.kept.id}>
                  <Cell minW="9rem">
                    {h.kept.from ? nameOf(design, h.kept.from) : "Laptop"}
                    {h.kept.place && ` in ${nameOf(design, h.kept.place)}`}
                    <Box fontSize="sm" color="muted">
                      {runByWords[h.kept.by]} at {nameOf(design, h.kept.box)}
                      {h.kept.to && `, to ${nameOf(design, h.kept.to)}`}
                      {h.kept.at && `; ${momentWords(h.kept.at)}`}
                    </Box>
                  </Cell>
                  <Cell whiteSpace="nowrap">
                    <Median of={h.kept.down} runs={h.kept.runs} />
                  </Cell>
                  <Cell whiteSpace="nowrap">
                    {h.kept.up ? <Median of={h.kept.up} /> : <chakra.span color="muted">not measured</chakra.span>}
                  </Cell>
                  <Cell minW="14rem">
                    <Beside held={h} />
                  </Cell>
                  <Cell>
                    <Button
                      variant="quiet"
                      aria-label={`Forget ${mbpsText(h.kept.down.median)} Mb/s at ${nameOf(design, h.kept.box)}`}
                      onClick={() => tools.correctNow([{ kind: "remove", id: h.kept.id }])}
                    >
                      Forget
                    </Button>
                  </Cell>
                </tr>
              ))}
            </tbody>
          </chakra.table>
        </Box>
      )}
    </Box>
  );
}

function Median({ of, runs }: { of: Schemas["MedianSpread"]; runs?: number }) {
  return (
    <>
      <chakra.span fontFamily="mono" fontWeight="600">
        {mbpsText(of.median)} Mb/s
      </chakra.span>
      <Box fontSize="sm" color="muted">
        {of.least !== of.most && `${mbpsText(of.least)} to ${mbpsText(of.most)}`}
        {runs !== undefined && `${of.least !== of.most ? ", " : ""}${runs === 1 ? "one run" : `${runs} runs`}`}
      </Box>
    </>
  );
}

function Beside({ held }: { held: Schemas["HeldSpeed"] }) {
  if (!held.computed || !held.stands) {
    return <chakra.span color="muted">says nothing of the home as it is: {held.whyNot}</chakra.span>;
  }
  const well = held.stands === "within";
  return (
    <>
      <chakra.span color={well ? "moss" : "ochre"} fontWeight="600">
        {well ? "✓" : "▲"} {rateStandingWords[held.stands]}
      </chakra.span>
      <Box fontSize="sm" color="muted">
        computed {spanWords(held.computed.down)}
      </Box>
    </>
  );
}
