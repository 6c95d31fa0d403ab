import { Box, chakra } from "@chakra-ui/react";
import type { Schemas } from "../../api/client";

/** A need that no option meets, with what would. */
export function NotMet({ need }: { need: Schemas["NeedNotReached"] }) {
  return (
    <Box>
      <chakra.h2 fontSize="md" fontWeight="700">
        No option meets: {need.asked}
      </chakra.h2>
      <Box>{need.why}</Box>
      {need.would.length > 0 && (
        <chakra.ul pl="5" listStyleType="disc">
          {need.would.map((w) => (
            <li key={w}>{w}</li>
          ))}
        </chakra.ul>
      )}
    </Box>
  );
}
