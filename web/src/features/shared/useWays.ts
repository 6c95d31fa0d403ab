import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { api, unwrap, type Schemas } from "../../api/client";
import { counting } from "./wayTexts";

type View = Schemas["WaysView"];

/**
 * The installer's way of working, in a job or, without one, in every job, and how it is changed. What is chosen stands at once, so that
 * the next choice is made on it; what rests on it is asked for anew, and no option of another way is left to be chosen.
 */
export function useWays(job: number | null) {
  const client = useQueryClient();
  const key = ["ways", job];
  const ways = useQuery({
    queryKey: key,
    queryFn: ({ signal }) =>
      job === null
        ? unwrap(api.GET("/api/ways", { signal }))
        : unwrap(api.GET("/api/jobs/{id}/ways", { params: { path: { id: job } }, signal })),
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
      void client.invalidateQueries({ queryKey: ["ways"] });
      void client.invalidateQueries({ queryKey: job === null ? ["run"] : ["run", job] });
      void client.resetQueries({ queryKey: job === null ? ["options"] : ["options", job] });
      void client.resetQueries({ queryKey: job === null ? ["why-not"] : ["why-not", job] });
    },
  };
  const mine = (texts: string[]) => unwrap(api.PUT("/api/ways", { body: { ways: texts } }));
  const here = (texts: string[]) =>
    job === null ? mine(texts) : unwrap(api.PUT("/api/jobs/{id}/ways", { params: { path: { id: job } }, body: { ways: texts } }));
  const put = useMutation({
    ...took,
    mutationFn: here,
    onMutate: (texts) => client.setQueryData<View>(key, (view) => view && { ...view, own: texts }),
  });
  const putMine = useMutation({
    ...took,
    // What holds for every job from now on is no exception of this one.
    mutationFn: async (texts: string[]) => {
      await mine(texts);
      return here([]);
    },
  });
  return {
    ways,
    put: put.mutateAsync,
    /** What counts in this job is to count in every job. */
    keepAsUsual: (view: View) => putMine.mutate(Object.entries(counting(view)).map(([name, value]) => `${name}=${value}`)),
    error: put.error ?? putMine.error,
  };
}
