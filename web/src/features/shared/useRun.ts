import { useQuery } from "@tanstack/react-query";
import { api, unwrap, type JobState } from "../../api/client";

/** The run sheet that is worked out for the job as it is now, to a set-up or to the one that the server chooses, in the installer's way. */
export function useRun(state: JobState, to: string | null, enabled = true) {
  return useQuery({
    queryKey: ["run", state.job.id, state.revision, to],
    queryFn: ({ signal }) =>
      unwrap(
        api.GET("/api/jobs/{id}/run", {
          params: { path: { id: state.job.id }, query: to === null ? {} : { to } },
          signal,
        }),
      ),
    enabled,
    placeholderData: (before) => before,
  });
}
