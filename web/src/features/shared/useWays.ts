import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { api, unwrap, type Schemas } from "../../api/client";

/** The installer's way of working in a job, and how it is changed: there, or for every job. What rests on it is asked for anew. */
export function useWays(job: number) {
  const client = useQueryClient();
  const key = ["ways", job];
  const ways = useQuery({
    queryKey: key,
    queryFn: ({ signal }) => unwrap(api.GET("/api/jobs/{id}/ways", { params: { path: { id: job } }, signal })),
  });
  const take = (view: Schemas["WaysView"]) => {
    client.setQueryData(key, view);
    for (const rests of ["run", "options", "why-not"]) {
      void client.invalidateQueries({ queryKey: [rests, job] });
    }
  };
  const here = (own: string[]) => unwrap(api.PUT("/api/jobs/{id}/ways", { params: { path: { id: job } }, body: { ways: own } }));
  const put = useMutation({ mutationFn: here, onSuccess: take });
  const putMine = useMutation({
    // What holds for every job from now on is no exception of this one.
    mutationFn: async (mine: string[]) => {
      await unwrap(api.PUT("/api/ways", { body: { ways: mine } }));
      return here([]);
    },
    onSuccess: take,
  });
  return { ways, put: put.mutate, putMine: putMine.mutate, error: put.error ?? putMine.error };
}
