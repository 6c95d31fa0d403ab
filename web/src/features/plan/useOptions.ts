import { useQuery } from "@tanstack/react-query";
import { api, unwrap, type JobState } from "../../api/client";

/** The options for what was found: worked out anew once the job has moved on, which takes some seconds; leaving the page stops it. */
export function useOptions(state: JobState) {
  return useQuery({
    queryKey: ["options", state.job.id, state.revision],
    queryFn: ({ signal }) => unwrap(api.GET("/api/jobs/{id}/options", { params: { path: { id: state.job.id } }, signal })),
    placeholderData: (before) => before,
  });
}
