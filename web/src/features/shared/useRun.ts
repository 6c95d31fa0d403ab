import { useQuery } from "@tanstack/react-query";
import { api, unwrap, type JobState } from "../../api/client";

/** Ways of working, each as a name and a value, from how they stand in the address of the page. */
export const waysOf = (way: string | null): string[] => (way === null ? [] : way.split(","));

/** The run sheet that is worked out for the job as it is now, to a set-up or to the one that the server chooses, in the ways asked for. */
export function useRun(state: JobState, { to, way }: { to: string | null; way: string | null }, enabled = true) {
  return useQuery({
    queryKey: ["run", state.job.id, state.revision, to, way],
    queryFn: ({ signal }) =>
      unwrap(
        api.GET("/api/jobs/{id}/run", {
          params: { path: { id: state.job.id }, query: { way: waysOf(way), ...(to === null ? {} : { to }) } },
          signal,
        }),
      ),
    enabled,
    placeholderData: (before) => before,
  });
}
