import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useCallback, useMemo } from "react";
import { api, unwrap, type JobState } from "../../api/client";

/** The head of a job with one set-up shown: the last answer of the server, and nothing else. */
export function useHead(id: number, setUp: string | null) {
  const client = useQueryClient();
  const key = useMemo(() => ["job", id, setUp], [id, setUp]);
  const job = useQuery({
    queryKey: key,
    queryFn: async ({ signal }) => {
      const read = await unwrap(api.GET("/api/jobs/{id}", { params: { path: { id }, query: setUp ? { setUp } : {} }, signal }));
      // A save that was answered while this was on its way is newer; versions only rise.
      const kept = client.getQueryData<JobState>(key);
      return kept && kept.version > read.version ? kept : read;
    },
  });
  /** The answer that counts now: also what a save in between left there. */
  const current = useCallback(() => client.getQueryData<JobState>(key), [client, key]);
  const take = useCallback(
    (state: JobState) => {
      client.setQueryData(key, state);
      // What was read of the other set-ups is older now: it is read again when it is looked at.
      void client.invalidateQueries({
        queryKey: ["job", id],
        refetchType: "none",
        predicate: (q) => JSON.stringify(q.queryKey) !== JSON.stringify(key),
      });
      void client.invalidateQueries({ queryKey: ["jobs"] });
    },
    [client, id, key],
  );
  return { id, job, current, take };
}

export type Head = ReturnType<typeof useHead>;
