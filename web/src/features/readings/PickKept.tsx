import { Box, chakra } from "@chakra-ui/react";
import type { JobState } from "../../api/client";
import { TextArea } from "../../ui/controls";
import { Labelled } from "../../ui/pieces";
import { momentWords } from "../../ui/moment";
import { kindsOf } from "./KeptPart";
import { useKept } from "./useReadings";

export interface Picked {
  kept: number[];
  text: string;
}

/** Kept readings that list devices, several being pages of one list, and a field to paste another into. */
export function PickKept({
  state,
  title,
  hint,
  picked,
  set,
}: {
  state: JobState;
  title: string;
  hint?: string;
  picked: Picked;
  set: (picked: Picked) => void;
}) {
  const list = useKept(state);
  const lists = (list.data?.items ?? []).filter((r) => r.lists);
  return (
    <Box as="fieldset" borderWidth="0" p="0" m="0" minW="0">
      <chakra.legend fontWeight="600">{title}</chakra.legend>
      {hint && (
        <Box fontSize="sm" color="muted">
          {hint}
        </Box>
      )}
      {lists.map((r) => (
        <chakra.label
          key={r.id}
          display="flex"
          gap="2"
          alignItems="center"
          minH="7"
          fontSize="sm"
          css={{ "@media (pointer: coarse)": { minHeight: "44px" } }}
        >
          <chakra.input
            type="checkbox"
            width="1.15rem"
            height="1.15rem"
            flexShrink={0}
            css={{ accentColor: "var(--chakra-colors-copper)" }}
            checked={picked.kept.includes(r.id)}
            onChange={(e) => set({ ...picked, kept: e.target.checked ? [...picked.kept, r.id] : picked.kept.filter((k) => k !== r.id) })}
          />
          {momentWords(r.takenAt)}: {kindsOf(r).toLowerCase()}
          {r.seatName && `, ${r.seatName}`}
        </chakra.label>
      ))}
      <Labelled label={lists.length > 0 ? "Or one pasted" : "Pasted"}>
        {(ids) => (
          <TextArea
            {...ids}
            rows={5}
            fontFamily="mono"
            fontSize="sm"
            spellCheck={false}
            value={picked.text}
            onChange={(e) => set({ ...picked, text: e.target.value })}
          />
        )}
      </Labelled>
    </Box>
  );
}

export const nothing: Picked = { kept: [], text: "" };
export const isNothing = (picked: Picked) => picked.kept.length === 0 && picked.text.trim() === "";
