import { Box, chakra } from "@chakra-ui/react";
import type { ReactNode } from "react";
import type { Design, JobState, Proof, Schemas } from "../../api/client";
import { levelColour, levelWord } from "../../ui/pieces";
import { nameOf, street } from "../shared/designReading";
import { Reasons } from "../shared/Reasons";
import { Answer } from "../../ui/Answer";
import { Cell, Head } from "../../ui/tables";

export function VerdictOf({ proof }: { proof: Proof }) {
  return (
    <chakra.section aria-label="Verdict">
      <chakra.h1 fontSize="xl" color={levelColour(proof.verdict.kind)}>
        {levelWord(proof.verdict.kind)}
      </chakra.h1>
      <Box>{proof.verdict.sentence}</Box>
    </chakra.section>
  );
}

interface Props {
  proof: Proof;
  /** The job whose proof it is, where more of it can be opened; left out on paper. */
  state?: JobState;
}

export function NeedsOf({ proof, state }: Props) {
  return (
    <Facts
      title="What the customer asked for"
      empty="Nothing beyond ordinary internet."
      heads={["Need", "Answer", "Why"]}
      rows={proof.facts.needs.map((n) => [
        n.asked,
        <Answer key="a" kind={n.answer.kind} />,
        <Reasons key="w" answer={n.answer} about={{ kind: "need", id: n.need }} state={state} />,
      ])}
    />
  );
}

export function InternetOf({ design, proof, state }: Props & { design: Design }) {
  return (
    <Facts
      title="Ordinary internet"
      empty="No device is in use."
      heads={["Device", "Answer", "NAT by", "Why"]}
      rows={proof.facts.internet.map((i) => [
        nameOf(design, i.device),
        <Answer key="a" kind={i.answer.kind} />,
        natBy(design, i),
        <Reasons key="w" answer={i.answer} about={{ kind: "device", id: i.device }} state={state} />,
      ])}
    />
  );
}

function natBy(design: Design, fact: Schemas["InternetFact"]): string {
  const named = fact.natBy.map((id) => (id === street ? "the provider" : nameOf(design, id))).join(", then ");
  return fact.moreNatBy ? `${named}, and ${fact.moreNatBy} more` : named;
}

export function Facts({ title, heads, rows, empty }: { title: string; heads: string[]; rows: ReactNode[][]; empty: string }) {
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
