import { useMemo } from "react";
import type { JobState, Schemas } from "../../api/client";
import { askDevice, useAsked } from "../shared/useAsked";
import type { Choice } from "../terraces/choice";

/** The way out of the chosen device, where it has more links than came with the proof; undefined where it has not, or until it is there. */
export function useLongWay(state: JobState, choice: Choice | null): { links: ReadonlySet<string>; slowest: string | null } | undefined {
  const device = choice?.kind === "device" ? choice.id : "";
  const isLong = (state.proof.facts.internet.find((i) => i.device === device)?.moreLinks ?? 0) > 0;
  const { data } = useAsked<Schemas["InternetFact"]>(state, ["device", device], (signal) => askDevice(state, device, signal), isLong);
  return useMemo(
    () => (isLong && data?.device === device ? { links: new Set(data.links), slowest: data.slowest } : undefined),
    [isLong, data, device],
  );
}
