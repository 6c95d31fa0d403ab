import { Box, chakra, Flex } from "@chakra-ui/react";
import { useState } from "react";
import { useNavigate, useSearchParams } from "react-router";
import type { JobState } from "../../api/client";
import { Button } from "../../ui/controls";
import { Trouble, Waiting } from "../../ui/pieces";
import { MyWay } from "../shared/MyWay";
import type { JobTools } from "../shared/jobTools";
import { OptionDrawing } from "./OptionDrawing";
import { OptionsTable } from "./OptionsTable";
import { useOptions } from "../shared/useOptions";
import { Impossible } from "./Impossible";
import { KeepOption } from "./KeepOption";
import { KeptOptions } from "./KeptOptions";
import { NotMet } from "./NotMet";
import { WhyNot } from "./WhyNot";

/** What each box should become: options side by side, each proven, with what speaks against it. */
export default function OptionsPane({ state, tools }: { state: JobState; tools: JobTools }) {
  const [query, setQuery] = useSearchParams();
  const go = useNavigate();
  const { answer, stop, anew } = useOptions(state);
  const [drawn, draw] = useState<number | null>(null);
  const [keeping, keep] = useState<number | null>(null);
  const leave = () => {
    const next = new URLSearchParams(query);
    next.delete("options");
    setQuery(next);
  };
  const stands = state.setUps.includes("planned");
  const chosen = () => void go("../plan?setUp=planned", { relative: "path" });
  const plan = answer.data;
  // Those of what was found before, until the new ones are there, are looked at only.
  const open = plan !== undefined && !plan.isRunning && !answer.isPlaceholderData;

  return (
    <Box p="4" maxW="90rem" display="grid" gap="3" gridTemplateColumns="minmax(0, 1fr)">
      <Flex justify="space-between" align="center" gap="3" wrap="wrap">
        <chakra.h1 fontSize="xl">Options</chakra.h1>
        <Button onClick={leave}>Back to the plan</Button>
      </Flex>
      <Box color="muted">
        What each box should become, worked out from what was found. Each option is proven; the one with the fewest points comes first. One
        point is a minute of work.
        {stands && " The option that is chosen takes the place of the plan that stands; undo brings that back."}
      </Box>
      <MyWay job={state.job.id} weights columns={{ base: "minmax(0, 1fr)", md: "1fr 1fr", lg: "1fr 1fr 1fr" }} />
      {answer.isError ? (
        <Trouble what="The options cannot be worked out." why={answer.error.message} again={() => void answer.refetch()} />
      ) : !plan ? (
        <Waiting what="Working out what each box could become, and proving it" />
      ) : (
        <>
          <Flex gap="3" align="center" wrap="wrap" minH="9">
            <Box role="status" color={!open || plan.isCut ? "ochre" : "muted"} fontSize="sm">
              {answer.isPlaceholderData
                ? "Searching anew: these are the options of before."
                : plan.isRunning
                  ? `Searching: ${plan.proven} set-ups are proven, and these are the best so far.`
                  : plan.isCut
                    ? `The search was cut short after ${plan.proven} set-ups, and these are the best so far.`
                    : `${plan.proven} set-ups were proven.`}
            </Box>
            {plan.isRunning && !answer.isPlaceholderData && <Button onClick={stop}>Stop here</Button>}
            {plan.isCut && open && <Button onClick={anew}>Search again</Button>}
          </Flex>
          <OptionsTable
            options={plan.options}
            drawn={{ number: drawn, draw }}
            keep={keep}
            choose={
              !open
                ? null
                : (number) => tools.chooseOption({ number, box: null, as: null, keepAs: null, restsOn: plan.restsOn ?? null }, chosen)
            }
          />
          {open && keeping !== null && keeping <= plan.options.length && (
            <KeepOption key={keeping} number={keeping} restsOn={plan.restsOn ?? null} tools={tools} done={() => keep(null)} />
          )}
          <KeptOptions state={state} tools={tools} />
          {open && plan.impossible.length > 0 && <Impossible certificates={plan.impossible} />}
          {open && plan.notMet.map((need) => <NotMet key={need.need} need={need} />)}
          {drawn !== null && open && drawn <= plan.options.length && <OptionDrawing state={state} number={drawn} />}
          {open && (
            <WhyNot
              plan={plan}
              state={state}
              choose={(box, as) => tools.chooseOption({ number: null, box, as, keepAs: null, restsOn: plan.restsOn ?? null }, chosen)}
            />
          )}
        </>
      )}
    </Box>
  );
}
