import { Box, chakra } from "@chakra-ui/react";
import type { Schemas } from "../../api/client";
import { Said } from "../../ui/Said";
import { worthWords } from "../../ui/words";

const colours: Record<Schemas["Worth"], string> = { good: "moss", notNeeded: "ochre", leave: "brick" };

interface Props {
  box: string;
  /** What the options tell of it; undefined while they are not there. */
  of: Schemas["SpareVerdict"] | undefined;
  view: Schemas["SurveyView"] | undefined;
}

/** What a box is good for, as what it serves or would at best; how it wakes, and what is to be known of its kind. */
export function Worth({ box, of, view }: Props) {
  const waking = view?.waking.filter((w) => w.box === box) ?? [];
  const cautions = view?.cautions.find((c) => c.box === box)?.says ?? [];
  return (
    <>
      {of && (
        <>
          <chakra.span fontWeight="700" color={colours[of.worth]}>
            {worthWords[of.worth]}
          </chakra.span>
          {of.for !== "" && (of.worth === "good" ? <>: {of.for}</> : <>, at best: {of.for}</>)}
        </>
      )}
      {waking.map((w) => (
        <Box key={w.box} color="ochre" fontWeight="600">
          <Said text={w.says} />
        </Box>
      ))}
      {[...(of?.reasons ?? []), ...cautions].map((r) => (
        <Box key={r} color="muted">
          <Said text={r} />
        </Box>
      ))}
    </>
  );
}
