import { Box, chakra, Flex } from "@chakra-ui/react";
import type { ReactNode } from "react";
import type { Change, Design, Finding, Proof, Remedy } from "../../api/client";
import { levelColour, levelWord, Mark } from "../../ui/pieces";
import { Said } from "../../ui/Said";
import { answerWords } from "../../ui/words";
import { needWords } from "../stations/designReading";
import { Button } from "../../ui/controls";
import { standing as standingIn } from "../terraces/readScene";

interface Props {
  design: Design;
  proof: Proof;
  /** What is being tried and not saved yet; undefined when the proof is of what is saved. */
  trying: string | undefined;
  apply: (changes: Change[]) => void;
  busy: boolean;
  /** The finding that is chosen, on the drawing or here. */
  chosen?: string | null;
  choose: (identity: string | null) => void;
}

/** The verdict in one sentence, and what it is made of. Findings that follow from another are shown under it. */
export function VerdictPanel({ design, proof, trying, apply, busy, chosen = null, choose }: Props) {
  const standing = standingIn(proof);
  // A cure that settles several findings is offered once, at the first of them.
  const offeredAt = new Map<string, string>();
  for (const finding of [...standing, ...proof.findings.filter((f) => f.causedBy.length > 0)]) {
    for (const remedy of finding.remedies) {
      if (!offeredAt.has(remedy.label)) {
        offeredAt.set(remedy.label, identity(finding));
      }
    }
  }
  const offer: Offer = { apply, disabled: busy || trying !== undefined, first: standing[0]?.remedies[0]?.label, here: (remedy, finding) => offeredAt.get(remedy.label) === identity(finding) };
  return (
    <chakra.section aria-label="Verdict" p="4">
      <Head proof={proof} trying={trying} />
      <Box as="ol" display="grid" gap="4" mt="4" aria-label="Findings">
        {standing.map((finding, i) => (
          <FindingItem
            key={identity(finding)}
            finding={finding}
            number={i + 1}
            chosen={chosen === identity(finding)}
            choose={choose}
            following={proof.findings.filter((f) => f.causedBy[0] === identity(finding))}
            offer={offer}
          />
        ))}
      </Box>
      {proof.facts.needs.length > 0 && (
        <Box mt="5" pt="3" borderTopWidth="1px" borderTopStyle="solid" borderColor="line">
          <chakra.h2 fontSize="md" mb="1">
            What the customer asked for
          </chakra.h2>
          {proof.facts.needs.map((need) => (
            <Flex key={need.need} justify="space-between" gap="3" py="0.5">
              <span>{needWords(design, need.need)}</span>
              <chakra.span fontWeight="700" color={need.answer.kind === "yes" ? "moss" : need.answer.kind === "unknown" ? "ochre" : "brick"}>
                {answerWords[need.answer.kind]}
              </chakra.span>
            </Flex>
          ))}
        </Box>
      )}
    </chakra.section>
  );
}

/** What is proven, in a word and a sentence; read out when it changes. */
function Head({ proof, trying }: { proof: Proof; trying: string | undefined }) {
  return (
    <Box aria-live="polite">
      {trying && (
        <Box color="muted" fontSize="sm">
          If you keep it: <Said text={trying} />
        </Box>
      )}
      <chakra.h1 fontSize="xl" color={levelColour(proof.verdict.kind)}>
        {levelWord(proof.verdict.kind)}
      </chakra.h1>
      <Box mt="1">{proof.verdict.sentence}</Box>
    </Box>
  );
}

/** The verdict alone, above the settings of what is chosen on the drawing. */
export function ShortVerdict({ proof, trying, back, children }: { proof: Proof; trying: string | undefined; back: () => void; children: ReactNode }) {
  const open = standingIn(proof).length;
  return (
    <>
      <chakra.section aria-label="Verdict" p="4" pb="3" borderBottomWidth="1px" borderBottomStyle="solid" borderColor="line">
        <Head proof={proof} trying={trying} />
        <Button mt="2" onClick={back}>
          {open === 0 ? "Back to the verdict" : open === 1 ? "Back to the finding" : `Back to the ${open} findings`}
        </Button>
      </chakra.section>
      <Box p="4">{children}</Box>
    </>
  );
}

interface Offer {
  apply: (changes: Change[]) => void;
  disabled: boolean;
  /** The cure that settles most. */
  first: string | undefined;
  here: (remedy: Remedy, finding: Finding) => boolean;
}

const identity = (finding: Finding) => finding.identity;

interface ItemProps {
  finding: Finding;
  /** As it is marked on the drawing. */
  number: number;
  following: Finding[];
  offer: Offer;
  chosen: boolean;
  choose: (identity: string | null) => void;
}

function FindingItem({ finding, number, following, offer, chosen, choose }: ItemProps) {
  return (
    <chakra.li display="grid" gridTemplateColumns="24px minmax(0, 1fr)" gap="2" rounded="md" outline={chosen ? "2px solid" : undefined} outlineColor="copper" outlineOffset="6px">
      <Box pt="0.5">
        <Mark level={finding.severity} number={number} size={24} />
      </Box>
      <Box minW="0">
        <chakra.h2 fontSize="md" css={{ overflowWrap: "anywhere" }}>
          <chakra.button type="button" font="inherit" color="inherit" textAlign="start" cursor="pointer" minH="6" bg="transparent" aria-pressed={chosen} onClick={() => choose(chosen ? null : identity(finding))} _hover={{ color: "copper" }}>
            <Said text={finding.what} />
          </chakra.button>
        </chakra.h2>
        <Box color="muted" fontSize="sm">
          <Said text={finding.notice} />
        </Box>
        <Cures finding={finding} offer={offer} />
        {following.length > 0 && (
          <chakra.details mt="1.5" fontSize="sm">
            <chakra.summary cursor="pointer" color="muted" minH="6">
              {following.length === 1 ? "1 more follows from it" : `${following.length} more follow from it`}
            </chakra.summary>
            <Box as="ul" display="grid" gap="2" mt="1">
              {following.map((f) => (
                <Box as="li" key={identity(f)} css={{ overflowWrap: "anywhere" }}>
                  <Said text={f.what} />
                  <Cures finding={f} offer={offer} />
                </Box>
              ))}
            </Box>
          </chakra.details>
        )}
      </Box>
    </chakra.li>
  );
}

function Cures({ finding, offer }: { finding: Finding; offer: Offer }) {
  const here = finding.remedies.filter((r) => offer.here(r, finding));
  const above = finding.remedies.filter((r) => !offer.here(r, finding));
  return (
    <>
      {above.length > 0 && (
        <Box fontSize="sm" mt="1">
          Also settled by: <Said text={above[0]?.label ?? ""} />
        </Box>
      )}
      {here.length > 0 && (
        <Flex wrap="wrap" gap="1.5" mt="1.5">
          {here.map((remedy) => (
            <Button key={remedy.label} variant={remedy.label === offer.first ? "main" : "act"} disabled={offer.disabled} onClick={() => offer.apply(remedy.changes)} fontSize="sm">
              <span>
                <Said text={remedy.label} />
                {remedy.settles.length > 1 && (
                  <chakra.span fontWeight="400" display="block" fontSize="xs">
                    settles {remedy.settles.length} findings
                  </chakra.span>
                )}
              </span>
            </Button>
          ))}
        </Flex>
      )}
      {finding.advice.map((advice) => (
        <Box key={advice} fontSize="sm" mt="1" pl="2" borderLeftWidth="3px" borderLeftStyle="solid" borderColor="clay.2">
          {advice}
        </Box>
      ))}
    </>
  );
}
