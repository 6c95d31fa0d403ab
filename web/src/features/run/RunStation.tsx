import type { JobTools } from "../shared/jobTools";
import { Asked } from "../shared/Asked";
import { useSheets } from "../shared/useSheets";
import { useShown } from "../shared/useShown";
import { DerivedSheet } from "./DerivedSheet";
import { PaperSheet } from "./PaperSheet";
import { TypedSheet } from "./TypedSheet";

/** What is done, step by step, and what should be seen at each: worked out from the set-ups, or a list of acts that was typed by hand. */
export default function RunStation({ tools }: { tools: JobTools }) {
  const state = tools.job.data;
  const sheets = useSheets(state?.job.id ?? 0);
  const [{ sheet, part, to }, show] = useShown(["sheet", "step", "part", "to"]);
  if (!state) {
    return null;
  }
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
