import type { JobState } from "../../api/client";
import { Asked } from "../shared/Asked";
import { useSheets } from "../shared/useSheets";
import { useShown } from "../shared/useShown";
import { DerivedSheet } from "./DerivedSheet";
import { PaperSheet } from "./PaperSheet";
import { TypedSheet } from "./TypedSheet";

/** What is done, step by step, and what should be seen at each: worked out from the set-ups, or a list of acts that was typed by hand. */
export default function RunStation({ state }: { state: JobState }) {
  const sheets = useSheets(state.job.id);
  const [{ sheet, part, to }, show] = useShown(["sheet", "step", "part", "to"]);
  if (part === "paper") {
    return <PaperSheet state={state} to={to} />;
  }
  const choose = (id: number) => show({ sheet: String(id), step: null });
  return (
    <Asked of={sheets} what="Run sheets">
      {(all) => {
        const chosen = all.find((s) => String(s.id) === sheet);
        return chosen ? (
          <TypedSheet key={chosen.id} state={state} chosen={chosen} all={all} choose={choose} />
        ) : (
          <DerivedSheet state={state} all={all} choose={choose} />
        );
      }}
    </Asked>
  );
}
