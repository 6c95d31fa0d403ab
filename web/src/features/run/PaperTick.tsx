import { Box } from "@chakra-ui/react";

/** A square to tick on paper. */
export function PaperTick() {
  return (
    <Box
      as="span"
      aria-hidden
      display="inline-block"
      width="1rem"
      height="1rem"
      flex="none"
      borderWidth="1.5px"
      borderStyle="solid"
      borderColor="ink"
      rounded="sm"
      verticalAlign="-0.15rem"
    />
  );
}
