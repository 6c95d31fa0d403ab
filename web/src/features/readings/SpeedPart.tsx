import { Box, chakra, Flex } from "@chakra-ui/react";
import { useState } from "react";
import type { JobState, Schemas } from "../../api/client";
import { Button, Input } from "../../ui/controls";
import { Card, Labelled } from "../../ui/pieces";
import { WordSelect } from "../../ui/WordSelect";
import { runByWords } from "../../ui/words";
import { Cell, Head } from "../../ui/tables";
import type { JobTools } from "../shared/jobTools";
import { momentField } from "./content";
import { SeatSelect } from "../shared/SeatSelect";
import { Taken, WhereFields, type Where } from "./Taken";
import { useSeats } from "./useReadings";

type Run = Schemas["TypedRun"];

const amount = (text: string) => (text.trim() === "" ? null : Number(text.replace(",", ".")));

/** Runs of a speed test, typed one after another in one place. */
export function SpeedPart({
  state,
  tools,
  where,
  setWhere,
}: {
  state: JobState;
  tools: JobTools;
  where: Where;
  setWhere: (where: Where) => void;
}) {
  const [runs, setRuns] = useState<Run[]>([]);
  const [by, setBy] = useState<Run["by"]>("cable");
  const [tool, setTool] = useState("");
  const [to, setTo] = useState<string | null>(null);
  const seats = useSeats(state).data ?? [];
  const ends = seats.filter((s) => (s.kind === "device" || s.kind === "box") && s.id !== where.seat);
  const [fields, setFields] = useState({ seconds: "30", megabytes: "", down: "", up: "" });
  const [said, setSaid] = useState<string | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  const places = state.design.site.places ?? [];

  const add = () => {
    const [seconds, megabytes, down, up] = [amount(fields.seconds), amount(fields.megabytes), amount(fields.down), amount(fields.up)];
    if (!down || [seconds, megabytes, down, up].some((n) => n !== null && !(n > 0))) {
      setWrong("A rate towards the home in Mb/s is expected, and numbers over 0 elsewhere.");
      return;
    }
    setWrong(null);
    setSaid(null);
    setRuns([
      ...runs,
      {
        by,
        downMbps: down,
        upMbps: up,
        seconds,
        megabytes,
        tool: tool.trim(),
        place: where.place,
        to,
        at: (where.at ?? momentField(new Date())).replace("T", " "),
      },
    ]);
    setFields({ ...fields, down: "", up: "" });
  };
  const field = (key: keyof typeof fields, label: string) => (
    <Labelled label={label}>
      {(ids) => (
        <Input
          {...ids}
          inputMode="decimal"
          value={fields[key]}
          onChange={(e) => setFields({ ...fields, [key]: e.target.value })}
          onKeyDown={(e) => e.key === "Enter" && add()}
        />
      )}
    </Labelled>
  );
  return (
    <Box display="grid" gap="4" gridTemplateColumns={{ base: "minmax(0, 1fr)", lg: "minmax(0, 1fr) minmax(0, 1.1fr)" }} alignItems="start">
      <Card as="section" aria-label="Runs" display="grid" gap="3" gridTemplateColumns="minmax(0, 1fr)">
        <WhereFields state={state} where={where} set={setWhere} />
        <Box display="grid" gap="2" gridTemplateColumns={{ base: "minmax(0, 1fr)", md: "repeat(3, minmax(0, 1fr))" }}>
          <WordSelect label="By" words={runByWords} value={by} onChange={setBy} />
          <SeatSelect label="Other end" seats={ends} value={to} none="a server on the internet" onChange={setTo} />
          <Labelled label="With what tool">
            {(ids) => <Input {...ids} value={tool} maxLength={60} onChange={(e) => setTool(e.target.value)} />}
          </Labelled>
        </Box>
        <Box display="grid" gap="2" gridTemplateColumns={{ base: "minmax(0, 1fr) minmax(0, 1fr)", md: "repeat(4, minmax(0, 1fr))" }}>
          {field("down", "Down, Mb/s")}
          {field("up", "Up, Mb/s")}
          {field("seconds", "Length, s")}
          {field("megabytes", "or moved, MB")}
        </Box>
        <Flex gap="2" align="center" wrap="wrap">
          <Button onClick={add}>Add the run</Button>
          {wrong && (
            <Box role="alert" color="brick" fontSize="sm">
              {wrong}
            </Box>
          )}
        </Flex>
        {runs.length > 0 && (
          <Box overflowX="auto">
            <chakra.table width="100%" fontSize="sm">
              <thead>
                <tr>
                  <Head>Where</Head>
                  <Head>By</Head>
                  <Head>To</Head>
                  <Head>Down</Head>
                  <Head>Up</Head>
                  <Head>Length</Head>
                  <Head as="td" />
                </tr>
              </thead>
              <tbody>
                {runs.map((r, i) => (
                  <tr key={i}>
                    <Cell>{places.find((p) => p.id === r.place)?.name ?? "not noted"}</Cell>
                    <Cell>{runByWords[r.by]}</Cell>
                    <Cell>{r.to ? (seats.find((s) => s.id === r.to)?.name ?? r.to) : "internet"}</Cell>
                    <Cell>{r.downMbps}</Cell>
                    <Cell>{r.upMbps ?? ""}</Cell>
                    <Cell>{r.seconds != null ? `${r.seconds} s` : r.megabytes != null ? `${r.megabytes} MB` : "not said"}</Cell>
                    <Cell>
                      <Button variant="quiet" aria-label={`Take run ${i + 1} out`} onClick={() => setRuns(runs.filter((_, k) => k !== i))}>
                        Out
                      </Button>
                    </Cell>
                  </tr>
                ))}
              </tbody>
            </chakra.table>
          </Box>
        )}
      </Card>
      <Card as="section" aria-label="What they are worth" minH="8rem">
        {said && (
          <Box role="status" mb="2" color="moss" fontWeight="600">
            {said}
          </Box>
        )}
        {runs.length === 0 ? (
          <PlainWords />
        ) : (
          <Taken
            state={state}
            tools={tools}
            content={{ runs }}
            name="speed runs, typed"
            where={where}
            kept={() => {
              setSaid("Kept.");
              setRuns([]);
            }}
          />
        )}
      </Card>
    </Box>
  );
}

function PlainWords() {
  return (
    <Box color="muted">
      At least three runs of 30 s, by cable first, then on Wi-Fi in the same place with the same machine: their middle and how far they lie
      apart, held against what was sold and what the wires carry. Runs to a device or box of the home are told apart from those: they show
      what the home itself carries.
    </Box>
  );
}
