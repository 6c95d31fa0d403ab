import { Box, chakra, Flex } from "@chakra-ui/react";
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api, unwrap, type JobState, type Schemas } from "../../api/client";
import { Button, Input, Mono } from "../../ui/controls";
import { Card, Labelled } from "../../ui/pieces";
import { Said } from "../../ui/Said";
import { Cell, Head } from "../../ui/tables";
import { BoxSelect } from "./BoxSelect";
import { isNothing, nothing, PickKept } from "./PickKept";

/** A box that left its old address, found in an address table by what stands on its label. */
export function FindPart({ state }: { state: JobState }) {
  const [box, setBox] = useState<string | null>(null);
  const [digits, setDigits] = useState("");
  const [table, setTable] = useState(nothing);
  const ready = box !== null || digits.trim().length > 1;
  const found = useQuery({
    queryKey: ["moved", state.job.id, state.version, box, digits, table],
    queryFn: ({ signal }) =>
      unwrap(
        api.POST("/api/jobs/{id}/readings/moved", {
          params: { path: { id: state.job.id } },
          body: { readings: table.kept, text: table.text, box, digits: digits.trim() === "" ? null : digits.trim() },
          signal,
        }),
      ),
    enabled: ready,
    placeholderData: (old) => old,
  });
  return (
    <Box display="grid" gap="4" gridTemplateColumns={{ base: "minmax(0, 1fr)", lg: "minmax(0, 1fr) minmax(0, 1.1fr)" }} alignItems="start">
      <Card as="section" aria-label="What to look for" display="grid" gap="3">
        <Box display="grid" gap="2" gridTemplateColumns={{ base: "minmax(0, 1fr)", md: "minmax(0, 1fr) minmax(0, 1fr)" }}>
          <BoxSelect label="The box" design={state.design} value={box} none="by its digits alone" onChange={setBox} />
          <Labelled label="Last digits of its label">
            {(ids) => <Input {...ids} fontFamily="mono" placeholder="53:0a" value={digits} onChange={(e) => setDigits(e.target.value)} />}
          </Labelled>
        </Box>
        <PickKept state={state} title="Address tables and device lists" picked={table} set={setTable} />
      </Card>
      <Card as="section" aria-label="Where it may be" minH="8rem">
        {!ready ? (
          <Box color="muted">
            Choose the box, or type the last digits of its label. Sides of one box often differ by one or two in the last digits, and its
            radios may have the local bit set.
          </Box>
        ) : found.isError ? (
          <Box role="alert" color="brick">
            {found.error.message}
          </Box>
        ) : (
          found.data && <Where found={found.data} looked={!isNothing(table)} />
        )}
      </Card>
    </Box>
  );
}

function Where({ found, looked }: { found: Schemas["MovedBox"]; looked: boolean }) {
  return (
    <Box display="grid" gap="3" gridTemplateColumns="minmax(0, 1fr)" aria-live="polite">
      <Box fontWeight="600">
        {looked ? (
          <Said text={found.says} />
        ) : (
          "Choose or paste an address table. It lists only whom the machine spoke to lately: speak to every address first."
        )}
      </Box>
      {found.candidates.length > 0 && (
        <Box overflowX="auto">
          <chakra.table width="100%" fontSize="sm">
            <thead>
              <tr>
                <Head>Address</Head>
                <Head>MAC address</Head>
                <Head>What speaks for it</Head>
              </tr>
            </thead>
            <tbody>
              {found.candidates.map((c) => (
                <tr key={`${c.mac} ${c.address}`}>
                  <Cell>
                    <Mono fontWeight={c.sure ? 700 : undefined}>{c.address ?? "none"}</Mono>
                  </Cell>
                  <Cell>
                    <Mono>{c.mac}</Mono>
                  </Cell>
                  <Cell>
                    {c.says}
                    {c.name && <Box color="muted">&quot;{c.name}&quot; in the list</Box>}
                  </Cell>
                </tr>
              ))}
            </tbody>
          </chakra.table>
        </Box>
      )}
      {found.sweep.length > 0 && (
        <Box fontSize="sm">
          <Box>Speaks to every address; then print the address table again with arp -a:</Box>
          {found.sweep.map((s) => (
            <Flex key={s} gap="2" align="center" mt="1">
              <chakra.code fontFamily="mono" fontSize="xs" bg="clay.1" rounded="md" px="2" py="1" minW="0" overflowWrap="anywhere">
                {s}
              </chakra.code>
              <Button variant="quiet" onClick={() => void navigator.clipboard.writeText(s)}>
                Copy
              </Button>
            </Flex>
          ))}
        </Box>
      )}
    </Box>
  );
}
