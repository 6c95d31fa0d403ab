import { Box, chakra, Flex } from "@chakra-ui/react";
import { Printer } from "lucide-react";
import { Link } from "react-router";
import { api, unwrap, type JobState, type Schemas } from "../../api/client";
import { Fold } from "../../ui/Fold";
import { Labelled, Trouble } from "../../ui/pieces";
import { Said } from "../../ui/Said";
import { Select } from "../../ui/controls";
import { useWide } from "../../ui/useWide";
import { Asked } from "../shared/Asked";
import { nameOf } from "../shared/designReading";
import { useShown } from "../shared/useShown";
import { useStepKeys } from "./useStepKeys";
import { Checks } from "./Checks";
import { DerivedStep } from "./DerivedStep";
import { Otherwise } from "./Otherwise";
import { OtherSheets } from "./OtherSheets";
import { MyWay } from "../shared/MyWay";
import { PhaseList } from "./PhaseList";
import { HomeThen, StepMoment } from "./StepMoment";
import { Totals } from "./Totals";
import { useRun } from "../shared/useRun";
import { WayBack } from "./WayBack";

interface Props {
  state: JobState;
  all: readonly Schemas["SheetInfo"][];
  choose: (id: number) => void;
}

/** The run sheet that is worked out from what was found and what is planned; it follows the plan at once. */
export function DerivedSheet({ state, all, choose }: Props) {
  const [{ to }, show] = useShown(["to", "step"]);
  const run = useRun(state, to);
  if (run.isError) {
    return (
      <Box p={{ base: "3", lg: "5" }} maxW="44rem" mx="auto">
        <chakra.h1 fontSize="xl">Run sheet</chakra.h1>
        <Trouble what="No run sheet can be worked out." why={run.error.message} again={() => void run.refetch()} />
        {to !== null && <Link to="?">Work out the one to the planned set-up</Link>}
      </Box>
    );
  }
  return (
    <Asked of={run} what="The run sheet">
      {(found) =>
        found.sheet ? (
          <Sheet state={state} run={found} sheet={found.sheet} all={all} choose={choose} />
        ) : (
          <Box p={{ base: "3", lg: "5" }} maxW="44rem" mx="auto">
            <chakra.h1 fontSize="xl">Run sheet</chakra.h1>
            <First state={state} run={found} />
            <Ends run={found} show={(end) => show({ to: end, step: null })} />
            <Fold title="Typed by hand" mt="4">
              <OtherSheets job={state.job.id} chosen={null} all={all} choose={choose} />
            </Fold>
          </Box>
        )
      }
    </Asked>
  );
}

/** What has to be done before there is an order to work out. */
function First({ state, run }: { state: JobState; run: Schemas["RunState"] }) {
  const end = run.ends.find((e) => e.name === run.to);
  if (!end) {
    return (
      <Box my="3">
        There is nothing to lead to yet: the home has one set-up, {run.from}. First{" "}
        <Link to={`/jobs/${state.job.id}/plan`}>start a plan</Link>.
      </Box>
    );
  }
  return (
    <>
      <Box my="3">
        The set-up {end.name} does not work yet. First{" "}
        <Link to={`/jobs/${state.job.id}/proof?setUp=${encodeURIComponent(end.name)}`}>see in the proof</Link> what is wrong with it, and
        settle that in the plan; the order of the work then follows by itself.
      </Box>
      <Box as="ul" pl="5">
        {end.faults.map((f) => (
          <li key={f}>
            <Said text={f} />
          </li>
        ))}
      </Box>
    </>
  );
}

/** In which set-up the work ends: of several, one is chosen. */
function Ends({ run, show }: { run: Schemas["RunState"]; show: (end: string) => void }) {
  return run.ends.length < 2 ? null : (
    <Box my="2">
      <Labelled label={`From ${run.from} to`}>
        {(ids) => (
          <Select {...ids} value={run.to ?? ""} onChange={(e) => show(e.target.value)}>
            {run.ends.map((e) => (
              <option key={e.name} value={e.name}>
                {e.name}
                {e.faults.length > 0 ? " (does not work yet)" : ""}
              </option>
            ))}
          </Select>
        )}
      </Labelled>
    </Box>
  );
}

function FoldedChecks({ of }: { of: Schemas["SheetChecks"] }) {
  return (
    <Fold title={`${of.title} (${of.items.length})`} mt="3" px="3">
      <Checks of={of} />
    </Fold>
  );
}

function Sheet({ state, run, sheet, all, choose }: Props & { run: Schemas["RunState"]; sheet: Schemas["SheetDocument"] }) {
  const [{ step }, show] = useShown(["step", "to"]);
  const wide = useWide();
  // The drawing stands beside the step where there is room for three columns.
  const beside = useWide("80em");
  const last = sheet.steps.length;
  // A step that is done by now, or that another plan has not, leads to the first one.
  const known = sheet.steps.findIndex((s) => s.id === step) + 1;
  const at = step === "start" ? 0 : Math.max(known, Math.min(1, last));
  const idOf = (number: number) => (number === 0 ? "start" : (sheet.steps[number - 1]?.id ?? "start"));
  const go = (number: number) => {
    if (number >= 0 && number <= last) {
      show({ step: idOf(number) });
    }
  };
  const keys = useStepKeys(at, go);
  const params = { path: { id: state.job.id, step: idOf(at) }, query: { from: sheet.from, to: sheet.to } };
  // In another way of working a step of the same id may be another one.
  const key = ["run", state.job.id, state.revision, sheet.from, sheet.to, Object.values(run.ways).join(), idOf(at)];
  const now = sheet.steps[at - 1];
  const moment = {
    queryKey: [...key, "moment"],
    queryFn: ({ signal }: { signal: AbortSignal }) => unwrap(api.GET("/api/jobs/{id}/run/steps/{step}", { params, signal })),
  };
  const ifNot = {
    queryKey: [...key, "if-not"],
    queryFn: ({ signal }: { signal: AbortSignal }) => unwrap(api.GET("/api/jobs/{id}/run/steps/{step}/if-not", { params, signal })),
  };
  const otherwise = {
    queryKey: [...key, "otherwise"],
    queryFn: ({ signal }: { signal: AbortSignal }) => unwrap(api.GET("/api/jobs/{id}/run/steps/{step}/otherwise", { params, signal })),
  };
  const back = {
    queryKey: [...key, "back"],
    queryFn: ({ signal }: { signal: AbortSignal }) => unwrap(api.GET("/api/jobs/{id}/run/steps/{step}/back", { params, signal })),
  };
  return (
    <Box
      display="grid"
      gridTemplateColumns={beside ? "20rem minmax(0, 1fr) minmax(24rem, 36%)" : wide ? "24rem minmax(0, 1fr)" : "minmax(0, 1fr)"}
      height={{ lg: "100%" }}
    >
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
        {/* However much there is to say of the order, its steps stay in sight. */}
        <Box px="3" pt="3" pb="2" maxH={{ lg: "60%" }} overflowY={{ lg: "auto" }} flexShrink="0">
          <Flex justify="space-between" align="baseline" gap="2">
            <chakra.h1 fontSize="xl">Run sheet</chakra.h1>
            <Link to={`?${new URLSearchParams({ part: "paper", to: sheet.to }).toString()}`}>
              <Printer size={14} aria-hidden style={{ display: "inline" }} /> Print or save
            </Link>
          </Flex>
          <Totals sheet={sheet} go={go} />
          <Ends run={run} show={(end) => show({ to: end, step: null })} />
        </Box>
        <Box overflowY={{ lg: "auto" }} minH="0" flex="1">
          {sheet.checksBefore.map((list) => (
            <FoldedChecks key={list.title} of={list} />
          ))}
          <PhaseList steps={sheet.steps} at={at} go={go} follow={wide} />
          {sheet.checksAfter.map((list) => (
            <FoldedChecks key={list.title} of={list} />
          ))}
          {sheet.material.length > 0 && (
            <Fold title="Take along" mt="3" px="3">
              <Box as="ul" pl="5">
                {sheet.material.map((m) => (
                  <li key={m}>
                    <Said text={m} />
                  </li>
                ))}
              </Box>
            </Fold>
          )}
          <Box mt="3" px="3">
            <MyWay job={state.job.id} />
          </Box>
          <Fold title="Typed by hand" mt="2" px="3" pb="3">
            <OtherSheets job={state.job.id} chosen={null} all={all} choose={choose} />
          </Fold>
          {keys}
        </Box>
      </Flex>
      <Box order={{ base: 1, lg: 2 }} minW="0" minH="0" overflowY={{ lg: "auto" }}>
        <Box p={{ base: "3", lg: "4" }} display="grid" gap="4" gridTemplateColumns="minmax(0, 1fr)">
          <DerivedStep
            job={state.job.id}
            step={now}
            steps={sheet.steps}
            at={at}
            last={last}
            go={go}
            from={sheet.from}
            name={(id) => nameOf(state.design, id)}
          />
          <StepMoment moment={moment} ifNot={ifNot} at={at}>
            {now && now.otherwise.length > 0 && <Otherwise job={state.job.id} at={at} ask={otherwise} />}
            <WayBack job={state.job.id} at={at} from={sheet.from} undo={now?.undo} ask={back} />
          </StepMoment>
          {!beside && <HomeThen moment={moment} height={wide ? "46rem" : "30rem"} />}
        </Box>
      </Box>
      {beside && (
        <Box order={3} minW="0" p="3" pl="0">
          <HomeThen moment={moment} height="100%" />
        </Box>
      )}
    </Box>
  );
}
