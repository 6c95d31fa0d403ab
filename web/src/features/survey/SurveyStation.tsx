import { Box } from "@chakra-ui/react";
import { useRef, type ReactNode } from "react";
import type { JobState, Schemas } from "../../api/client";
import { Button } from "../../ui/controls";
import { Unseen } from "../../ui/tables";
import { useShown } from "../shared/useShown";
import { useOptions } from "../shared/useOptions";
import { useSurvey } from "../shared/useSurvey";
import type { JobTools } from "../shared/jobTools";
import { Parts } from "../../ui/Parts";
import { useWide } from "../../ui/useWide";
import { BoxSheet } from "./BoxSheet";
import { CablesPart } from "./CablesPart";
import { Answer } from "./Answer";
import { ReadingsPart } from "../readings/ReadingsPart";
import { KeysPart } from "./KeysPart";
import { Lists } from "./Lists";
import { ServiceSheet } from "./ServiceSheet";
import { TablesPart } from "./TablesPart";
import { DeviceSheet, PlaceSheet } from "./ThingSheets";

const parts = {
  here: "What is here",
  cables: "Cables and sockets",
  readings: "Readings",
  keys: "Passwords",
  tables: "Tables in and out",
} as const;

type Part = keyof typeof parts;

/** What is here, and what does the customer need: typed quickly on the left, the chosen thing or what it adds up to on the right. */
export default function SurveyStation({ state, tools }: { state: JobState; tools: JobTools }) {
  const [{ part, thing }, show] = useShown(["part", "thing"]);
  const survey = useSurvey(state);
  const wide = useWide();
  const sheet = useRef<HTMLDivElement>(null);
  const chosen: Part = part !== null && part in parts ? (part as Part) : "here";
  // What is typed is proven first; the search for options comes after it, where it is shown.
  const options = useOptions(state, chosen === "here" && survey.data !== undefined && !survey.isPlaceholderData).answer;
  const choose = (id: string | null) => {
    show({ thing: id });
    // On a narrow screen the sheet stands below the lists: go there.
    if (!wide && id !== null) {
      requestAnimationFrame(() => sheet.current?.focus());
    }
  };
  const picked = thing === null ? null : open(thing, state, survey.data, options.data, tools);
  return (
    <Box
      p={{ base: "3", lg: "5" }}
      pt={{ base: "2", lg: "2" }}
      maxW="84rem"
      mx="auto"
      display="grid"
      gridTemplateColumns="minmax(0, 1fr)"
      gap="3"
    >
      <Parts label="Parts of the survey" parts={parts} chosen={chosen} show={(p) => show({ part: p })} />
      <Unseen as="h1">{parts[chosen]}</Unseen>
      {chosen === "cables" && <CablesPart state={state} view={survey.data} tools={tools} />}
      {chosen === "readings" && <ReadingsPart state={state} tools={tools} />}
      {chosen === "keys" && <KeysPart state={state} />}
      {chosen === "tables" && <TablesPart state={state} tools={tools} />}
      {chosen === "here" && (
        <Box
          display="grid"
          gap="4"
          gridTemplateColumns={{ base: "minmax(0, 1fr)", lg: "minmax(0, 1.05fr) minmax(0, 1fr)" }}
          alignItems="start"
        >
          <Lists state={state} view={survey.data} plan={options.data} tools={tools} chosen={thing} choose={choose} />
          <Box
            as="aside"
            aria-label={picked ? "The chosen thing" : "What it adds up to"}
            ref={sheet}
            tabIndex={-1}
            outline="none"
            bg="card"
            borderWidth="1px"
            borderStyle="solid"
            borderColor="line"
            rounded="lg"
            p="4"
            minW="0"
          >
            {picked && (
              <Button variant="quiet" mb="1" px="1" onClick={() => choose(null)}>
                Back to what it adds up to
              </Button>
            )}
            {picked ?? <Answer state={state} view={survey.data} options={options} error={survey.error} tools={tools} choose={choose} />}
          </Box>
        </Box>
      )}
    </Box>
  );
}

/** The sheet of something in the survey; null where it is there no more. */
function open(
  thing: string,
  state: JobState,
  view: Schemas["SurveyView"] | undefined,
  plan: Schemas["PlanDocument"] | undefined,
  tools: JobTools,
): ReactNode {
  const { site } = state.design;
  if (thing === "service") {
    return <ServiceSheet key={site.service.kind} state={state} view={view} plan={plan} tools={tools} />;
  }
  const box = site.boxes.find((b) => b.id === thing);
  if (box) {
    return <BoxSheet key={thing} box={box} state={state} view={view} plan={plan} tools={tools} />;
  }
  const device = site.devices.find((d) => d.id === thing);
  if (device) {
    return <DeviceSheet key={thing} device={device} state={state} view={view} tools={tools} />;
  }
  const place = site.places?.find((p) => p.id === thing);
  return place ? <PlaceSheet key={thing} place={place} state={state} view={view} tools={tools} /> : null;
}
