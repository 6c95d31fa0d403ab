import { Box, chakra, Flex } from "@chakra-ui/react";
import { lazy, Suspense, useEffect, type ReactNode } from "react";
import { useParams, useSearchParams } from "react-router";
import { ErrorBoundary } from "../../ui/ErrorBoundary";
import { NotHere } from "../../ui/NotHere";
import { Waiting } from "../../ui/pieces";
import { JobHeader } from "./JobHeader";
import { isStation, stationWords, type Station } from "./stations";
import { useJob } from "../shared/useJob";
import type { JobStatus, JobTools, OpenJob } from "../shared/jobTools";
import type { JobState } from "../../api/client";
import { Button, Mono } from "../../ui/controls";

const PlanStation = lazy(() => import("../plan/PlanStation"));
const SurveyStation = lazy(() => import("../survey/SurveyStation"));
const RunStation = lazy(() => import("../run/RunStation"));
const ProofStation = lazy(() => import("../proof/ProofStation"));

/** One job, one of its five stations shown. */
export default function JobScreen() {
  const { id, station } = useParams();
  const [query] = useSearchParams();
  // The survey records what was found; the other stations show the set-up that is chosen.
  const { job, tools, preview, status } = useJob(Number(id), station === "survey" ? "found" : query.get("setUp"));
  const state = job.data;
  const name = state?.job.name;

  useEffect(() => {
    document.title = name ? `${name} · Altrin` : "Altrin";
  }, [name]);

  if (!isStation(station)) {
    return <NotHere what="This job has no such page." job={id} />;
  }
  if (job.error && !state) {
    return <NotHere what="This job cannot be opened." why={job.error.message} again={() => void job.refetch()} />;
  }
  if (!state) {
    return <Waiting what="Opening the job" />;
  }
  // The drawing takes the height of the window; what is read as a page scrolls as one.
  const drawn = station === "run" || (station === "plan" && query.get("view") !== "list");
  return (
    <Flex direction="column" minH="100vh" height={{ lg: drawn ? "100vh" : "auto" }}>
      <JobHeader state={state} station={station} tools={tools} status={status} />
      <Bars tools={tools} status={status} />
      <chakra.main flex="1" minH="0" overflow={{ lg: drawn ? "auto" : "visible" }}>
        <ErrorBoundary key={station} of={stationWords[station].name}>
          <Suspense fallback={<Waiting what={`Opening ${stationWords[station].name}`} />}>
            {show(station, { state, tools, preview })}
          </Suspense>
        </ErrorBoundary>
      </chakra.main>
    </Flex>
  );
}

type Shown = Pick<OpenJob, "tools" | "preview"> & { state: JobState };

function show(station: Station, { state, tools, preview }: Shown): ReactNode {
  switch (station) {
    case "survey":
      return <SurveyStation state={state} tools={tools} />;
    case "plan":
      return <PlanStation state={state} preview={preview} tools={tools} />;
    case "proof":
      return <ProofStation state={state} tools={tools} />;
    case "run":
      return <RunStation state={state} />;
    default:
      return (
        <Box p="6" maxW="40rem">
          <chakra.h1 fontSize="xl">{stationWords[station].name}</chakra.h1>
          <Box mt="2">{stationWords[station].coming}</Box>
        </Box>
      );
  }
}

/** What has to be said about the whole job, above its station. */
function Bars({ tools, status }: { tools: JobTools; status: JobStatus }) {
  return (
    <>
      {status.otherTab && (
        <Flex role="alert" bg="clay.2" px="4" py="2" gap="3" align="center" wrap="wrap">
          <span>The last change was made in another tab. {status.otherTab}</span>
          <Button onClick={() => tools.undo(true)}>Undo it</Button>
          <Button variant="quiet" onClick={tools.leaveOtherTab}>
            Keep it
          </Button>
        </Flex>
      )}
      {status.asking && (
        <Box role="alertdialog" aria-label="The same was changed elsewhere" bg="clay.2" px="4" py="2">
          <Box>
            {status.asking.clashes.length > 0
              ? "The same was changed elsewhere since this page read it."
              : "This job was changed elsewhere since this page read it, and whether that is about the same could not be told."}{" "}
            {status.asking.why}
          </Box>
          <Box as="ul" my="1" pl="5" fontSize="sm">
            {status.asking.clashes.map((c) => (
              <li key={`${c.setUp} ${c.what}`}>
                {c.what}: <Mono>{c.theirs || "nothing"}</Mono> there, <Mono>{c.yours || "nothing"}</Mono> here
              </li>
            ))}
          </Box>
          <Flex gap="3" wrap="wrap">
            <Button onClick={() => tools.answer(true)}>Use what I set</Button>
            <Button variant="quiet" onClick={() => tools.answer(false)}>
              Keep what is there
            </Button>
          </Flex>
        </Box>
      )}
      {status.notice && (
        <Flex role="alert" bg="clay.2" px="4" py="2" gap="3" align="center" wrap="wrap">
          <span>{status.notice}</span>
          <Button variant="quiet" onClick={tools.dismiss}>
            Close
          </Button>
        </Flex>
      )}
    </>
  );
}
