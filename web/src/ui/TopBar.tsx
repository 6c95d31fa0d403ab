import { chakra, Flex } from "@chakra-ui/react";
import { Link } from "react-router";
import { ColourSwitch } from "./ColourSwitch";

/** The head of a screen outside a job: the way back to all jobs. */
export const TopBar = () => (
  <Flex as="header" align="center" justify="space-between" gap="3" wrap="wrap" mb="4">
    <chakra.span fontSize="1.375rem" fontWeight="800">
      <Link to="/" style={{ textDecoration: "none" }} aria-label="Altrin, all jobs">
        altrin
      </Link>
    </chakra.span>
    <ColourSwitch />
  </Flex>
);
