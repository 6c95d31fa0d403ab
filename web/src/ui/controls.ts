import { chakra } from "@chakra-ui/react";

/** Fingers need 44 px; a mouse is content with 32. */
const target = { minH: "8", "@media (pointer: coarse)": { minH: "44px" } };

const field = {
  ...target,
  width: "100%",
  minW: "0",
  px: "2",
  py: "1",
  rounded: "md",
  borderWidth: "1px",
  borderStyle: "solid",
  borderColor: "line.strong",
  bg: "card",
  color: "ink",
  font: "inherit",
  "&[aria-invalid=true]": { borderColor: "brick" },
  _disabled: { opacity: 0.6 },
};

/** What can be acted on is copper; the one main act of a view is filled; what is beside the point is quiet. */
export const Button = chakra(
  "button",
  {
    base: {
      ...target,
      display: "inline-flex",
      alignItems: "center",
      justifyContent: "center",
      gap: "1.5",
      px: "3",
      py: "1",
      rounded: "md",
      borderWidth: "1.5px",
      borderStyle: "solid",
      font: "inherit",
      fontWeight: 600,
      lineHeight: 1.25,
      textAlign: "start",
      cursor: "pointer",
      _disabled: { opacity: 0.55, cursor: "not-allowed" },
    },
    variants: {
      variant: {
        act: { bg: "card", color: "copper", borderColor: "copper", _hover: { bg: "clay.1" } },
        main: { bg: "copper", color: "onCopper", borderColor: "copper" },
        quiet: { bg: "transparent", color: "ink", borderColor: "transparent", _hover: { bg: "clay.1" } },
      },
    },
    defaultVariants: { variant: "act" },
  },
  { defaultProps: { type: "button" } },
);

export const Input = chakra("input", { base: field });

export const TextArea = chakra("textarea", { base: field });

export const Select = chakra("select", { base: field });

/** An address or a reading: always in the mono face. */
export const Mono = chakra("span", { base: { fontFamily: "mono", fontSize: "0.96em", whiteSpace: "nowrap" } });
