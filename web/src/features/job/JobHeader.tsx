import { Box, chakra, Flex } from "@chakra-ui/react";
import { Redo2, Undo2 } from "lucide-react";
import { Link, useNavigate, useSearchParams } from "react-router";
import type { ReactNode } from "react";
import type { JobState } from "../../api/client";
import { ColourSwitch } from "../../ui/ColourSwitch";
import { levelColour, levelWord } from "../../ui/pieces";
import { standing } from "../shared/findings";
import { stations, stationWords, type Station } from "./stations";
import type { JobStatus, JobTools } from "../shared/jobTools";
import { useRun } from "../shared/useRun";
import { Button, Select } from "../../ui/controls";
import { counted } from "../../ui/words";

interface Props {
  state: JobState;
  station: Station;
  tools: JobTools;
  status: JobStatus;
}

/** The name of the job, its stations with how far each is, undo and redo. */
export function JobHeader({ state, station, tools, status }: Props) {
  const [query, setQuery] = useSearchParams();
  const go = useNavigate();
  const level = state.proof.verdict.kind;
  const open = standing(state.proof).length;
  // Worked out only where it is looked at: it takes longer than a proof.
  const run = useRun(state, query.get("to"), station === "run").data;
  const progress: Partial<Record<Station, { text: string; colour?: string }>> = {
    survey: { text: state.missing === 0 ? "complete" : `${state.missing} not known`, colour: state.missing === 0 ? "moss" : "ochre" },
    plan:
      level === "notProven"
        ? { text: "open", colour: "ochre" }
        : level === "empty" && open === 0
          ? { text: "no devices yet", colour: "muted" }
          : { text: open === 0 ? "nothing to settle" : `${open} to settle`, colour: open === 0 ? "moss" : "ochre" },
    proof: { text: levelWord(level).toLowerCase(), colour: levelColour(level) },
    run: run
      ? run.sheet
        ? { text: counted(run.sheet.steps.length, "step"), colour: run.sheet.safe ? "moss" : "brick" }
        : { text: "plan first", colour: "ochre" }
      : { text: "" },
  };
  // These stations show a set-up of their own choosing.
  const fixed = station === "survey" || station === "run";
  return (
    <Flex
      as="header"
      wrap={{ base: "nowrap", md: "wrap" }}
      align="center"
      columnGap={{ base: "2", md: "5" }}
      rowGap="2"
      px={{ base: "3", lg: "5" }}
      py={{ base: "1", md: "2" }}
      bg="card"
      borderBottomWidth="1px"
      borderBottomStyle="solid"
      borderColor="line"
    >
      <Box fontWeight="800" fontSize="1.375rem">
        <Link to="/" style={{ textDecoration: "none" }} aria-label="Altrin, all jobs">
          altrin
        </Link>
      </Box>
      <Box
        minW="0"
        flex={{ base: "1 1 3rem", md: "0 1 auto" }}
        maxW={{ base: "15rem", lg: "9rem", xl: "10rem" }}
        // On a phone there is one line: what is worked on gives way to the set-up that is shown.
        display={{ base: fixed ? "block" : "none", md: "block" }}
      >
        <Box fontWeight="700" overflow="hidden" textOverflow="ellipsis" whiteSpace="nowrap" title={state.job.name}>
          {state.job.name}
        </Box>
        <Box color="muted" fontSize="xs" aria-live="polite" overflow="hidden" textOverflow="ellipsis" whiteSpace="nowrap">
          {status.asking
            ? "not saved yet"
            : status.busy
              ? "saving"
              : `saved ${new Date(state.job.changedAt).toLocaleTimeString("en-GB", { hour: "2-digit", minute: "2-digit" })} · version ${state.version}`}
        </Box>
      </Box>
      <Box
        width={{ base: "auto", md: "8rem" }}
        minW="0"
        flex={{ base: "1 1 4rem", md: "none" }}
        visibility={fixed ? "hidden" : undefined}
        display={{ base: fixed ? "none" : "block", lg: "block" }}
      >
        <Flex gap="1" fontSize="xs" color="muted" lineHeight="1" whiteSpace="nowrap" overflow="hidden">
          <chakra.label htmlFor="set-up">Set-up</chakra.label>
          <chakra.span display={{ base: "inline", md: "none" }} aria-live="polite">
            · {status.asking ? "not saved" : status.busy ? "saving" : "saved"}
          </chakra.span>
        </Flex>
        <Select
          id="set-up"
          minH="6"
          py="0"
          value={state.proof.setUp}
          onChange={(e) => {
            query.set("setUp", e.target.value);
            setQuery(query);
          }}
        >
          {state.setUps.map((s) => (
            <option key={s} value={s}>
              {s}
            </option>
          ))}
        </Select>
      </Box>
      <Select
        aria-label="Station"
        display={{ base: "block", md: "none" }}
        flex="1 1 6rem"
        width="auto"
        value={station}
        onChange={(e) => void go({ pathname: `../${e.target.value}`, search: query.toString() }, { relative: "path" })}
      >
        {stations.map((s) => (
          <option key={s} value={s}>
            {s === station ? stationWords[s].name : `${stationWords[s].name} · ${progress[s]?.text ?? "not built yet"}`}
          </option>
        ))}
      </Select>
      <chakra.nav aria-label="Stations" flex="1 1 24rem" minW="0" display={{ base: "none", md: "block" }}>
        <Flex as="ol" gap="1" wrap="wrap">
          {stations.map((s) => (
            <chakra.li key={s} flexShrink={0}>
              <chakra.span
                display="block"
                rounded="md"
                px={{ base: "2", md: "3" }}
                py="1"
                borderBottomWidth="3px"
                borderBottomStyle="solid"
                borderColor={s === station ? "copper" : "transparent"}
                bg={s === station ? "clay.1" : "transparent"}
              >
                <Link
                  to={{ pathname: `../${s}`, search: query.toString() }}
                  relative="path"
                  aria-current={s === station ? "page" : undefined}
                  style={{ color: "inherit", textDecoration: "none", fontWeight: s === station ? 700 : 500 }}
                >
                  {stationWords[s].name}
                  <chakra.span display="block" fontSize="xs" fontWeight="400" color={progress[s]?.colour ?? "muted"}>
                    {progress[s]?.text ?? "not built yet"}
                  </chakra.span>
                </Link>
              </chakra.span>
            </chakra.li>
          ))}
        </Flex>
      </chakra.nav>
      <Flex gap="1" align="center" flexShrink={0}>
        <Button
          variant="quiet"
          px={{ base: "2", md: "3" }}
          disabled={state.undo === null}
          onClick={() => tools.undo()}
          title={state.undo ? `Undo: ${state.undo}` : "Nothing to undo"}
          aria-label={state.undo ? `Undo: ${state.undo}` : "Undo"}
        >
          <Undo2 size={16} aria-hidden /> <Word>Undo</Word>
        </Button>
        <Button
          variant="quiet"
          px={{ base: "2", md: "3" }}
          disabled={state.redo === null}
          onClick={() => tools.redo()}
          title={state.redo ? `Redo: ${state.redo}` : "Nothing to redo"}
          aria-label={state.redo ? `Redo: ${state.redo}` : "Redo"}
        >
          <Redo2 size={16} aria-hidden /> <Word>Redo</Word>
        </Button>
        <Box display={{ base: "none", md: "block" }}>
          <ColourSwitch />
        </Box>
      </Flex>
    </Flex>
  );
}

/** What an icon says in words, where there is room for them. */
function Word({ children }: { children: ReactNode }) {
  return <chakra.span display={{ base: "none", md: "inline" }}>{children}</chakra.span>;
}
