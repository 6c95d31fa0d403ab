import { Box, chakra, Flex } from "@chakra-ui/react";
import { ArrowDown, ArrowUp, Copy } from "lucide-react";
import { useState } from "react";
import { api, type JobState, type Schemas } from "../../api/client";
import { Button, Input, Mono } from "../../ui/controls";
import { Labelled } from "../../ui/pieces";
import { Said } from "../../ui/Said";
import { originWords } from "../../ui/words";
import { Asked } from "../shared/Asked";
import { addressOf, whoOf } from "./entryWords";
import { Cell, Head } from "../../ui/tables";
import { asking, useAsked } from "../shared/useAsked";
import { useShown } from "../shared/useShown";

type Entry = Schemas["BookEntry"];
interface Column {
  head: string;
  text: (e: Entry) => string;
  mono?: boolean;
  order?: (e: Entry) => string;
}

/** Addresses sort by their numbers, not by their digits. */
const byNumber = (address: string) =>
  address
    .split(/[./-]/)
    .map((n) => n.padStart(3, "0"))
    .join("");

const columns: Column[] = [
  { head: "Who", text: whoOf },
  { head: "Territory", text: (e) => (e.origin === "none" ? "" : e.territory) },
  { head: "Address", text: addressOf, mono: true, order: (e) => byNumber(e.address ?? e.from ?? "999") },
  { head: "How", text: (e) => `${originWords[e.origin]}${e.servers.length > 0 ? ` by ${e.servers.join(" or ")}` : ""}` },
  { head: "Default gateway", text: (e) => e.gateway ?? "", mono: true, order: (e) => byNumber(e.gateway ?? "") },
  { head: "DNS servers", text: (e) => e.dnsServers.join(" "), mono: true },
  { head: "MAC address", text: (e) => e.mac ?? "not read", mono: true },
];

/** Who has which address: to sort, to search, to copy, and to look an address up in. */
export function AddressBook({ state }: { state: JobState }) {
  const book = useAsked<Entry[]>(state, ["addresses"], (signal) =>
    api.GET("/api/jobs/{id}/proof/addresses", { params: asking(state), signal }),
  );
  const [{ sort, words: kept }, show] = useShown(["sort", "words"]);
  // What is typed is here at once; the address of the page follows.
  const [words, setWords] = useState(kept ?? "");
  return (
    <Asked of={book} what="The address book">
      {(entries) => {
        const [head = "", down] = (sort ?? "").split(" ");
        const by = columns.find((c) => c.head === head);
        const wanted = words.toLowerCase();
        const found = entries.filter((e) => columns.some((c) => c.text(e).toLowerCase().includes(wanted)));
        const order = by ? (by.order ?? by.text) : undefined;
        const rows = order ? [...found].sort((a, b) => order(a).localeCompare(order(b), "en") * (down ? -1 : 1)) : found;
        return (
          <Box display="grid" gap="4" gridTemplateColumns="minmax(0, 1fr)">
            <Flex gap="4" wrap="wrap" align="start">
              <Box width="16rem">
                <Labelled label="Show only what contains">
                  {(ids) => (
                    <Input {...ids} type="search" value={words} onChange={(e) => setWords(e.target.value)} onBlur={() => show({ words })} />
                  )}
                </Labelled>
              </Box>
              <CopyTable rows={rows} />
              <LookUp state={state} />
            </Flex>
            <Box overflowX="auto" tabIndex={0} role="region" aria-label="Address book, table">
              <chakra.table width="100%" aria-label="Address book">
                <thead>
                  <tr>
                    {columns.map((c) => (
                      <Head key={c.head} scope="col" aria-sort={head === c.head ? (down ? "descending" : "ascending") : undefined}>
                        <chakra.button
                          type="button"
                          bg="transparent"
                          font="inherit"
                          color="inherit"
                          fontWeight="inherit"
                          cursor="pointer"
                          minH="6"
                          display="inline-flex"
                          alignItems="center"
                          gap="1"
                          onClick={() => show({ sort: head !== c.head ? c.head : down ? null : `${c.head} down` })}
                        >
                          {c.head}
                          {head === c.head && (down ? <ArrowDown size={14} aria-hidden /> : <ArrowUp size={14} aria-hidden />)}
                        </chakra.button>
                      </Head>
                    ))}
                  </tr>
                </thead>
                <tbody>
                  {rows.map((e) => (
                    <tr key={`${e.owner} ${e.side} ${e.segment}`}>
                      {columns.map((c) => (
                        <Cell key={c.head}>
                          {c.mono ? <Mono>{c.text(e)}</Mono> : c.text(e)}
                          {c.head === "Address" && e.clashes && (
                            <chakra.span color="brick" fontWeight="700" fontSize="sm">
                              {" "}
                              clashes
                            </chakra.span>
                          )}
                        </Cell>
                      ))}
                    </tr>
                  ))}
                </tbody>
              </chakra.table>
              {rows.length === 0 && (
                <Box color="muted" p="2">
                  {entries.length === 0 ? "Nothing holds an address." : "Nothing contains that."}
                </Box>
              )}
            </Box>
          </Box>
        );
      }}
    </Asked>
  );
}

/** The rows as they are shown, with tabs between, as spreadsheets take them. */
function CopyTable({ rows }: { rows: Entry[] }) {
  const [done, setDone] = useState<string | null>(null);
  const copy = async () => {
    const text = [columns.map((c) => c.head), ...rows.map((e) => columns.map((c) => c.text(e)))].map((r) => r.join("\t")).join("\n");
    try {
      await navigator.clipboard.writeText(text);
      setDone(`${rows.length} rows copied`);
    } catch {
      setDone("This browser does not let the page copy.");
    }
  };
  return (
    <Flex align="center" gap="2" pt="5">
      <Button onClick={() => void copy()}>
        <Copy size={15} aria-hidden /> Copy the table
      </Button>
      <chakra.span role="status" fontSize="sm" color="muted">
        {done}
      </chakra.span>
    </Flex>
  );
}

/** What a typed address is in this home. */
function LookUp({ state }: { state: JobState }) {
  const [typed, setTyped] = useState("");
  const [asked, setAsked] = useState("");
  const looked = useAsked<Schemas["AddressStandingFact"][]>(
    state,
    ["address", asked],
    (signal) =>
      api.GET("/api/jobs/{id}/proof/address", {
        params: { ...asking(state), query: { setUp: state.proof.setUp, address: asked } },
        signal,
      }),
    asked !== "",
  );
  const colour = { free: "moss", inPool: "ochre", reserved: "ochre", taken: "brick", outside: "muted" } as const;
  return (
    <chakra.form
      display="flex"
      gap="2"
      alignItems="end"
      flexWrap="wrap"
      flex="1 1 20rem"
      onSubmit={(e) => {
        e.preventDefault();
        setAsked(typed.trim());
      }}
    >
      <Box width="11rem">
        <Labelled label="What is this address?">
          {(ids) => (
            <Input {...ids} fontFamily="mono" placeholder="192.168.8.50" value={typed} onChange={(e) => setTyped(e.target.value)} />
          )}
        </Labelled>
      </Box>
      <Button type="submit" disabled={typed.trim() === ""}>
        Look it up
      </Button>
      <Box aria-live="polite" flexBasis="100%">
        {asked !== "" && looked.isError && <Box color="brick">{looked.error.message}</Box>}
        {asked !== "" &&
          !looked.isError &&
          looked.data?.map((l) => (
            <Box key={l.segment} color={colour[l.standing]} fontWeight="600">
              <Said text={looked.data.length > 1 ? `${l.territory}: ${l.text}` : l.text} />
            </Box>
          ))}
      </Box>
    </chakra.form>
  );
}
