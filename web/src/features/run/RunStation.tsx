import { Box, chakra, Flex } from "@chakra-ui/react";
import { useQuery } from "@tanstack/react-query";
import { useEffect, useMemo } from "react";
import { api, unwrap, type JobState, type Schemas } from "../../api/client";
import { Fold } from "../../ui/Fold";
import { Labelled } from "../../ui/pieces";
import { useWide } from "../../ui/useWide";
import { Select } from "../../ui/controls";
import type { JobTools } from "../shared/jobTools";
import { Asked } from "../shared/Asked";
import { nameOf } from "../shared/designReading";
import { useSheets } from "../shared/useSheets";
import { useShown } from "../shared/useShown";
import { StepCard } from "./StepCard";
import { StepList } from "./StepList";
import { StepMoment } from "./StepMoment";
import { TakeSheet } from "./TakeSheet";
import { lasting } from "./time";

/** What is done, step by step, and what should be seen at each: a sheet that was typed by hand, played on the simulated home. */
export default function RunStation({ tools }: { tools: JobTools }) {
  const state = tools.job.data;
  const sheets = useSheets(state?.job.id ?? 0);
  const [{ sheet }, show] = useShown(["sheet", "step"]);
  if (!state) {
    return null;
  }
  return (
    <Asked of={sheets} what="Run sheets">
      {(all) => {
        const chosen = all.find((s) => String(s.id) === sheet) ?? all[0];
        return chosen ? (
          <Sheet key={chosen.id} state={state} chosen={chosen} all={all} choose={(id) => show({ sheet: String(id), step: null })} />
        ) : (
          <Box p={{ base: "3", lg: "5" }} maxW="44rem" mx="auto">
            <chakra.h1 fontSize="xl">Run sheet</chakra.h1>
            <Box my="3">
              There is no run sheet yet. The order of the work is not worked out by itself so far: an evening is written down as a list of
              acts, taken in here, and played on the simulated home. Each step then says what the laptop should see, how long it takes, what
              cannot be done and why, and what it would break.
            </Box>
            <TakeSheet job={state.job.id} taken={(id) => show({ sheet: String(id), step: null })} />
          </Box>
        );
      }}
    </Asked>
  );
}

interface Props {
  state: JobState;
  chosen: Schemas["SheetInfo"];
  all: readonly Schemas["SheetInfo"][];
  choose: (id: number) => void;
}

function Sheet({ state, chosen, all, choose }: Props) {
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
  const go = useMemo(() => (to: number) => show({ step: String(to) }), [show]);

  // A page is read on with the arrow keys; fields and the drawing keep theirs.
  useEffect(() => {
    const key = (e: KeyboardEvent) => {
      const on = e.target as HTMLElement;
      if (e.ctrlKey || e.metaKey || e.altKey || on.closest("input,select,textarea,svg,[role=dialog]")) {
        return;
      }
      const to = e.key === "PageDown" ? at + 1 : e.key === "PageUp" ? at - 1 : null;
      if (to !== null && to >= 0 && to <= last) {
        e.preventDefault();
        go(to);
      }
    };
    window.addEventListener("keydown", key);
    return () => window.removeEventListener("keydown", key);
  }, [at, last, go]);

  return (
    <Asked of={played} what="The run sheet">
      {(sheet) => {
        const now = sheet.steps[at - 1];
        const list = (
          <>
            <StepList steps={sheet.steps} at={at} go={go} follow={wide} />
            <End sheet={sheet} />
            <Fold title="Other run sheets" mt="4" px="3" pb="3">
              {all.length > 1 && (
                <Box my="2">
                  <Labelled label="Shown">
                    {(ids) => (
                      <Select {...ids} value={chosen.id} onChange={(e) => choose(Number(e.target.value))}>
                        {all.map((s) => (
                          <option key={s.id} value={s.id}>
                            {s.name}
                          </option>
                        ))}
                      </Select>
                    )}
                  </Labelled>
                </Box>
              )}
              <Box my="2">
                <a href={`/api/jobs/${state.job.id}/sheets/${chosen.id}/content`}>Save this one as a file</a>
              </Box>
              <TakeSheet job={state.job.id} taken={choose} />
            </Fold>
          </>
        );
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
                <chakra.h1 fontSize="xl">Run sheet</chakra.h1>
                <Summary sheet={sheet} />
              </Box>
              <Box overflowY={{ lg: "auto" }} minH="0" flex="1">
                {list}
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
                <StepMoment job={state.job.id} revision={state.revision} sheet={chosen.id} at={at} wide={wide} />
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
        {sheet.sheet.name} · {sheet.steps.length} steps · about {lasting(Math.round(sheet.seconds / 60) * 60)}
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
