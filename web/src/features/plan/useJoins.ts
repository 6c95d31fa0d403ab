import { api, type JobState, type Schemas } from "../../api/client";
import { useAsked } from "../shared/useAsked";

/** What a box could join by radio in the set-up that is shown; undefined until the server has said it of this very box. */
export function useJoins(state: JobState, box: string): Schemas["JoinChoices"] | undefined {
  const asked = useAsked<Schemas["JoinChoices"]>(state, ["joins", box], (signal) =>
    api.GET("/api/jobs/{id}/proof/joins", { params: { path: { id: state.job.id }, query: { setUp: state.proof.setUp, box } }, signal }),
  );
  return asked.data?.box === box ? asked.data : undefined;
}
