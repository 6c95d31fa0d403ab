import { Box, chakra, Flex } from "@chakra-ui/react";
import { useState } from "react";
import type { Change, Finding, Remedy } from "../../api/client";
import { Button } from "../../ui/controls";
import { Mark } from "../../ui/pieces";
import { Said } from "../../ui/Said";
import { AcceptForm } from "./AcceptForm";

/** Which cures are offered where: one that settles several findings is offered once. */
export interface Offer {
  apply: (changes: Change[]) => void;
  disabled: boolean;
  /** The cure that settles most. */
  first: string | undefined;
  here: (remedy: Remedy, finding: Finding) => boolean;
}

interface Props {
  finding: Finding;
  /** As it is marked on the drawing. */
  number: number;
  following: Finding[];
  offer: Offer;
  chosen: boolean;
  choose: (identity: string | null) => void;
}

/** One finding: what, what the customer notices, what cures it, why, and a word that it may stay. */
export function FindingItem({ finding, number, following, offer, chosen, choose }: Props) {
  const [accepting, setAccepting] = useState(false);
  const curable = following.filter((f) => f.remedies.some((r) => offer.here(r, f)));
  const folded = following.filter((f) => !curable.includes(f));
  return (
    <chakra.li
      data-finding={finding.identity}
      display="grid"
      gridTemplateColumns="24px minmax(0, 1fr)"
      gap="2"
      rounded="md"
      outline={chosen ? "2px solid" : undefined}
      outlineColor="copper"
      outlineOffset="6px"
    >
      <Box pt="0.5">
        <Mark level={finding.severity} number={number} size={24} />
      </Box>
      <Box minW="0">
        <chakra.h2 fontSize="md" css={{ overflowWrap: "anywhere" }}>
          <chakra.button
            type="button"
            font="inherit"
            color="inherit"
            textAlign="start"
            cursor="pointer"
            minH="6"
            bg="transparent"
            aria-pressed={chosen}
            onClick={() => choose(chosen ? null : finding.identity)}
            _hover={{ color: "copper" }}
            _focusVisible={{ outlineWidth: "2px", outlineOffset: "1px" }}
            rounded="sm"
          >
            <Said text={finding.what} />
          </chakra.button>
        </chakra.h2>
        <Box color="muted" fontSize="sm">
          <Said text={finding.notice} />
        </Box>
        <Cures finding={finding} offer={offer} />
        {/* A cure is never folded away, also that of what follows: it may be what the customer asked for. */}
        {curable.map((f) => (
          <Box key={f.identity} mt="2" css={{ overflowWrap: "anywhere" }}>
            <Said text={f.what} />
            <Cures finding={f} offer={offer} />
          </Box>
        ))}
        <Flex align="start" gap="3" mt="1" fontSize="sm">
          <chakra.details className="why" flex="1" minW="0">
            <chakra.summary cursor="pointer" color="muted" minH="6">
              Why
              {folded.length > 0 && (folded.length === 1 ? ", and 1 more that follows" : `, and ${folded.length} more that follow`)}
            </chakra.summary>
            {finding.hurts && (
              <Box mt="1">
                {finding.hurts} <chakra.span color="muted">({finding.source})</chakra.span>
              </Box>
            )}
            <Box as="ul" display="grid" gap="2" mt="1">
              {folded.map((f) => (
                <Box as="li" key={f.identity} css={{ overflowWrap: "anywhere" }}>
                  <Said text={f.what} />
                  <Cures finding={f} offer={offer} />
                </Box>
              ))}
            </Box>
          </chakra.details>
          {!accepting && (
            <Button
              variant="quiet"
              px="1.5"
              py="0"
              minH="6"
              fontWeight="400"
              fontSize="sm"
              color="muted"
              disabled={offer.disabled}
              aria-label={`Accept: ${finding.what}`}
              onClick={() => setAccepting(true)}
            >
              Accept
            </Button>
          )}
        </Flex>
        {accepting && <AcceptForm finding={finding} accept={offer.apply} close={() => setAccepting(false)} />}
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
            <Button
              key={remedy.label}
              variant={remedy.label === offer.first ? "main" : "act"}
              disabled={offer.disabled}
              onClick={() => offer.apply(remedy.changes)}
              fontSize="sm"
            >
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
