import { Box, chakra, Flex } from "@chakra-ui/react";
import { ArrowRight } from "lucide-react";
import { useMemo, useState } from "react";
import { useSearchParams } from "react-router";
import type { JobState, Schemas } from "../../api/client";
import { Button } from "../../ui/controls";
import { levelColour, levelWord, Trouble, Waiting } from "../../ui/pieces";
import { Said } from "../../ui/Said";
import { useCompared, type Which } from "../shared/useCompared";
import { drawingAndSide } from "./columns";
import { DrawingPane } from "./DrawingPane";

/** Two versions side by side in words, one of them drawn with what differs marked. */
export default function ComparePane({ state }: { state: JobState }) {
  const [query, setQuery] = useSearchParams();
  const [side, setSide] = useState<Which>("after");
  const { revisions, compared, picker } = useCompared(state, (parent) => ({
    after: { revision: state.revision, setUp: state.proof.setUp },
    before: { revision: parent ?? state.revision, setUp: state.proof.setUp },
  }));
  const subjects = useMemo(
    () =>
      new Set(
        (compared.data?.changes ?? []).flatMap((c) => c.subjects).flatMap((s) => [`box ${s}`, `device ${s}`, `cable ${s}`, `port ${s}`]),
      ),
    [compared.data],
  );
  const leave = () => {
    const next = new URLSearchParams(query);
    for (const name of ["compare", "before", "after"]) {
      next.delete(name);
    }
    setQuery(next);
  };

  if (revisions.isError) {
    return <Trouble what="The versions of this job cannot be read." why={revisions.error.message} again={() => void revisions.refetch()} />;
  }
  if (!revisions.data) {
    return <Waiting what="Reading the versions" />;
  }
  const shown = compared.data?.[side];
  return (
    <Box display="grid" gridTemplateColumns={{ base: "minmax(0, 1fr)", lg: drawingAndSide }} height={{ lg: "100%" }} minH="34rem">
      <Flex direction="column" minW="0" minH="0" order={{ base: 2, lg: 1 }}>
        {shown ? (
          <DrawingPane
            key={side}
            design={shown.design}
            proof={shown.proof}
            choice={null}
            choose={() => undefined}
            marked={subjects}
            lead={
              <Flex role="group" aria-label="Which version is drawn" gap="1">
                {(["before", "after"] as const).map((which) => (
                  <Button
                    key={which}
                    variant={side === which ? "act" : "quiet"}
                    aria-pressed={side === which}
                    onClick={() => setSide(which)}
                  >
                    {which === "before" ? "Before" : "After"}
                  </Button>
                ))}
              </Flex>
            }
          />
        ) : compared.isError ? (
          <Trouble what="These versions cannot be compared." why={compared.error.message} again={() => void compared.refetch()} />
        ) : (
          <Waiting what="Comparing" />
        )}
      </Flex>
      <Box
        order={{ base: 1, lg: 2 }}
        bg="card"
        p="4"
        borderLeftWidth={{ lg: "1px" }}
        borderLeftStyle="solid"
        borderColor="line"
        overflowY={{ lg: "auto" }}
        minH="0"
      >
        <Flex justify="space-between" align="center" gap="2">
          <chakra.h1 fontSize="xl">What changed</chakra.h1>
          <Button onClick={leave}>Back to the plan</Button>
        </Flex>
        <Box display="grid" gap="3" mt="3">
          {picker("before")}
          {picker("after")}
        </Box>
        {compared.data && (
          <chakra.section aria-label="What changed" aria-live="polite" mt="4">
            <Flex gap="2" mb="3" wrap="wrap">
              <Verdict of={compared.data.before} /> <ArrowRight size={18} aria-label="to" /> <Verdict of={compared.data.after} />
            </Flex>
            {compared.data.changes.length + compared.data.unreachable.length === 0 ? (
              <Box color="muted">They are alike.</Box>
            ) : (
              <Box as="ol" display="grid" gap="1.5">
                {compared.data.changes.map((c, i) => (
                  <chakra.li key={i} pl="2" borderLeftWidth="3px" borderLeftStyle="solid" borderColor="copper">
                    <Said text={c.text} />
                  </chakra.li>
                ))}
              </Box>
            )}
            {compared.data.unreachable.length > 0 && (
              <Box mt="3" fontSize="sm">
                Differs too, and cannot be set on any page:
                <Box as="ul" pl="5">
                  {compared.data.unreachable.map((why) => (
                    <li key={why}>
                      <Said text={why} />
                    </li>
                  ))}
                </Box>
              </Box>
            )}
          </chakra.section>
        )}
      </Box>
    </Box>
  );
}

function Verdict({ of }: { of: Schemas["ComparedVersion"] }) {
  return (
    <chakra.span fontWeight="700" color={levelColour(of.proof.verdict.kind)}>
      {levelWord(of.proof.verdict.kind)}
    </chakra.span>
  );
}
