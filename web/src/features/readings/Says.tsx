import { Box, chakra, Flex } from "@chakra-ui/react";
import { useId } from "react";
import type { Schemas } from "../../api/client";
import { Fold } from "../../ui/Fold";
import { Said } from "../../ui/Said";
import { agreementWords, capital, keysOf, readingKindWords, runByWords } from "../../ui/words";

type Statement = Schemas["Statement"];
type Agreement = Schemas["Agreement"];

const colours: Record<Agreement, string> = { agrees: "moss", disagrees: "brick", unknown: "ochre" };

/** Told by shape and word as well as by colour: one stroke through, an open ring, two strokes alike. */
function Standing({ of }: { of: Agreement }) {
  return (
    <chakra.svg
      viewBox="0 0 20 20"
      width="18px"
      height="18px"
      flexShrink={0}
      mt="0.5"
      color={colours[of]}
      role="img"
      aria-label={agreementWords[of]}
    >
      {of === "unknown" ? (
        <circle cx="10" cy="10" r="7" fill="none" stroke="currentColor" strokeWidth="2.5" strokeDasharray="4 3" />
      ) : (
        <>
          <path d="M3 7h14M3 13h14" stroke="currentColor" strokeWidth="2.8" />
          {of === "disagrees" && <path d="M14 2 6 18" stroke="currentColor" strokeWidth="2.8" />}
        </>
      )}
    </chakra.svg>
  );
}

interface Props {
  view: Schemas["ReadingView"];
  /** Ids of what is to be taken over; null where nothing can be. */
  taken: ReadonlySet<string> | null;
  take?: (id: string, taken: boolean) => void;
}

/** What a reading says of the home: what disagrees first, with what would explain it; what was not read last. */
export function Says({ view: { reading, comparison }, taken, take }: Props) {
  const kinds = [...new Set(reading.blocks.map((b) => b.kind))].filter((k) => k !== "command");
  return (
    <Box display="grid" gap="3" gridTemplateColumns="minmax(0, 1fr)">
      <Box fontSize="sm" color="muted">
        {kinds.length === 0 ? "Nothing was understood." : `Read: ${kinds.map((k) => readingKindWords[k]).join(", ")}.`}
        {comparison.seat ? ` Taken at: ${comparison.seat}.` : ""}
        {comparison.machine && (
          <Box>
            {comparison.machine.adapter.name && (
              <>
                <b>{comparison.machine.adapter.name}</b> counts.{" "}
              </>
            )}
            <Said text={comparison.machine.why} />
            {comparison.machine.others.length > 0 && ` Beside it: ${comparison.machine.others.join(", ")}.`}
          </Box>
        )}
      </Box>
      {keysOf(agreementWords).map((standing) => {
        const these = comparison.statements.filter((s) => s.agreement === standing);
        return these.length > 0 && <Group key={standing} standing={standing} statements={these} taken={taken} take={take} />;
      })}
      {comparison.outside && (
        <Box>
          <chakra.h3 fontSize="md">From outside</chakra.h3>
          <Box fontSize="sm">
            {comparison.outside.inbound}
            <Box as="ul" ps="4" listStyleType="disc" mt="1" color="muted">
              {comparison.outside.unproven.map((u) => (
                <li key={u}>
                  <Said text={u} />
                </li>
              ))}
            </Box>
          </Box>
        </Box>
      )}
      {comparison.baseline.length > 0 && <Runs groups={comparison.baseline} />}
      {reading.unreadCount > 0 && <Unread reading={reading} />}
    </Box>
  );
}

function Group({
  standing,
  statements,
  taken,
  take,
}: {
  standing: Agreement;
  statements: Statement[];
  taken: ReadonlySet<string> | null;
  take?: Props["take"];
}) {
  const id = useId();
  return (
    <Box as="section" aria-labelledby={id}>
      <chakra.h3 id={id} fontSize="md" color={colours[standing]}>
        {agreementWords[standing]} ({statements.length})
      </chakra.h3>
      <Box as="ul" display="grid" gap="1.5" mt="1">
        {statements.map((s) => (
          <li key={s.id}>
            <Flex gap="2" align="start">
              <Standing of={standing} />
              <Box minW="0" flex="1" fontSize="sm" overflowWrap="anywhere">
                <Said text={s.found} />
                {s.recorded && (
                  <Box color="muted">
                    <Said text={s.recorded} />
                  </Box>
                )}
                {(s.explanations ?? []).map((e) => (
                  <Box key={e.text} borderInlineStartWidth="2px" borderStyle="solid" borderColor="line.strong" ps="2" mt="1">
                    <Said text={e.text} />
                    {e.findings.map((f) => (
                      <Box key={f} color="muted">
                        Then: <Said text={f} />
                      </Box>
                    ))}
                  </Box>
                ))}
                {s.offer && taken && take && (
                  <chakra.label
                    display="flex"
                    gap="2"
                    alignItems="center"
                    minH="7"
                    fontWeight="600"
                    css={{ "@media (pointer: coarse)": { minHeight: "44px" } }}
                  >
                    <chakra.input
                      type="checkbox"
                      width="1.15rem"
                      height="1.15rem"
                      flexShrink={0}
                      css={{ accentColor: "var(--chakra-colors-copper)" }}
                      checked={taken.has(s.id)}
                      onChange={(e) => take(s.id, e.target.checked)}
                    />
                    <span>
                      Accept: <Said text={s.offer} />
                    </span>
                  </chakra.label>
                )}
              </Box>
            </Flex>
          </li>
        ))}
      </Box>
    </Box>
  );
}

const rate = (of: Schemas["MedianSpread"]) =>
  `${of.median.toFixed(of.median < 10 ? 1 : 0)} (${of.least.toFixed(0)} to ${of.most.toFixed(0)})`;

function Runs({ groups }: { groups: Schemas["BaselineGroup"][] }) {
  return (
    <Box display="grid" gap="2">
      <chakra.h3 fontSize="md">Speed</chakra.h3>
      {groups.map((g) => (
        <Box key={`${g.place} ${g.by} ${g.to ?? ""}`} fontSize="sm">
          <b>
            {capital(g.place)}, by {runByWords[g.by]}
            {g.to && `, to ${g.to}`}
          </b>
          : {g.down && `${rate(g.down)} Mb/s down, `}
          {g.up && `${rate(g.up)} up, `}
          {g.usable} of {g.runs} {g.runs === 1 ? "run counts" : "runs count"}.
          <Box as="ul" ps="4" listStyleType="disc" color="muted">
            {g.says.map((s) => (
              <li key={s}>{s}</li>
            ))}
          </Box>
        </Box>
      ))}
    </Box>
  );
}

function Unread({ reading }: { reading: Schemas["Reading"] }) {
  return (
    <Fold
      title={`${reading.unreadCount} ${reading.unreadCount === 1 ? "line was" : "lines were"} not read`}
      open={reading.blocks.length === 0 || undefined}
    >
      <Box as="ul" display="grid" gap="1" mt="1">
        {reading.unread.map((u) => (
          <li key={`${u.line} ${u.text}`}>
            <chakra.span fontFamily="mono" overflowWrap="anywhere">
              {u.line > 0 && `${u.line}: `}
              {u.text}
            </chakra.span>
            <Box color="muted">{u.why}</Box>
          </li>
        ))}
        {reading.unreadCount > reading.unread.length && <li>And {reading.unreadCount - reading.unread.length} more.</li>}
      </Box>
    </Fold>
  );
}
