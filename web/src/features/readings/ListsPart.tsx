import { Box, chakra } from "@chakra-ui/react";
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api, unwrap, type JobState, type Schemas } from "../../api/client";
import { Mono } from "../../ui/controls";
import { Card } from "../../ui/pieces";
import { Said } from "../../ui/Said";
import { Cell, Head } from "../../ui/tables";
import { BoxSelect } from "./BoxSelect";
import { isNothing, nothing, PickKept } from "./PickKept";

/** Two device lists, one from before a box was plugged in and one from after: what is new. */
export function ListsPart({ state }: { state: JobState }) {
  const [before, setBefore] = useState(nothing);
  const [after, setAfter] = useState(nothing);
  const [expected, setExpected] = useState<string | null>(null);
  const ready = !isNothing(before) && !isNothing(after);
  const found = useQuery({
    queryKey: ["difference", state.job.id, state.version, before, after, expected],
    queryFn: ({ signal }) =>
      unwrap(
        api.POST("/api/jobs/{id}/readings/difference", {
          params: { path: { id: state.job.id } },
          body: { before: before.kept, after: after.kept, beforeText: before.text, afterText: after.text, expected },
          signal,
        }),
      ),
    enabled: ready,
    placeholderData: (old) => old,
  });
  return (
    <Box display="grid" gap="4" gridTemplateColumns={{ base: "minmax(0, 1fr)", lg: "minmax(0, 1fr) minmax(0, 1.1fr)" }} alignItems="start">
      <Card as="section" aria-label="Two lists" display="grid" gap="4">
        <BoxSelect
          label="The box that is plugged in"
          design={state.design}
          value={expected}
          none="none in particular"
          onChange={setExpected}
        />
        <PickKept
          state={state}
          title="Before"
          hint="Taken before the box is plugged in. A list over several pages: pick or paste all of them."
          picked={before}
          set={setBefore}
        />
        <PickKept state={state} title="After" picked={after} set={setAfter} />
      </Card>
      <Card as="section" aria-label="What is new" minH="8rem">
        {!ready ? (
          <Box color="muted">Choose or paste both lists. They are compared by MAC address: names change, and so do addresses.</Box>
        ) : found.isError ? (
          <Box role="alert" color="brick">
            {found.error.message}
          </Box>
        ) : (
          found.data && <Difference found={found.data} />
        )}
      </Card>
    </Box>
  );
}

function Difference({ found }: { found: Schemas["ListDifference"] }) {
  return (
    <Box display="grid" gap="3" gridTemplateColumns="minmax(0, 1fr)" aria-live="polite">
      <Box>
        {found.says.map((s) => (
          <Box key={s} fontWeight="600">
            <Said text={s} />
          </Box>
        ))}
      </Box>
      <Entries title="New" entries={found.new} />
      <Entries title="Gone" entries={found.gone} />
      {found.moved.length > 0 && (
        <Box fontSize="sm">
          <chakra.h3 fontSize="md">Another address than before</chakra.h3>
          {found.moved.map((m) => (
            <Box key={m.entry.mac}>
              <Mono>{m.entry.mac}</Mono>, {m.entry.says}: <Mono>{m.before}</Mono>, now <Mono>{m.entry.address}</Mono>
            </Box>
          ))}
        </Box>
      )}
      <Box fontSize="sm" color="muted">
        {found.same} {found.same === 1 ? "stands" : "stand"} in both alike.
      </Box>
    </Box>
  );
}

function Entries({ title, entries }: { title: string; entries: Schemas["ListEntry"][] }) {
  return (
    entries.length > 0 && (
      <Box overflowX="auto">
        <chakra.table width="100%" fontSize="sm">
          <chakra.caption textAlign="start" fontSize="md" fontWeight="700">
            {title} ({entries.length})
          </chakra.caption>
          <thead>
            <tr>
              <Head>MAC address</Head>
              <Head>Address</Head>
              <Head>Who</Head>
            </tr>
          </thead>
          <tbody>
            {entries.map((e) => (
              <tr key={e.mac}>
                <Cell>
                  <Mono>{e.mac}</Mono>
                </Cell>
                <Cell>
                  <Mono>{e.address ?? "none"}</Mono>
                </Cell>
                <Cell>
                  {e.says}
                  {(e.name ?? e.way) && <Box color="muted">{[e.name && `"${e.name}" in the list`, e.way].filter(Boolean).join(", ")}</Box>}
                </Cell>
              </tr>
            ))}
          </tbody>
        </chakra.table>
      </Box>
    )
  );
}
