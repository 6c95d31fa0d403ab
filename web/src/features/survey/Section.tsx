import { Box, chakra } from "@chakra-ui/react";
import type { ReactNode } from "react";

/** Two columns of fields under a heading. */
export function Section({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Box as="section" aria-label={title}>
      <chakra.h3 fontSize="sm" mb="1.5" borderBottomWidth="1px" borderBottomStyle="solid" borderColor="line">
        {title}
      </chakra.h3>
      <Box
        display="grid"
        gap="2.5"
        gridTemplateColumns={{ base: "minmax(0, 1fr)", sm: "minmax(0, 1fr) minmax(0, 1fr)" }}
        alignItems="start"
      >
        {children}
      </Box>
    </Box>
  );
}
