import { Box, chakra } from "@chakra-ui/react";
import type { FileError } from "../api/client";
import { Mono } from "./controls";

/** What is wrong with a file, place by place. */
export function FileErrors({ name, errors }: { name: string; errors: FileError[] }) {
  return (
    <Box role="alert" mt="3">
      <chakra.h3 fontSize="md" color="brick">
        {name} was not opened. {errors.length === 1 ? "One thing is" : `${errors.length} things are`} wrong with it:
      </chakra.h3>
      <Box as="ul" display="grid" gap="2" mt="2">
        {errors.map((error, i) => (
          <Box as="li" key={i} fontSize="sm">
            <Mono css={{ overflowWrap: "anywhere", whiteSpace: "normal" }}>{error.pointer || "the whole file"}</Mono>
            <Box>found {error.found}</Box>
            <Box color="muted">{error.allowed}</Box>
          </Box>
        ))}
      </Box>
    </Box>
  );
}
