import { useQuery } from "@tanstack/react-query";
import { api, unwrap, type JobState } from "../../api/client";

/** What the survey adds up to, asked again whenever the job moves on. */
export function useSurvey(state: JobState) {
  return useQuery({
    queryKey: ["survey", state.job.id, state.version],
    queryFn: ({ signal }) => unwrap(api.GET("/api/jobs/{id}/survey", { params: { path: { id: state.job.id } }, signal })),
    placeholderData: (before) => before,
  });
}
