import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { api, unwrap, type Schemas } from "../../api/client";

type View = Schemas["WaysView"];

/** What counts in a job that says this of its own: the installer's way otherwise. */
const counting = (mine: Schemas["Ways"], own: readonly string[]) =>
  ({ ...mine, ...Object.fromEntries(own.map((w) => w.split("=", 2))) }) as Schemas["Ways"];

/**
 * The installer's way of working in a job, and how it is changed: there, or for every job. What is chosen stands at once, so that the next
 * choice is made on it; what rests on it is asked for anew, and no option of another way is left to be chosen.
 */
export function useWays(job: number) {
  const client = useQueryClient();
  const key = ["ways", job];
  const ways = useQuery({
    queryKey: key,
    queryFn: ({ signal }) => unwrap(api.GET("/api/jobs/{id}/ways", { params: { path: { id: job } }, signal })),
  });
  const took = {
    // One after the other, in the order in which they were chosen.
    scope: { id: `ways ${job}` },
    mutationKey: key,
    onSettled: () => {
      if (client.isMutating({ mutationKey: key }) > 1) {
        // What is still under way says it; an answer of before would undo on screen what was chosen since.
        return;
      }
      void client.invalidateQueries({ queryKey: key });
      void client.invalidateQueries({ queryKey: ["run", job] });
      void client.resetQueries({ queryKey: ["options", job] });
      void client.resetQueries({ queryKey: ["why-not", job] });
    },
  };
  const here = (own: string[]) => unwrap(api.PUT("/api/jobs/{id}/ways", { params: { path: { id: job } }, body: { ways: own } }));
  const put = useMutation({
    ...took,
    mutationFn: here,
    onMutate: (own) => client.setQueryData<View>(key, (view) => view && { ...view, own, ways: counting(view.mine, own) }),
  });
  const putMine = useMutation({
    ...took,
    // What holds for every job from now on is no exception of this one.
    mutationFn: async (mine: string[]) => {
      await unwrap(api.PUT("/api/ways", { body: { ways: mine } }));
      return here([]);
    },
  });
  return { ways, put: put.mutate, putMine: putMine.mutate, error: put.error ?? putMine.error };
}
