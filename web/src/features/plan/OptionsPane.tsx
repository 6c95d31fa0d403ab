import { Box, chakra, Flex } from "@chakra-ui/react";
import { useNavigate, useSearchParams } from "react-router";
import type { JobState, Schemas } from "../../api/client";
import { Answer } from "../../ui/Answer";
import { Button } from "../../ui/controls";
import { levelColour, levelWord, Trouble, Waiting } from "../../ui/pieces";
import { Cell, Head } from "../../ui/tables";
import { nameOf } from "../shared/designReading";
import type { JobTools } from "../shared/jobTools";
import { useOptions } from "./useOptions";

/** What each box should become: options side by side, each proven, with what speaks against it. */
export default function OptionsPane({ state, tools }: { state: JobState; tools: JobTools }) {
  const [query, setQuery] = useSearchParams();
  const go = useNavigate();
  const answer = useOptions(state);
  const leave = () => {
    const next = new URLSearchParams(query);
    next.delete("options");
    setQuery(next);
  };
  const stands = state.setUps.includes("planned");

  return (
    <Box p="4" maxW="90rem">
      <Flex justify="space-between" align="center" gap="3" wrap="wrap">
        <chakra.h1 fontSize="xl">Options</chakra.h1>
        <Button onClick={leave}>Back to the plan</Button>
      </Flex>
      <Box color="muted" mb="3">
        What each box should become, worked out from what was found. Each option is proven; the one with the fewest points comes first.
      </Box>
      {answer.isError ? (
        <Trouble what="The options cannot be worked out." why={answer.error.message} again={() => void answer.refetch()} />
      ) : !answer.data ? (
        <Waiting what="Working out what each box could become, and proving it" />
      ) : (
        <>
          <Table
            plan={answer.data}
            state={state}
            choose={(number) => tools.chooseOption(number, () => void go("../plan?setUp=planned", { relative: "path" }))}
          />
          <Box fontSize="sm" color="muted" mt="2">
            {answer.data.proven} set-ups were proven{answer.data.isCut && "; the search was cut short, and these are the best so far"}. One
            point is a minute of work.
            {stands && " The option that is chosen takes the place of the plan that stands; undo brings that back."}
          </Box>
        </>
      )}
    </Box>
  );
}

function Table({ plan, state, choose }: { plan: Schemas["PlanDocument"]; state: JobState; choose: (number: number) => void }) {
  const { options } = plan;
  const [first] = options;
  if (!first) {
    return null;
  }
  const row = <T,>(of: (option: Schemas["OptionDocument"]) => T[]) => options.map(of);
  const boxes = row((o) => o.boxes);
  const needs = row((o) => o.needs);
  const against = row((o) => o.against);
  return (
    <Box overflowX="auto" tabIndex={0} role="region" aria-label="Options, table">
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
                    <chakra.span color="ink">{i + 1}</chakra.span>{" "}
                    <chakra.span color={levelColour(o.kind)} fontWeight="700">
                      {levelWord(o.kind)}
                    </chakra.span>
                  </chakra.span>
                  <chakra.span fontWeight="400">{o.verdict}</chakra.span>
                  <span>{pointsText(o.points)} points</span>
                  <Button variant={i === 0 ? "main" : "act"} onClick={() => choose(i + 1)} aria-label={`Make option ${i + 1} the plan`}>
                    Make it the plan
                  </Button>
                </Flex>
              </Head>
            ))}
          </tr>
        </thead>
        <tbody>
          <Group says="What becomes of each box" across={options.length} />
          {first.boxes.map((b, r) => (
            <tr key={b.box}>
              <Label>{nameOf(state.design, b.box)}</Label>
              {boxes.map((of, i) => (
                <Cell
                  key={i}
                  fontWeight={of[r]?.becomes === b.becomes ? undefined : "700"}
                  color={of[r]?.kind === "unused" ? "muted" : undefined}
                >
                  {of[r]?.becomes}
                </Cell>
              ))}
            </tr>
          ))}
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

const pointsText = (of: number) => of.toLocaleString("en-US", { maximumFractionDigits: 1 });

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
