import { Box, chakra, Flex } from "@chakra-ui/react";
import { useEffect, useRef, type ReactNode, type RefObject } from "react";
import type { Change, Finding, Proof } from "../../api/client";
import { levelColour, levelWord } from "../../ui/pieces";
import { Said } from "../../ui/Said";
import { answerWords } from "../../ui/words";
import { Button } from "../../ui/controls";
import { accepted, adviceOnly, following, standing } from "../shared/findings";
import { FindingItem, type Offer } from "./FindingItem";

interface Props {
  proof: Proof;
  /** What is being tried and not saved yet; undefined when the proof is of what is saved. */
  trying: string | undefined;
  apply: (changes: Change[]) => void;
  /** The finding that is chosen, on the drawing or here. */
  chosen?: string | null;
  choose: (identity: string | null) => void;
}

/** The verdict in one sentence, and what it is made of. Findings that follow from another are shown under it. */
export function VerdictPanel({ proof, trying, apply, chosen = null, choose }: Props) {
  const heading = useRef<HTMLHeadingElement>(null);
  const pressed = useRef(false);
  // A cure takes its own button away: the focus goes on from the verdict.
  useEffect(() => {
    if (pressed.current && (document.activeElement === document.body || document.activeElement === null)) {
      heading.current?.focus();
    }
    pressed.current = false;
  }, [proof]);
  const act = (changes: Change[]) => {
    pressed.current = true;
    apply(changes);
  };
  const open = standing(proof);
  const curable = open.filter((f) => !adviceOnly(f));
  const advised = open.filter(adviceOnly);
  const stays = accepted(proof);
  // A cure that settles several findings is offered once, at the first of them.
  const offeredAt = new Map<string, string>();
  for (const finding of [...open, ...open.flatMap((f) => following(proof, f))]) {
    for (const remedy of finding.remedies) {
      if (!offeredAt.has(remedy.label)) {
        offeredAt.set(remedy.label, finding.identity);
      }
    }
  }
  const offer: Offer = {
    apply: act,
    disabled: trying !== undefined,
    first: curable.find((f) => f.remedies.length > 0)?.remedies[0]?.label,
    here: (remedy, finding) => offeredAt.get(remedy.label) === finding.identity,
  };
  const item = (finding: Finding) => (
    <FindingItem
      key={finding.identity}
      finding={finding}
      number={open.indexOf(finding) + 1}
      following={following(proof, finding)}
      offer={offer}
      chosen={chosen === finding.identity}
      choose={choose}
    />
  );
  return (
    <chakra.section aria-label="Verdict" p="4">
      <Head proof={proof} trying={trying} heading={heading} />
      {curable.length > 0 && (
        <Box as="ol" display="grid" gap="4" mt="4" aria-label="Findings">
          {curable.map(item)}
        </Box>
      )}
      {advised.length > 0 && (
        <Part title="What only advice helps">
          <Box as="ol" display="grid" gap="4" mt="2" aria-label="Findings with advice">
            {advised.map(item)}
          </Box>
        </Part>
      )}
      {proof.facts.needs.length > 0 && (
        <Part title="What the customer asked for">
          {proof.facts.needs.map((need) => (
            <Flex key={need.need} justify="space-between" gap="3" py="0.5">
              <span>{need.asked}</span>
              <chakra.span
                fontWeight="700"
                color={need.answer.kind === "yes" ? "moss" : need.answer.kind === "unknown" ? "ochre" : "brick"}
              >
                {answerWords[need.answer.kind]}
              </chakra.span>
            </Flex>
          ))}
        </Part>
      )}
      {stays.length > 0 && (
        <Part title="Accepted">
          <Box as="ul" display="grid" gap="3">
            {stays.map((f) => (
              <Box as="li" key={f.identity}>
                <Said text={f.what} />
                <Box color="muted" fontSize="sm">
                  {f.accepted?.by}: {f.accepted?.reason}
                </Box>
                <Button
                  variant="quiet"
                  px="1.5"
                  disabled={offer.disabled}
                  aria-label={`Reopen: ${f.what}`}
                  onClick={() => act([{ kind: "takeBackAcceptance", finding: f.identity }])}
                >
                  Reopen
                </Button>
              </Box>
            ))}
          </Box>
        </Part>
      )}
    </chakra.section>
  );
}

function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Box mt="5" pt="3" borderTopWidth="1px" borderTopStyle="solid" borderColor="line">
      <chakra.h2 fontSize="md" mb="1">
        {title}
      </chakra.h2>
      {children}
    </Box>
  );
}

/** What is proven, in a word and a sentence; read out when it changes. */
function Head({ proof, trying, heading }: { proof: Proof; trying: string | undefined; heading?: RefObject<HTMLHeadingElement | null> }) {
  const { kind, sentence } = proof.verdict;
  return (
    <Box aria-live="polite">
      {trying && (
        <Box color="muted" fontSize="sm">
          If you keep it: <Said text={trying} />
        </Box>
      )}
      <chakra.h1 ref={heading} tabIndex={-1} outline="none" fontSize="xl" color={levelColour(kind)}>
        {levelWord(kind)}
      </chakra.h1>
      <Box mt="1">{sentence}</Box>
    </Box>
  );
}

/** The verdict alone, above the settings of what is chosen on the drawing. */
export function ShortVerdict({
  proof,
  trying,
  back,
  children,
}: {
  proof: Proof;
  trying: string | undefined;
  back: () => void;
  children: ReactNode;
}) {
  const open = standing(proof).length;
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
