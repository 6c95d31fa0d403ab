import { useNavigate } from "react-router";
import { Button } from "../../ui/controls";
import type { JobTools } from "./jobTools";

/** Begins the plan as a copy of what was found, and leads there. */
export function StartPlan({ tools, main = true }: { tools: JobTools; main?: boolean }) {
  const go = useNavigate();
  return (
    <Button
      variant={main ? "main" : "act"}
      disabled={!main}
      // Who begins the plan wants to be in it.
      onClick={() => tools.startPlan(() => void go("../plan?setUp=planned", { relative: "path" }))}
    >
      Start the plan from what was found
    </Button>
  );
}
