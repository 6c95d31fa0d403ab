import { useQuery, type UseQueryResult } from "@tanstack/react-query";
import { api, unwrap, type JobState } from "../../api/client";

/** A part of the proof of what is shown, asked for when it is opened and again once the job has moved on. */
export function useAsked<T>(
  state: JobState | undefined,
  what: readonly (string | null)[],
  ask: (signal: AbortSignal) => Parameters<typeof unwrap<T>>[0],
  enabled = true,
): UseQueryResult<T> {
  return useQuery({
    queryKey: ["proof", state?.job.id, state?.version, state?.proof.setUp, ...what],
    queryFn: ({ signal }) => unwrap<T>(ask(signal)),
    enabled: enabled && state !== undefined,
    placeholderData: (before) => before,
  });
}

/** What every question about the proof says: which job, and which set-up of it. */
export const asking = (state: JobState) => ({ path: { id: state.job.id }, query: { setUp: state.proof.setUp } });

/** The internet of one device with all of its reasons and its whole way, of which the proof holds the first. */
export const askDevice = (state: JobState, device: string, signal: AbortSignal) =>
  api.GET("/api/jobs/{id}/proof/device", { params: { path: { id: state.job.id }, query: { setUp: state.proof.setUp, device } }, signal });

/** What becomes of one need, with all of its reasons. */
export const askNeed = (state: JobState, need: string, signal: AbortSignal) =>
  api.GET("/api/jobs/{id}/proof/need", { params: { path: { id: state.job.id }, query: { setUp: state.proof.setUp, need } }, signal });
