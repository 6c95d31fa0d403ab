import { Box } from "@chakra-ui/react";
import type { Schemas } from "../../api/client";
import { DraftInput } from "../../ui/DraftInput";
import { counting, saying, underlying } from "./wayTexts";

/** What each thing that speaks against an option counts, in points. */
export function WeightFields({ view, put }: { view: Schemas["WaysView"]; put: (own: string[]) => Promise<unknown> }) {
  const [holds, would] = [counting(view), underlying(view)];
  return (
    <Box display="grid" gap="2">
      <Box color="muted">In points each. One point is a minute of work; the option with the fewest comes first.</Box>
      <Box display="grid" columnGap="4" rowGap="2" gridTemplateColumns="repeat(auto-fill, minmax(13rem, 1fr))">
        {view.weights.map(({ name, says }) => (
          <DraftInput
            key={name}
            label={says}
            hint={holds[name] === would[name] ? "" : `otherwise ${would[name]}`}
            inputMode="decimal"
            value={holds[name] ?? ""}
            save={(points) =>
              /^\d+(\.\d+)?$/.test(points)
                ? put(saying(view, name, String(Number(points))))
                : Promise.reject(new Error("A number of points is expected."))
            }
          />
        ))}
      </Box>
    </Box>
  );
}
