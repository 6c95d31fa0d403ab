import { useQuery, useQueryClient } from "@tanstack/react-query";
import { api, unwrap, type JobState } from "../../api/client";

/** How long the page waits before it asks again for the best so far, in milliseconds; the server waits for something new too. */
const askAgain = 150;

/**
 * The options for what was found, the best so far while they are searched for; worked out anew once the job has moved on. They are not
 * asked for while others are to be served first.
 */
export function useOptions(state: JobState, enabled = true) {
  const client = useQueryClient();
  const key = ["options", state.job.id, state.revision];
  const path = { id: state.job.id };
  const ask = (anew: boolean, signal?: AbortSignal) =>
    unwrap(api.GET("/api/jobs/{id}/options", { params: { path, query: { soFar: true, anew } }, ...(signal && { signal }) }));
  const answer = useQuery({
    queryKey: key,
    enabled,
    queryFn: ({ signal }) => ask(false, signal),
    refetchInterval: (query) => (query.state.data?.isRunning ? askAgain : false),
    placeholderData: (before) => before,
  });
  const take = (asked: ReturnType<typeof ask>) =>
    void asked.then(
      (plan) => client.setQueryData(key, plan),
      () => void answer.refetch(),
    );
  return {
    answer,
    stop: () => take(unwrap(api.POST("/api/jobs/{id}/options/stop", { params: { path } }))),
    anew: () => take(ask(true)),
  };
}
