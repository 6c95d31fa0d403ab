import { Box, chakra, type BoxProps } from "@chakra-ui/react";
import type { ReactNode } from "react";

/** What is seldom touched: a line of words that opens. */
export function Fold({ title, open, children, ...box }: { title: ReactNode; open?: boolean } & Omit<BoxProps, "title">) {
  return (
    <Box as="details" fontSize="sm" {...(open ? { open } : {})} {...box}>
      <chakra.summary cursor="pointer" minH="6">
        {title}
      </chakra.summary>
      {children}
    </Box>
  );
}
