import { chakra } from "@chakra-ui/react";
import type { AnswerKind } from "../api/client";
import { answerWords } from "./words";

export function Answer({ kind }: { kind: AnswerKind }) {
  return (
    <chakra.span fontWeight="700" whiteSpace="nowrap" color={kind === "yes" ? "moss" : kind === "unknown" ? "ochre" : "brick"}>
      {answerWords[kind]}
    </chakra.span>
  );
}
