import { Box, chakra } from "@chakra-ui/react";
import type { ReactNode } from "react";
import type { Design, Schemas } from "../../api/client";
import { levelColour, levelWord } from "../../ui/pieces";
import { sideWords } from "../../ui/words";
import { addressText, nameOf, needWords, street } from "../stations/designReading";
import type { JobTools } from "../stations/useJob";
import { Answer, Cell, Head, Why } from "./pieces";
import { ReachTable } from "./ReachTable";
import { Mono } from "../../ui/controls";

/** Will it work, and why: the verdict and the facts that it stands on. */
export default function ProofStation({ tools }: { tools: JobTools }) {
  const state = tools.job.data;
  if (!state) {
    return null;
  }
  const { design, proof } = state;
  const { facts } = proof;
  return (
    <Box p={{ base: "3", lg: "5" }} maxW="78rem" mx="auto" display="grid" gridTemplateColumns="minmax(0, 1fr)" gap="6">
      <chakra.section aria-label="Verdict">
        <chakra.h1 fontSize="xl" color={levelColour(proof.verdict.kind)}>
          {levelWord(proof.verdict.kind)}
        </chakra.h1>
        <Box>{proof.verdict.sentence}</Box>
      </chakra.section>
      <Facts title="What the customer asked for" empty="Nothing beyond ordinary internet." heads={["Need", "Answer", "Why"]} rows={facts.needs.map((n) => [needWords(design, n.need), <Answer key="a" kind={n.answer.kind} />, <Why key="w" answer={n.answer} />])} />
      <Facts
        title="Ordinary internet"
        empty="No device is in use."
        heads={["Device", "Answer", "Translated by", "Why"]}
        rows={facts.internet.map((i) => [nameOf(design, i.device), <Answer key="a" kind={i.answer.kind} />, translators(design, i.translators), <Why key="w" answer={i.answer} />])}
      />
      <Facts
        title="Who has which address"
        empty="Nothing holds an address."
        heads={["Who", "Network of", "Address", "How", "Gateway"]}
        rows={facts.addresses
          .filter((a) => a.side !== "provider")
          .map((a) => {
            const { text, how } = addressText(design, a);
            return [`${nameOf(design, a.owner)}${sideWords[a.side] ? `, ${sideWords[a.side]}` : ""}`, a.origin === "none" ? "" : nameOf(design, a.segment.endsWith(":wan") ? (a.segment.split(":")[0] ?? "") : a.segment), <Mono key="m">{text}</Mono>, how, <Mono key="g">{a.gateway ?? ""}</Mono>];
          })}
      />
      <ReachTable design={design} reach={facts.reach} />
    </Box>
  );
}

function translators(design: Design, ids: Schemas["InternetFact"]["translators"]): string {
  return ids.map((id) => (id === street ? "the provider" : nameOf(design, id))).join(", then ");
}

function Facts({ title, heads, rows, empty }: { title: string; heads: string[]; rows: ReactNode[][]; empty: string }) {
  return (
    <chakra.section aria-label={title}>
      <chakra.h2 fontSize="lg" mb="1">
        {title}
      </chakra.h2>
      {rows.length === 0 ? (
        <Box color="muted">{empty}</Box>
      ) : (
        <Box overflowX="auto" tabIndex={0} role="region" aria-label={`${title}, table`}>
          <chakra.table width="100%">
            <thead>
              <tr>
                {heads.map((h) => (
                  <Head key={h} scope="col">
                    {h}
                  </Head>
                ))}
              </tr>
            </thead>
            <tbody>
              {rows.map((row, i) => (
                <tr key={i}>
                  {row.map((cell, j) => (
                    <Cell key={j}>{cell}</Cell>
                  ))}
                </tr>
              ))}
            </tbody>
          </chakra.table>
        </Box>
      )}
    </chakra.section>
  );
}
