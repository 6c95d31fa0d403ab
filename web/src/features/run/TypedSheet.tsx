import { Box, chakra, Flex } from "@chakra-ui/react";
import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import { api, unwrap, type JobState, type Schemas } from "../../api/client";
import { Fold } from "../../ui/Fold";
import { Trouble } from "../../ui/pieces";
import { useWide } from "../../ui/useWide";
import { counted } from "../../ui/words";
import { Asked } from "../shared/Asked";
import { nameOf } from "../shared/designReading";
import { useShown } from "../shared/useShown";
import { useStepKeys } from "./useStepKeys";
import { OtherSheets } from "./OtherSheets";
import { StepCard } from "./StepCard";
import { StepList } from "./StepList";
import { HomeThen, StepMoment } from "./StepMoment";
import { lasting } from "./time";

interface Props {
  state: JobState;
  chosen: Schemas["SheetInfo"];
  all: readonly Schemas["SheetInfo"][];
  choose: (id: number) => void;
}

/** A list of acts that was typed by hand, played on the simulated home act by act. */
export function TypedSheet({ state, chosen, all, choose }: Props) {
  const [{ step }, show] = useShown(["step"]);
  const wide = useWide();
  const played = useQuery({
    queryKey: ["sheet", state.job.id, state.revision, chosen.id],
    queryFn: ({ signal }) =>
      unwrap(api.GET("/api/jobs/{id}/sheets/{sheet}", { params: { path: { id: state.job.id, sheet: chosen.id } }, signal })),
  });
  const last = played.data?.steps.length ?? 0;
  const asked = Number(step ?? 1);
  const at = Number.isInteger(asked) ? Math.min(Math.max(asked, 0), last) : 1;
  const go = (to: number) => {
    if (to >= 0 && to <= last) {
      show({ step: String(to) });
    }
  };
  const keys = useStepKeys(at, go);

  const params = { path: { id: state.job.id, sheet: chosen.id, step: at } };
  const key = ["sheet", state.job.id, state.revision, chosen.id, at];
  const moment = {
    queryKey: [...key, "moment"],
    queryFn: ({ signal }: { signal: AbortSignal }) => unwrap(api.GET("/api/jobs/{id}/sheets/{sheet}/steps/{step}", { params, signal })),
  };
  const ifNot = {
    queryKey: [...key, "if-not"],
    queryFn: ({ signal }: { signal: AbortSignal }) =>
      unwrap(api.GET("/api/jobs/{id}/sheets/{sheet}/steps/{step}/if-not", { params, signal })),
  };

  if (played.isError) {
    // The set-up that it begins with or ends in may be gone: another sheet can be.
    return (
      <Box p={{ base: "3", lg: "5" }} maxW="44rem" mx="auto">
        <chakra.h1 fontSize="xl">Run sheet</chakra.h1>
        <Trouble what="This run sheet cannot be played." why={played.error.message} again={() => void played.refetch()} />
        <OtherSheets job={state.job.id} chosen={chosen.id} all={all} choose={choose} />
      </Box>
    );
  }
  return (
    <Asked of={played} what="The run sheet">
      {(sheet) => {
        const now = sheet.steps[at - 1];
        return (
          <Box display="grid" gridTemplateColumns={{ base: "minmax(0, 1fr)", lg: "25rem minmax(0, 1fr)" }} height={{ lg: "100%" }}>
            <Flex
              as="section"
              aria-label="Steps"
              direction="column"
              minH="0"
              order={{ base: 2, lg: 1 }}
              bg="card"
              borderRightWidth={{ lg: "1px" }}
              borderRightStyle="solid"
              borderColor="line"
            >
              <Box px="3" pt="3" pb="2">
                <chakra.h1 fontSize="xl">Typed by hand</chakra.h1>
                <Summary sheet={sheet} />
                <Box mt="1" fontSize="sm">
                  <Link to="?">Back to the run sheet that is worked out</Link>
                </Box>
              </Box>
              <Box overflowY={{ lg: "auto" }} minH="0" flex="1">
                <StepList steps={sheet.steps} at={at} go={go} follow={wide} />
                <End sheet={sheet} />
                <Fold title="Other run sheets" mt="4" px="3" pb="3">
                  <OtherSheets job={state.job.id} chosen={chosen.id} all={all} choose={choose} />
                </Fold>
                {keys}
              </Box>
            </Flex>
            <Box order={{ base: 1, lg: 2 }} minW="0" minH="0" overflowY={{ lg: "auto" }}>
              <Box p={{ base: "3", lg: "4" }} display="grid" gap="4" gridTemplateColumns="minmax(0, 1fr)">
                <StepCard
                  job={state.job.id}
                  step={now}
                  at={at}
                  last={last}
                  go={go}
                  from={sheet.from}
                  name={(id) => nameOf(state.design, id)}
                />
                <StepMoment moment={moment} ifNot={ifNot} at={at} />
                <HomeThen moment={moment} height={wide ? "46rem" : "30rem"} />
              </Box>
            </Box>
          </Box>
        );
      }}
    </Asked>
  );
}

/** What the whole of it comes to, in a line. */
function Summary({ sheet }: { sheet: Schemas["PlayedSheet"] }) {
  const refused = sheet.steps.filter((s) => s.refused !== null).length;
  const broken = sheet.steps.reduce((sum, s) => sum + s.breaks.length, 0);
  return (
    <Box fontSize="sm" color="muted">
      <Box>
        {sheet.sheet.name} · {counted(sheet.steps.length, "step")} · about {lasting(Math.round(sheet.seconds / 60) * 60)}
        {sheet.least && `; the changes alone take at least ${lasting(Math.max(60, Math.round(sheet.least.work.usual / 60) * 60))}`}
      </Box>
      <Box color={sheet.whole ? "moss" : "brick"} fontWeight="600">
        {sheet.whole
          ? `Plays through from ${sheet.from} to ${sheet.to}, and breaks nothing.`
          : [
              refused > 0 ? `${refused} ${refused === 1 ? "step" : "steps"} cannot be done` : "",
              broken > 0 ? `${broken} ${broken === 1 ? "rule is" : "rules are"} broken` : "",
              sheet.undone.length > 0 ? `${sheet.undone.length} left undone` : "",
              sheet.left.length > 0 ? `not yet as ${sheet.to}` : "",
            ]
              .filter((s) => s !== "")
              .join(" · ")}
      </Box>
    </Box>
  );
}

/** What is not as it should be once the last step is done. */
function End({ sheet }: { sheet: Schemas["PlayedSheet"] }) {
  const rest = [...sheet.undone.map((u) => u.text), ...sheet.left.map((l) => `Not as ${sheet.to}: ${l}`)];
  return rest.length === 0 ? null : (
    <Box px="3" mt="3" fontSize="sm">
      <chakra.h2 fontSize="sm" color="brick">
        At the end
      </chakra.h2>
      <Box as="ul" pl="5">
        {rest.map((r, i) => (
          <li key={i}>{r}</li>
        ))}
      </Box>
    </Box>
  );
}
