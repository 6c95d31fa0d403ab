import { Box, chakra, Flex } from "@chakra-ui/react";
import type { Schemas } from "../../api/client";
import { Answer } from "../../ui/Answer";
import { Button } from "../../ui/controls";
import { levelColour, levelWord } from "../../ui/pieces";
import { Cell, Head } from "../../ui/tables";
import { pointsText } from "../../ui/words";

interface Props {
  options: readonly Schemas["OptionDocument"][];
  /** Makes one the plan; null while that cannot be done. */
  choose: ((number: number) => void) | null;
  /** Asks for a name under which one is kept beside the plan; left out where none can be. */
  keep?: ((number: number) => void) | undefined;
  /** The option that is drawn, and how another is; left out where none can be. */
  drawn?: { number: number | null; draw: (number: number | null) => void } | undefined;
  /** Whether it is one that was asked for, and has no number. */
  alone?: boolean;
}

/** Options in columns: what becomes of each box, each need, and what speaks against it. */
export function OptionsTable({ options, choose, keep, drawn, alone = false }: Props) {
  const [first] = options;
  if (!first) {
    return null;
  }
  const row = <T,>(of: (option: Schemas["OptionDocument"]) => T) => options.map(of);
  // An option may have boxes that the others do without: those to be bought.
  const boxes = [...new Map(options.flatMap((o) => o.boxes).map((b) => [b.box, b])).values()];
  const needs = row((o) => o.needs);
  const against = row((o) => o.against);
  return (
    <Box overflowX="auto" tabIndex={0} role="region" aria-label={alone ? "The way that was asked for, table" : "Options, table"}>
      <chakra.table width="100%" css={{ borderCollapse: "collapse", tableLayout: "fixed" }} minW={`${11 + 12 * options.length}rem`}>
        <thead>
          <tr>
            <Head scope="col" width={{ base: "8rem", md: "12rem" }}>
              Option
            </Head>
            {options.map((o, i) => (
              <Head key={i} scope="col" css={{ verticalAlign: "top" }}>
                <Flex direction="column" gap="1" align="flex-start">
                  <chakra.span fontSize="md">
                    {!alone && <chakra.span color="ink">{i + 1} </chakra.span>}
                    <chakra.span color={levelColour(o.kind)} fontWeight="700">
                      {levelWord(o.kind)}
                    </chakra.span>
                  </chakra.span>
                  <chakra.span fontWeight="400">{o.verdict}</chakra.span>
                  <span>{pointsText(o.points)} points</span>
                  {o.notTonight.length > 0 && (
                    <Box color="ochre" fontWeight="400">
                      <chakra.span fontWeight="700">Not tonight</chakra.span>: ask the provider first.
                    </Box>
                  )}
                  <Button
                    variant={i === 0 && !alone ? "main" : "act"}
                    disabled={!choose}
                    onClick={() => choose?.(i + 1)}
                    aria-label={alone ? "Make this the plan" : `Make option ${i + 1} the plan`}
                  >
                    Make it the plan
                  </Button>
                  {keep && (
                    <Button variant="quiet" disabled={!choose} aria-label={`Keep option ${i + 1}`} onClick={() => keep(i + 1)}>
                      Keep it for later
                    </Button>
                  )}
                  {drawn && (
                    <Button
                      variant="quiet"
                      disabled={!choose}
                      aria-pressed={drawn.number === i + 1}
                      aria-label={`Draw option ${i + 1}`}
                      onClick={() => drawn.draw(drawn.number === i + 1 ? null : i + 1)}
                    >
                      Draw it
                    </Button>
                  )}
                </Flex>
              </Head>
            ))}
          </tr>
        </thead>
        <tbody>
          <Group says="What becomes of each box" across={options.length} />
          {boxes.map(({ box, name, toBuy }) => {
            const become = row((o) => o.boxes.find((b) => b.box === box));
            return (
              <tr key={box}>
                <Label>{toBuy ? `${name} (to buy)` : name}</Label>
                {become.map((b, i) => (
                  <Cell
                    key={i}
                    fontWeight={b?.becomes === become[0]?.becomes ? undefined : "700"}
                    color={!b || b.kind === "unused" ? "muted" : undefined}
                  >
                    {b?.becomes ?? "not needed"}
                  </Cell>
                ))}
              </tr>
            );
          })}
          {first.needs.length > 0 && <Group says="Needs" across={options.length} />}
          {first.needs.map((n, r) => (
            <tr key={n.need}>
              <Label>{n.asked}</Label>
              {needs.map((of, i) => {
                const need = of[r];
                return (
                  <Cell key={i}>
                    {need && (
                      <>
                        <Answer kind={need.answer} /> {need.why}
                      </>
                    )}
                  </Cell>
                );
              })}
            </tr>
          ))}
          <Group says="What speaks against it" across={options.length} />
          {first.against.map((a, r) =>
            against.every((of) => of[r]?.count === 0) ? null : (
              <tr key={a.says}>
                <Label>{a.says}</Label>
                {against.map((of, i) => (
                  <Number key={i} of={of[r]?.count ?? 0} strong={of[r]?.count !== a.count} />
                ))}
              </tr>
            ),
          )}
          <Sentences head="Typed addresses that move" color="ink" of={row((o) => o.renumbered)} />
          <Sentences head="Ask the provider first" of={row((o) => o.notTonight)} />
          <Sentences head="Not your way" of={row((o) => o.departures)} />
          <tr>
            <Label>Points</Label>
            {options.map((o, i) => (
              <Number key={i} of={o.points} strong />
            ))}
          </tr>
        </tbody>
      </chakra.table>
    </Box>
  );
}

/** What is said of each option in sentences; nothing where there are none. */
const Sentences = ({ head, of, color = "ochre" }: { head: string; of: readonly (readonly string[])[]; color?: string }) =>
  of.every((said) => said.length === 0) ? null : (
    <tr>
      <Label>{head}</Label>
      {of.map((said, i) => (
        <Cell key={i} css={{ verticalAlign: "top" }}>
          {said.map((s) => (
            <Box key={s} color={color} pb="1">
              {s}
            </Box>
          ))}
        </Cell>
      ))}
    </tr>
  );

const Label = ({ children }: { children: string }) => (
  <Cell as="th" fontWeight="400" color="muted" {...{ scope: "row" }}>
    {children}
  </Cell>
);

const Group = ({ says, across }: { says: string; across: number }) => (
  <tr>
    <Head scope="rowgroup" colSpan={across + 1} pt="3">
      {says}
    </Head>
  </tr>
);

const Number = ({ of, strong }: { of: number; strong: boolean }) => (
  <Cell fontFamily="mono" fontWeight={strong ? "700" : undefined} color={of === 0 ? "muted" : undefined}>
    {pointsText(of)}
  </Cell>
);
