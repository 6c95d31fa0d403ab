import { api, type Schemas } from "../../api/client";
import { useAsked } from "../shared/useAsked";
import type { JobTools } from "../shared/jobTools";

/** What a box could join by radio in the set-up that is shown; undefined until the server has said it of this very box. */
export function useJoins(tools: JobTools, box: string): Schemas["JoinChoices"] | undefined {
  const state = tools.job.data;
  const setUp = state?.proof.setUp ?? "";
  const asked = useAsked<Schemas["JoinChoices"]>(state, ["joins", box], (signal) =>
    api.GET("/api/jobs/{id}/proof/joins", { params: { path: { id: tools.id }, query: { setUp, box } }, signal }),
  );
  return asked.data?.box === box ? asked.data : undefined;
}
