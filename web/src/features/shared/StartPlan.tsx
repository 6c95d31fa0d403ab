import { Button } from "../../ui/controls";
import type { JobTools } from "./jobTools";

/** Begins the plan as a copy of what was found. */
export function StartPlan({ tools, main = true }: { tools: JobTools; main?: boolean }) {
  return (
    <Button variant={main ? "main" : "act"} disabled={tools.busy || !main} onClick={tools.startPlan}>
      Start the plan from what was found
    </Button>
  );
}
