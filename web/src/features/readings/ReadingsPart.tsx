import { Box } from "@chakra-ui/react";
import { useState } from "react";
import type { JobState } from "../../api/client";
import { Parts } from "../../ui/Parts";
import type { JobTools } from "../shared/jobTools";
import { useShown } from "../shared/useShown";
import { FindPart } from "./FindPart";
import { KeptPart } from "./KeptPart";
import { ListsPart } from "./ListsPart";
import { OutsidePart } from "./OutsidePart";
import { SpeedPart } from "./SpeedPart";
import type { Where } from "./Taken";
import { TakePart, type Draft } from "./TakePart";

const parts = {
  take: "New reading",
  kept: "Kept",
  lists: "Before and after",
  find: "Find a box",
  outside: "From outside",
  speed: "Speed",
} as const;

type Part = keyof typeof parts;

/** Readings: what machines print, read without retyping. */
export function ReadingsPart({ state, tools }: { state: JobState; tools: JobTools }) {
  const [{ show: shown }, show] = useShown(["show", "reading", "archived"]);
  const [where, setWhere] = useState<Where>({ seat: null, place: null, at: null });
  const [draft, setDraft] = useState<Draft>({ content: { text: "" }, file: null });
  const chosen: Part = shown !== null && shown in parts ? (shown as Part) : "take";
  const common = { state, tools, where, setWhere };
  return (
    <Box display="grid" gap="3" gridTemplateColumns="minmax(0, 1fr)">
      <Parts label="Readings" parts={parts} chosen={chosen} show={(p) => show({ show: p, reading: null, archived: null })} />
      {chosen === "take" && <TakePart {...common} draft={draft} setDraft={setDraft} />}
      {chosen === "kept" && <KeptPart state={state} />}
      {chosen === "lists" && <ListsPart state={state} />}
      {chosen === "find" && <FindPart state={state} />}
      {chosen === "outside" && <OutsidePart {...common} />}
      {chosen === "speed" && <SpeedPart {...common} />}
    </Box>
  );
}
