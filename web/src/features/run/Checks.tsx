import { Box, chakra } from "@chakra-ui/react";
import type { Schemas } from "../../api/client";
import { Said } from "../../ui/Said";
import { PaperTick } from "./PaperTick";

/** What is on a list of the run sheet, each with what it is asked of; on paper with a square to tick. */
export function Checks({ of, onPaper = false }: { of: Schemas["SheetChecks"]; onPaper?: boolean }) {
  return (
    <Box as="ul" pl="0" listStyleType="none" display="grid" gap="2">
      {of.items.map((item) => (
        <Box as="li" key={item.id} css={{ breakInside: "avoid" }}>
          {onPaper && <PaperTick />}
          <chakra.b ml={onPaper ? "2" : "0"}>
            <Said text={item.about} />.
          </chakra.b>{" "}
          <Said text={item.says} />
          {item.each.length > 0 && (
            <Box as="ul" pl={onPaper ? "10" : "5"} listStyleType="disc">
              {item.each.map((each) => (
                <li key={each}>
                  <Said text={each} />
                </li>
              ))}
            </Box>
          )}
        </Box>
      ))}
    </Box>
  );
}
