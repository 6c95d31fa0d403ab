import { Box, chakra, Flex } from "@chakra-ui/react";
import { useRef } from "react";
import type { JobState, Schemas } from "../../api/client";
import { Button } from "../../ui/controls";
import { Card, Trouble, Waiting } from "../../ui/pieces";
import { Said } from "../../ui/Said";
import { Fold } from "../../ui/Fold";
import { useWide } from "../../ui/useWide";
import { capital, readingKindWords } from "../../ui/words";
import { Cell, Head } from "../../ui/tables";
import { useShown } from "../shared/useShown";
import { momentWords } from "../../ui/moment";
import { Says } from "./Says";
import { useKept, useOne, useArchive } from "./useReadings";

/** What a kept reading is, in words. */
export const kindsOf = (info: Schemas["ReadingInfo"]) =>
  info.kinds.length === 0 ? "Nothing understood" : capital(info.kinds.map((k) => readingKindWords[k]).join(", "));

/** Readings that were kept, the last taken first; the chosen one beside them, held against the home as it is now. */
export function KeptPart({ state }: { state: JobState }) {
  const [{ reading, archived }, show] = useShown(["reading", "archived"]);
  const list = useKept(state, archived === "yes");
  const one = useOne(state, reading === null ? null : Number(reading));
  const put = useArchive(state);
  const wide = useWide();
  const sheet = useRef<HTMLDivElement>(null);
  const choose = (id: number) => {
    show({ reading: String(id) });
    // On a narrow screen the reading stands below the list: go there.
    if (!wide) {
      requestAnimationFrame(() => sheet.current?.focus());
    }
  };
  if (list.isError) {
    return <Trouble what="The readings cannot be listed." why={list.error.message} again={() => void list.refetch()} />;
  }
  if (!list.data) {
    return <Waiting what="Looking for readings" />;
  }
  const { items, total } = list.data;
  return (
    <Box display="grid" gap="4" gridTemplateColumns={{ base: "minmax(0, 1fr)", lg: "minmax(0, 1fr) minmax(0, 1.1fr)" }} alignItems="start">
      <Card as="section" aria-label="Kept readings" overflowX="auto">
        <Flex gap="2" mb="2">
          <Button variant="quiet" onClick={() => show({ archived: archived === "yes" ? null : "yes", reading: null })}>
            {archived === "yes" ? "Back to the list" : "Archived readings"}
          </Button>
        </Flex>
        {items.length === 0 ? (
          <Box color="muted">
            {archived === "yes" ? "No reading is archived." : "None is kept yet. Paste what a machine printed under New reading."}
          </Box>
        ) : (
          <chakra.table width="100%" fontSize="sm">
            <thead>
              <tr>
                <Head>Taken</Head>
                <Head>What</Head>
                <Head>Where</Head>
                <Head>Accepted</Head>
              </tr>
            </thead>
            <tbody>
              {items.map((r) => (
                <tr key={r.id}>
                  <Cell>
                    <Button
                      variant={String(r.id) === reading ? "act" : "quiet"}
                      px="1"
                      aria-pressed={String(r.id) === reading}
                      onClick={() => choose(r.id)}
                    >
                      {momentWords(r.takenAt)}
                    </Button>
                  </Cell>
                  <Cell>
                    {kindsOf(r)}
                    <Box color="muted">{r.name}</Box>
                  </Cell>
                  <Cell>
                    {r.seatName ?? "not said"}
                    {r.place && <Box color="muted">{(state.design.site.places ?? []).find((p) => p.id === r.place)?.name ?? r.place}</Box>}
                  </Cell>
                  <Cell>{r.takenOver.length === 0 ? "nothing" : r.takenOver.length}</Cell>
                </tr>
              ))}
            </tbody>
          </chakra.table>
        )}
        {total > items.length && (
          <Box color="muted">
            The newest {items.length} of {total} are listed.
          </Box>
        )}
      </Card>
      <Card as="section" aria-label="The chosen reading" minH="8rem" ref={sheet} tabIndex={-1} outline="none">
        {reading === null ? (
          <Box color="muted">Choose one to see what it says, held against the survey as it is now.</Box>
        ) : one.isError ? (
          <Box role="alert">{one.error.message}</Box>
        ) : one.data ? (
          <Box display="grid" gap="3" gridTemplateColumns="minmax(0, 1fr)">
            <Flex gap="2" align="start" justify="space-between" wrap="wrap">
              <Box>
                <chakra.h2 fontSize="lg">{kindsOf(one.data.info)}</chakra.h2>
                <Box fontSize="sm" color="muted">
                  {momentWords(one.data.info.takenAt)}, {one.data.info.name}
                </Box>
              </Box>
              <Button
                variant="quiet"
                disabled={put.isPending}
                onClick={() => {
                  put.mutate({ reading: Number(reading), archived: !one.data.info.archived });
                  show({ reading: null });
                }}
              >
                {one.data.info.archived ? "Unarchive" : "Archive"}
              </Button>
            </Flex>
            {one.data.info.takenOver.length > 0 && (
              <Fold title={`Accepted then (${one.data.info.takenOver.length})`}>
                <chakra.ul ps="5" listStyleType="disc" fontSize="sm" mt="1">
                  {one.data.info.takenOver.map((t) => (
                    <li key={t}>
                      <Said text={t} />
                    </li>
                  ))}
                </chakra.ul>
              </Fold>
            )}
            {one.data.info.seatName && one.data.view.comparison.seat === null && (
              <Box fontSize="sm">
                It was taken at: {one.data.info.seatName}. That place is taken or gone in the survey as it is now, so nothing is compared.
              </Box>
            )}
            <Says view={one.data.view} taken={null} />
            {one.data.text === null ? (
              <a href={`/api/jobs/${state.job.id}/readings/${reading}/content`} download>
                The capture as a file
              </a>
            ) : (
              <Fold title="What was printed">
                <chakra.pre
                  fontFamily="mono"
                  fontSize="xs"
                  overflowX="auto"
                  maxH="24rem"
                  mt="1"
                  p="2"
                  bg="clay.1"
                  rounded="md"
                  tabIndex={0}
                  aria-label="What was printed"
                >
                  {one.data.text}
                </chakra.pre>
              </Fold>
            )}
          </Box>
        ) : (
          <Waiting what="Looking it up" />
        )}
      </Card>
    </Box>
  );
}
