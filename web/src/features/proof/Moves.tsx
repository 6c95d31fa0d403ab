import { Box, chakra } from "@chakra-ui/react";
import type { Schemas } from "../../api/client";
import { levelColour, levelWord } from "../../ui/pieces";
import { Said } from "../../ui/Said";
import { keysOf, trendWords } from "../../ui/words";

const colour = { worse: "brick", better: "moss", other: "muted" } as const;
/** Told by shape too. */
const sign = { worse: "▼", better: "▲", other: "◆" } as const;

/** What got worse, better, or is otherwise, and how much stayed; plain where the verdict stands beside it. */
export function Moves({ difference, plain = false, when }: { difference: Schemas["ProofDifference"]; plain?: boolean; when?: string }) {
  return (
    <Box display="grid" gap="3" gridTemplateColumns="minmax(0, 1fr)">
      {!plain && (
        <Box>
          <chakra.span fontWeight="700" color={levelColour(difference.verdict.kind)}>
            {levelWord(difference.verdict.kind)}.
          </chakra.span>{" "}
          {difference.verdict.sentence}
        </Box>
      )}
      {keysOf(trendWords).map((trend) => {
        const moved = difference.moved.filter((m) => m.trend === trend);
        return moved.length === 0 ? null : (
          <Box key={trend} as="section" aria-label={when ? `${trendWords[trend]}, ${when}` : trendWords[trend]}>
            <chakra.h3 fontSize="md" color={colour[trend]}>
              {sign[trend]} {trendWords[trend]}
            </chakra.h3>
            <Box as="ul" display="grid" gap="1">
              {moved.map((m, i) => (
                <chakra.li key={i} pl="2" borderLeftWidth="3px" borderLeftStyle="solid" borderColor={colour[trend]}>
                  <Said text={m.about} />: <chakra.span color="muted">{<Said text={m.before} />}</chakra.span> →{" "}
                  <chakra.span fontWeight="600">{<Said text={m.after} />}</chakra.span>
                  {m.why && (
                    <Box fontSize="sm" color="muted">
                      <Said text={m.why} />
                    </Box>
                  )}
                </chakra.li>
              ))}
            </Box>
          </Box>
        );
      })}
      <Box color="muted" fontSize="sm">
        {difference.moved.length === 0
          ? "Everything is as it was."
          : `${difference.stayed} ${difference.stayed === 1 ? "answer about a device or need" : "answers about devices and needs"} stayed as they were.`}
      </Box>
    </Box>
  );
}
