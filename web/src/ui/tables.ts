import { chakra } from "@chakra-ui/react";

export const Cell = chakra("td", {
  base: {
    px: "2",
    py: "1",
    textAlign: "start",
    verticalAlign: "top",
    borderBottomWidth: "1px",
    borderBottomStyle: "solid",
    borderColor: "line",
  },
});
export const Head = chakra("th", {
  base: {
    px: "2",
    py: "1",
    textAlign: "start",
    verticalAlign: "bottom",
    fontSize: "sm",
    color: "muted",
    fontWeight: 600,
    borderBottomWidth: "2px",
    borderBottomStyle: "solid",
    borderColor: "line",
  },
});

/** Said, not shown. */
export const Unseen = chakra("span", {
  base: { position: "absolute", width: "1px", height: "1px", overflow: "hidden", clip: "rect(0, 0, 0, 0)", whiteSpace: "nowrap" },
});
