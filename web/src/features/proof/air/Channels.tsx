import { Box, chakra } from "@chakra-ui/react";
import { api, type JobState, type Schemas } from "../../../api/client";
import { Button } from "../../../ui/controls";
import { Cell, Head } from "../../../ui/tables";
import { bandWords } from "../../../ui/words";
import { Asked } from "../../shared/Asked";
import { nameOf } from "../../shared/designReading";
import type { JobTools } from "../../shared/jobTools";
import { asking, useAsked } from "../../shared/useAsked";
import { percent } from "../../shared/airWords";

/** Channels and widths for all radios together, beside what is set today; applied and undone like any cure. */
export function Channels({ state, tools }: { state: JobState; tools: JobTools }) {
  const plan = useAsked<Schemas["ChannelPlan"]>(state, ["channels"], (signal) =>
    api.GET("/api/jobs/{id}/proof/channels", { params: asking(state), signal }),
  );
  return (
    <Box as="section" aria-labelledby="channels">
      <chakra.h2 id="channels" fontSize="lg" mb="1">
        Channel plan
      </chakra.h2>
      <Asked of={plan} what="The channel plan">
        {(found) =>
          found.radios.length === 0 ? <Box color="muted">No radio sends.</Box> : <Planned plan={found} state={state} tools={tools} />
        }
      </Asked>
    </Box>
  );
}

function Planned({ plan, state, tools }: { plan: Schemas["ChannelPlan"]; state: JobState; tools: JobTools }) {
  const { design } = state;
  const gains = plan.places.filter((p) => p.nowMbps !== null && p.thenMbps !== p.nowMbps);
  return (
    <>
      <Box overflowX="auto" tabIndex={0} role="region" aria-label="Channel plan, table">
        <chakra.table width="100%">
          <thead>
            <tr>
              <Head scope="col">Radio</Head>
              <Head scope="col">Today</Head>
              <Head scope="col">Plan</Head>
              <Head scope="col">Airtime left while all are busy</Head>
            </tr>
          </thead>
          <tbody>
            {plan.radios.map((r) => (
              <Row key={`${r.box}/${r.radio}`} radio={r} name={nameOf(design, r.box)} />
            ))}
          </tbody>
        </chakra.table>
      </Box>
      {gains.length > 0 && (
        <Box fontSize="sm" mt="1">
          While all are busy:{" "}
          {gains.map((p) => `${nameOf(design, p.place)} ${Math.round(p.nowMbps ?? 0)} → ${Math.round(p.thenMbps)} Mb/s`).join(" · ")}
        </Box>
      )}
      {plan.changes.length === 0 ? (
        <Box mt="1">No other channels would be better.</Box>
      ) : (
        <>
          <Button variant="main" mt="2" onClick={() => tools.act(plan.changes)}>
            Set these channels
          </Button>
          <Box fontSize="sm" color="muted" mt="1">
            {plan.isBest
              ? "Every combination was looked at; one radio may get less so that all together get more."
              : "Radios were moved one by one until none gained: there may be a better plan."}{" "}
            Which channels are allowed is local law: compare with what the page of each box offers.
          </Box>
        </>
      )}
    </>
  );
}

function Row({ radio: r, name }: { radio: Schemas["PlannedRadio"]; name: string }) {
  return (
    <tr>
      <Cell>
        {name} <chakra.span color="muted">{bandWords[r.band]}</chakra.span>
        {r.stays && (
          <Box fontSize="sm" color="muted">
            planned around: {r.stays}
          </Box>
        )}
      </Cell>
      <Cell whiteSpace="nowrap">{r.channel === null ? "chooses itself" : `${r.channel}${r.widthMhz ? `, ${r.widthMhz} MHz` : ""}`}</Cell>
      <Cell>
        <chakra.span fontWeight={r.moves ? 700 : 400} whiteSpace="nowrap">
          {r.moves ? `→ ${r.planned}, ${r.plannedMhz} MHz` : "as today"}
        </chakra.span>
        {r.radar && (
          <Box fontSize="sm" color="ochre">
            ▲ radar comes first: it listens for a minute after each start
          </Box>
        )}
      </Cell>
      <Cell whiteSpace="nowrap" fontFamily="mono">
        {r.now === null ? "not known" : percent(r.now)} → {r.then === null ? "not known" : percent(r.then)}
      </Cell>
    </tr>
  );
}
