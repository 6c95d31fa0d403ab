import { Box, chakra, type BoxProps } from "@chakra-ui/react";
import type { ReactNode } from "react";

/** What is seldom touched: a line of words that opens. */
export function Fold({ title, children, ...box }: { title: ReactNode } & Omit<BoxProps, "title">) {
  return (
    <Box as="details" fontSize="sm" {...box}>
      <chakra.summary cursor="pointer" minH="6">
        {title}
      </chakra.summary>
      {children}
    </Box>
  );
}
