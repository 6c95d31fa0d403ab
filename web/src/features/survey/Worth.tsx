import { chakra } from "@chakra-ui/react";
import type { Schemas } from "../../api/client";
import { worthWords } from "../../ui/words";

const colours: Record<Schemas["Worth"], string> = { good: "moss", notNeeded: "ochre", leave: "brick" };

/** What a box is good for, told from the options: as what it serves, or as what it would at best. */
export const Worth = ({ of }: { of: Schemas["SpareVerdict"] }) => (
  <>
    <chakra.span fontWeight="700" color={colours[of.worth]}>
      {worthWords[of.worth]}
    </chakra.span>
    {of.for !== "" && (of.worth === "good" ? <>: {of.for}</> : <>, at best: {of.for}</>)}
  </>
);
