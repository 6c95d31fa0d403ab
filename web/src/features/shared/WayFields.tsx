import { Box, type BoxProps } from "@chakra-ui/react";
import type { Schemas } from "../../api/client";
import { DraftInput } from "../../ui/DraftInput";
import { WordSelect } from "../../ui/WordSelect";
import { counting, saying, underlying } from "./wayTexts";

interface Props {
  view: Schemas["WaysView"];
  put: (own: string[]) => Promise<unknown>;
  columns: BoxProps["gridTemplateColumns"];
  /** What is said beside an answer that is another one than would hold. */
  but: (usual: string) => string;
}

/** The questions on which good installers differ, with what speaks for the answer that holds. */
export function WayFields({ view, put, columns, but }: Props) {
  const [holds, would] = [counting(view), underlying(view)];
  return (
    <Box display="grid" columnGap="4" rowGap="2" gridTemplateColumns={columns}>
      {view.schools.map(({ name, asks, answers, typed }) => {
        const [value, usual] = [holds[name] ?? "", would[name]];
        return (
          <Box key={name}>
            <WordSelect
              label={asks}
              words={Object.fromEntries(answers.map((a) => [a.value, a.says]))}
              value={value}
              // Why it was not kept is said beside the fields.
              onChange={(next) => void put(saying(view, name, next)).catch(() => undefined)}
            />
            <Box fontSize="xs" color="muted">
              {answers.find((a) => a.value === value)?.for}
              {value !== usual && ` ${but(answers.find((a) => a.value === usual)?.says ?? "")}`}
            </Box>
            {typed && value === typed.with && (
              <Box pt="1">
                <DraftInput
                  label={typed.asks}
                  hint={holds[typed.name] === would[typed.name] ? "" : `otherwise ${would[typed.name] || "none"}`}
                  value={holds[typed.name] ?? ""}
                  save={(text) => put(saying(view, typed.name, text))}
                />
              </Box>
            )}
          </Box>
        );
      })}
    </Box>
  );
}
