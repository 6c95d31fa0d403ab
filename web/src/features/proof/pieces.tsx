import { Box, chakra } from "@chakra-ui/react";
import type { AnswerKind, Schemas } from "../../api/client";
import { Said } from "../../ui/Said";
import { answerWords } from "../../ui/words";

export function Answer({ kind }: { kind: AnswerKind }) {
  return (
    <chakra.span fontWeight="700" whiteSpace="nowrap" color={kind === "yes" ? "moss" : kind === "unknown" ? "ochre" : "brick"}>
      {answerWords[kind]}
    </chakra.span>
  );
}

/** Every cause of an answer, at most three. */
export function Why({ answer }: { answer: Schemas["Answer"] }) {
  return answer.causes.slice(0, 3).map((cause) => (
    <Box key={`${cause.code} ${cause.subjects.join()}`}>
      <Said text={cause.text} />
    </Box>
  ));
}

export const Cell = chakra("td", { base: { px: "2", py: "1", textAlign: "start", verticalAlign: "top", borderBottomWidth: "1px", borderBottomStyle: "solid", borderColor: "line" } });
export const Head = chakra("th", { base: { px: "2", py: "1", textAlign: "start", verticalAlign: "bottom", fontSize: "sm", color: "muted", fontWeight: 600, borderBottomWidth: "2px", borderBottomStyle: "solid", borderColor: "line" } });

/** Said, not shown. */
export const Unseen = chakra("span", { base: { position: "absolute", width: "1px", height: "1px", overflow: "hidden", clip: "rect(0, 0, 0, 0)", whiteSpace: "nowrap" } });
