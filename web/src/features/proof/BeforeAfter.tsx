import { Box, chakra } from "@chakra-ui/react";
import type { JobState, Schemas } from "../../api/client";
import { levelColour, levelWord, Trouble } from "../../ui/pieces";
import { useCompared } from "../shared/useCompared";
import { Asked } from "../shared/Asked";
import { Moves } from "./Moves";

/** The proofs of two set-ups or versions side by side: what got better, what worse, what stayed. */
export function BeforeAfter({ state }: { state: JobState }) {
  const first = state.setUps[0] ?? state.proof.setUp;
  // What was found against what is shown; where that is the same, the version before against this one.
  const { revisions, compared, picker } = useCompared(state, (parent) => ({
    before: first === state.proof.setUp ? { revision: parent ?? state.revision, setUp: first } : { revision: state.revision, setUp: first },
    after: { revision: state.revision, setUp: state.proof.setUp },
  }));
  if (revisions.isError) {
    return <Trouble what="The versions of this job cannot be read." why={revisions.error.message} again={() => void revisions.refetch()} />;
  }
  return (
    <Box display="grid" gap="4" gridTemplateColumns="minmax(0, 1fr)">
      <Box display="grid" gap="4" gridTemplateColumns={{ base: "minmax(0, 1fr)", lg: "1fr 1fr" }}>
        {picker("before")}
        {picker("after")}
      </Box>
      <Asked of={compared} what="The comparison">
        {(c) => (
          <>
            <Box display="grid" gap="4" gridTemplateColumns={{ base: "minmax(0, 1fr)", lg: "1fr 1fr" }}>
              <Verdict of={c.before} title="Before" />
              <Verdict of={c.after} title="After" />
            </Box>
            <Box as="section" aria-label="What moved" aria-live="polite">
              <Moves difference={c.moved} plain />
            </Box>
          </>
        )}
      </Asked>
    </Box>
  );
}

function Verdict({ of, title }: { of: Schemas["ComparedVersion"]; title: string }) {
  const { verdict, findings, facts } = of.proof;
  const online = facts.internet.filter((i) => i.answer.kind === "yes").length;
  const met = facts.needs.filter((n) => n.answer.kind === "yes").length;
  return (
    <Box as="section" aria-label={title} bg="card" borderWidth="1px" borderStyle="solid" borderColor="line" rounded="lg" p="3">
      <Box color="muted" fontSize="sm">
        {title}: {of.setUp}
      </Box>
      <chakra.h2 fontSize="lg" color={levelColour(verdict.kind)}>
        {levelWord(verdict.kind)}
      </chakra.h2>
      <Box>{verdict.sentence}</Box>
      <Box fontSize="sm" color="muted" mt="1">
        {online} of {facts.internet.length} devices on the internet · {met} of {facts.needs.length} needs met · {findings.length}{" "}
        {findings.length === 1 ? "finding" : "findings"}
      </Box>
    </Box>
  );
}
