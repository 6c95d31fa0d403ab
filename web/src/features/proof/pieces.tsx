import { chakra } from "@chakra-ui/react";
import type { AnswerKind } from "../../api/client";
import { answerWords } from "../../ui/words";

export function Answer({ kind }: { kind: AnswerKind }) {
  return (
    <chakra.span fontWeight="700" whiteSpace="nowrap" color={kind === "yes" ? "moss" : kind === "unknown" ? "ochre" : "brick"}>
      {answerWords[kind]}
    </chakra.span>
  );
}

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
