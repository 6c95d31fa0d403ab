import { Box } from "@chakra-ui/react";
import type { Schemas } from "../../api/client";
import { Said } from "../../ui/Said";

const colours = { good: "moss", note: "ochre", bad: "brick" } as const;

/** What is said of the order of a run sheet, part by part. */
export function Verdict({ of }: { of: readonly Schemas["SheetVerdict"][] }) {
  return of.map((part) => (
    <Box key={part.says} role={part.tone === "bad" ? "alert" : undefined}>
      <Box color={colours[part.tone]} fontWeight="600">
        {part.says}
      </Box>
      {part.items.length > 0 && (
        <Box as="ul" pl="5" listStyleType="disc">
          {part.items.map((item) => (
            <li key={item}>
              <Said text={item} />
            </li>
          ))}
        </Box>
      )}
    </Box>
  ));
}
