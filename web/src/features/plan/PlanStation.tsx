import { Box, Flex } from "@chakra-ui/react";
import { lazy, Suspense, useRef, useState, type ReactNode } from "react";
import { Link, useSearchParams } from "react-router";
import type { JobState, Schemas } from "../../api/client";
import { KeyHelp } from "../../ui/KeyHelp";
import { Card, Waiting } from "../../ui/pieces";
import { Button } from "../../ui/controls";
import { AddressRule } from "../rule/AddressRule";
import { useWide } from "../../ui/useWide";
import type { JobTools } from "../shared/jobTools";
import { StartPlan } from "../shared/StartPlan";
import { choiceOf, withChoice, type Choice } from "../terraces/choice";
import type { Patching } from "../terraces/Terraces";
import { BoxInspector } from "./BoxInspector";
import { drawingAndSide } from "./columns";
import { notLookedAt, setUpOf } from "../shared/designReading";
import { DeviceInspector } from "./DeviceInspector";
import { DrawingPane } from "./DrawingPane";
import { GearList } from "./GearList";
import { CableInspector, PortInspector } from "./LinkInspectors";
import { useLongWay } from "./useLongWay";
import { usePlanKeys } from "./usePlanKeys";
import { ShortVerdict, VerdictPanel } from "./VerdictPanel";

const ComparePane = lazy(() => import("./ComparePane"));
const OptionsPane = lazy(() => import("./OptionsPane"));

interface Props {
  state: JobState;
  /** What is proven of changes that are only tried; null where none is. */
  preview: Schemas["Preview"] | null;
  tools: JobTools;
}

/** Plan: the drawing or the list of what is there, what the chosen thing is set to, and the verdict that follows. */
export default function PlanStation({ state, preview, tools }: Props) {
  const [query, setQuery] = useSearchParams();
  const inspector = useRef<HTMLDivElement>(null);
  const wide = useWide();
  const [cableFrom, setCableFrom] = useState<string | null>(null);
  const [aiming, setAiming] = useState(false);
  const [help, setHelp] = useState(false);
  const { design } = state;
  const shown = preview ?? state;
  // While a cable is aimed at a port, the port must not move: the verdict alone follows.
  const drawn = aiming ? state : shown;
  const choice = choiceOf(query);
  const way = useLongWay(state, choice);
  const list = query.get("view") === "list";

  const choose = (next: Choice | null) => {
    setQuery(withChoice(query, next), { replace: true });
    // On a narrow screen the settings stand below the list: go there.
    if (!wide && next) {
      requestAnimationFrame(() => inspector.current?.focus());
    }
  };
  const shortcuts = usePlanKeys({
    proof: shown.proof,
    choice,
    choose,
    tools,
    trying: preview !== null,
    on: !query.has("compare") && !query.has("options"),
    help: () => setHelp(true),
  });
  const view = (which: "drawing" | "list") => {
    const next = new URLSearchParams(query);
    if (which === "list") {
      next.set("view", "list");
    } else {
      next.delete("view");
    }
    setQuery(next, { replace: true });
  };
  const open = (pane: "compare" | "options") => {
    const next = withChoice(query, null);
    next.set(pane, "");
    setQuery(next);
  };
  const cable = (from: string, to: string) => ({ kind: "patch" as const, a: from, b: to, known: notLookedAt });
  const patching: Patching = {
    from: cableFrom,
    start: (port) => {
      setCableFrom(port);
      setAiming(false);
      tools.attempt(null);
    },
    finish: (from, to) => {
      setCableFrom(null);
      setAiming(false);
      choose(null);
      tools.act([cable(from, to)]);
    },
    over: (to, from = cableFrom ?? undefined) => {
      setAiming(to !== null);
      tools.attempt(from && to ? [cable(from, to)] : null);
    },
  };

  if (design.site.boxes.length === 0) {
    return (
      <Card m="4" maxW="34rem">
        No gear is noted yet.{" "}
        <Link to="../survey" relative="path">
          The survey
        </Link>{" "}
        is where it is entered, or a design file is opened from the list of jobs.
      </Card>
    );
  }

  if (query.has("options")) {
    return (
      <Suspense fallback={<Waiting what="Opening the options" />}>
        <OptionsPane state={state} tools={tools} />
      </Suspense>
    );
  }

  if (query.has("compare")) {
    return (
      <Suspense fallback={<Waiting what="Comparing" />}>
        <ComparePane state={state} />
      </Suspense>
    );
  }

  // What was not worked out cannot be drawn: everything would hang in the air. The list with its settings stands.
  const unproven = state.proof.verdict.kind === "notProven";
  const switcher = (
    <Flex role="group" aria-label="View" gap="1" wrap="wrap">
      {wide && !unproven && (
        <>
          <Button variant={list ? "quiet" : "act"} aria-pressed={!list} onClick={() => view("drawing")}>
            Drawing
          </Button>
          <Button variant={list ? "act" : "quiet"} aria-pressed={list} onClick={() => view("list")}>
            List
          </Button>
        </>
      )}
      <Button variant="quiet" onClick={() => open("options")}>
        Options
      </Button>
      <Button variant="quiet" onClick={() => open("compare")}>
        Compare
      </Button>
      <Button variant="quiet" aria-label="Keys" title="Keys (?)" onClick={() => setHelp(true)}>
        Keys
      </Button>
      <KeyHelp open={help} close={() => setHelp(false)} shortcuts={shortcuts} />
    </Flex>
  );
  const run = (from: string) => setCableFrom(from);
  const verdict = (
    <VerdictPanel
      proof={shown.proof}
      trying={preview?.label}
      apply={tools.act}
      chosen={choice?.kind === "finding" ? choice.id : null}
      choose={(id) => choose(id ? { kind: "finding", id } : null)}
    />
  );
  const drawing = (
    <DrawingPane
      design={drawn.design}
      proof={drawn.proof}
      choice={choice}
      choose={choose}
      patching={patching}
      tools={tools}
      way={way}
      lead={wide ? switcher : undefined}
    />
  );
  const rule = (
    <Box borderTopWidth="1px" borderTopStyle="solid" borderColor="line" bg="card">
      <AddressRule design={shown.design} proof={shown.proof} kept={state.proof} choice={choice} choose={choose} tools={tools} />
    </Box>
  );
  const first: Choice = { kind: "box", id: design.site.boxes[0]?.id ?? "" };
  const gear = <GearList design={design} proof={state.proof} chosen={choice?.id ?? first.id} choose={(kind, id) => choose({ kind, id })} />;

  // Planning on what was found would overwrite it: the plan is a copy.
  const notBegun = !state.setUps.includes("planned") && state.proof.setUp === "found" && (
    <Flex
      bg="clay.1"
      px="4"
      py="1.5"
      gap="3"
      align="center"
      wrap="wrap"
      borderBottomWidth="1px"
      borderBottomStyle="solid"
      borderColor="line"
      gridColumn="1 / -1"
    >
      <span>This is what was found. Changes here correct what was found.</span>
      <StartPlan tools={tools} />
    </Flex>
  );
  if (wide && !list && !unproven) {
    return (
      <Box display="grid" gridTemplateColumns={drawingAndSide} height="100%" minH="34rem">
        <Flex direction="column" minW="0" minH="0">
          {notBegun}
          {drawing}
          {rule}
        </Flex>
        <Side>
          {hasSettings(choice) ? (
            <ShortVerdict proof={shown.proof} trying={preview?.label} back={() => choose(null)}>
              <Settings choice={choice} state={state} tools={tools} choose={choose} run={run} />
            </ShortVerdict>
          ) : (
            verdict
          )}
        </Side>
      </Box>
    );
  }
  return (
    <Box
      display="grid"
      gridTemplateColumns={{ base: "minmax(0, 1fr)", lg: "minmax(0, 1fr) minmax(0, 1.05fr) minmax(20rem, 24rem)" }}
      gridTemplateAreas={{ base: `"verdict" "gear" "inspector" "drawing"`, lg: `"gear inspector verdict"` }}
      alignItems="start"
    >
      <Box gridArea="gear" p="3" minW="0">
        {notBegun && <Box mb="2">{notBegun}</Box>}
        <Box mb="2">{switcher}</Box>
        {gear}
      </Box>
      <Box gridArea="inspector" p="3" minW="0" ref={inspector} tabIndex={-1} outline="none">
        <Settings choice={hasSettings(choice) ? choice : first} state={state} tools={tools} choose={choose} run={run} />
      </Box>
      <Box
        gridArea="verdict"
        minW="0"
        bg="card"
        borderLeftWidth={{ lg: "1px" }}
        borderBottomWidth={{ base: "1px", lg: "0" }}
        borderStyle="solid"
        borderColor="line"
        minH={{ lg: "calc(100vh - 4.5rem)" }}
      >
        {verdict}
      </Box>
      {!wide && !unproven && (
        <Flex gridArea="drawing" direction="column" minW="0" borderTopWidth="1px" borderTopStyle="solid" borderColor="line">
          {drawing}
          {rule}
        </Flex>
      )}
    </Box>
  );
}

function Side({ children }: { children: ReactNode }) {
  return (
    <Box bg="card" borderLeftWidth="1px" borderLeftStyle="solid" borderColor="line" overflowY="auto" minH="0">
      {children}
    </Box>
  );
}

const hasSettings = (choice: Choice | null): choice is Choice => choice !== null && choice.kind !== "finding" && choice.kind !== "terrace";

/** What the chosen thing is set to. */
function Settings({
  choice,
  state,
  tools,
  choose,
  run,
}: {
  choice: Choice;
  state: JobState;
  tools: JobTools;
  choose: (choice: Choice) => void;
  run: (from: string) => void;
}) {
  const { design, proof } = state;
  switch (choice.kind) {
    case "box": {
      const box = design.site.boxes.find((b) => b.id === choice.id);
      return box ? (
        <BoxInspector key={box.id} box={box} setting={setUpOf(design).boxes.find((b) => b.box === box.id)} state={state} tools={tools} />
      ) : null;
    }
    case "device": {
      const device = design.site.devices.find((d) => d.id === choice.id);
      return device ? <DeviceInspector key={device.id} device={device} state={state} tools={tools} /> : null;
    }
    case "port":
      return <PortInspector key={choice.id} id={choice.id} design={design} tools={tools} run={() => run(choice.id)} />;
    case "cable":
      return (
        <CableInspector
          key={choice.id}
          id={choice.id}
          design={design}
          proof={proof}
          tools={tools}
          choose={(end) => choose({ kind: end.includes("/") ? "port" : "device", id: end })}
        />
      );
    default:
      return null;
  }
}
