import { Box, Flex } from "@chakra-ui/react";
import { useState } from "react";
import type { JobState, Schemas } from "../../api/client";
import { Button, Input } from "../../ui/controls";
import { Labelled } from "../../ui/pieces";
import { PlaceSelect } from "../shared/PlaceSelect";
import { SeatSelect } from "../shared/SeatSelect";
import type { JobTools } from "../shared/jobTools";
import { momentField } from "./content";
import { Says } from "./Says";
import { useRead, useSeats } from "./useReadings";

/** Where and when a reading is taken; kept while one goes from one to the next. */
export interface Where {
  seat: string | null;
  place: string | null;
  /** As typed; null for now. */
  at: string | null;
}

export function WhereFields({ state, where, set }: { state: JobState; where: Where; set: (where: Where) => void }) {
  const seats = useSeats(state);
  return (
    <Box display="grid" gap="2" gridTemplateColumns={{ base: "minmax(0, 1fr)", md: "minmax(0, 1fr) minmax(0, 1fr)" }}>
      <Box gridColumn={{ md: "1 / -1" }}>
        <SeatSelect
          label="Taken at"
          seats={seats.data ?? []}
          value={where.seat}
          none="not said"
          onChange={(seat) => set({ ...where, seat })}
        />
      </Box>
      <PlaceSelect label="In" design={state.design} value={where.place} onChange={(place) => set({ ...where, place })} />
      <Labelled label="When">
        {(ids) => (
          <Input
            {...ids}
            type="datetime-local"
            value={where.at ?? momentField(new Date())}
            onChange={(e) => set({ ...where, at: e.target.value === "" ? null : e.target.value })}
          />
        )}
      </Labelled>
    </Box>
  );
}

interface Props {
  state: JobState;
  tools: JobTools;
  content: Schemas["ReadingContent"];
  /** Where it came from. */
  name: string;
  where: Where;
  /** It was kept, with so many statements taken over. */
  kept: (accepted: number) => void;
}

/** A reading that is looked at before it is kept: what it says, what to take over of it, one button. */
export function Taken({ state, tools, content, name, where, kept }: Props) {
  const read = useRead(state, content, where.seat, where.place);
  const [turned, setTurned] = useState<ReadonlySet<string>>(new Set());
  const [error, setError] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const view = read.data;
  if (read.isError) {
    return (
      <Box role="alert" color="brick">
        {read.error.message}
      </Box>
    );
  }
  if (!view) {
    return <Box color="muted">Reading.</Box>;
  }
  const offered = view.comparison.statements.filter((s) => s.offer);
  const taken = new Set(offered.filter((s) => s.suggested !== turned.has(s.id)).map((s) => s.id));
  const turn = (id: string) => setTurned((before) => new Set(before.has(id) ? [...before].filter((b) => b !== id) : [...before, id]));
  const keep = async () => {
    setBusy(true);
    setError(null);
    try {
      await tools.keepReading({
        content,
        setUp: state.proof.setUp,
        name,
        accepted: [...taken],
        seat: where.seat,
        place: where.place,
        takenAt: where.at === null ? null : new Date(where.at).toISOString(),
      });
      setTurned(new Set());
      kept(taken.size);
    } catch (e) {
      setError((e as Error).message);
    } finally {
      setBusy(false);
    }
  };
  return (
    <Box display="grid" gap="3" gridTemplateColumns="minmax(0, 1fr)">
      <Flex gap="3" align="center" wrap="wrap">
        <Button variant="main" disabled={busy} onClick={() => void keep()}>
          {taken.size > 0 ? `Accept ${taken.size} and keep the reading` : "Keep the reading"}
        </Button>
        {offered.length > 1 && (
          <Button
            variant="quiet"
            onClick={() => setTurned(new Set(offered.filter((s) => s.suggested !== (taken.size === 0)).map((s) => s.id)))}
          >
            {taken.size === 0 ? "Accept all" : "Accept none"}
          </Button>
        )}
      </Flex>
      {error && (
        <Box role="alert" color="brick" fontSize="sm">
          {error}
        </Box>
      )}
      <Says view={view} taken={taken} take={(id) => turn(id)} />
    </Box>
  );
}
