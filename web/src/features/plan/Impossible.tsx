import { Box, chakra } from "@chakra-ui/react";
import type { Schemas } from "../../api/client";

/** What cannot be had however the boxes that are there are set up, each with its reason in the survey. */
export const Impossible = ({ certificates }: { certificates: readonly Schemas["Certificate"][] }) => (
  <Box>
    <chakra.h2 fontSize="md" fontWeight="700">
      Cannot be had with the boxes that are there
    </chakra.h2>
    <chakra.ul pl="5" listStyleType="disc">
      {certificates.map((c) => (
        <li key={c.about}>
          {c.what}: {c.says}
        </li>
      ))}
    </chakra.ul>
  </Box>
);
