import { Box, chakra, Flex } from "@chakra-ui/react";
import { useQuery } from "@tanstack/react-query";
import { ArrowRight } from "lucide-react";
import { useMemo, useState } from "react";
import { useSearchParams } from "react-router";
import { api, unwrap, type JobState, type Schemas } from "../../api/client";
import { Button, Select } from "../../ui/controls";
import { Labelled, levelColour, levelWord, Trouble, Waiting } from "../../ui/pieces";
import { Said } from "../../ui/Said";
import { DrawingPane } from "./DrawingPane";

type Side = "before" | "after";

/** One version: a revision and a set-up of it, as the address writes it, "12.planned". */
const read = (text: string | null): { revision: number; setUp: string } | null => {
  const [revision, ...setUp] = (text ?? "").split(".");
  return revision && setUp.length > 0 ? { revision: Number(revision), setUp: setUp.join(".") } : null;
};
const write = ({ revision, setUp }: { revision: number; setUp: string }) => `${revision}.${setUp}`;

/** Two versions side by side in words, one of them drawn with what differs marked. */
export default function ComparePane({ state }: { state: JobState }) {
  const [query, setQuery] = useSearchParams();
  const [side, setSide] = useState<Side>("after");
  const revisions = useQuery({
    queryKey: ["revisions", state.job.id, state.version],
    queryFn: ({ signal }) => unwrap(api.GET("/api/jobs/{id}/revisions", { params: { path: { id: state.job.id }, query: { perPage: 100 } }, signal })),
  });
  const listed = revisions.data?.items ?? [];
  const after = read(query.get("after")) ?? { revision: state.revision, setUp: state.proof.setUp };
  const parent = listed.find((r) => r.id === after.revision)?.parent;
  const before = read(query.get("before")) ?? { revision: parent ?? after.revision, setUp: state.proof.setUp };
  const compared = useQuery({
    queryKey: ["compare", state.job.id, before, after],
    enabled: revisions.isSuccess,
    queryFn: ({ signal }) =>
      unwrap(api.GET("/api/jobs/{id}/compare", { params: { path: { id: state.job.id }, query: { before: before.revision, after: after.revision, beforeSetUp: before.setUp, afterSetUp: after.setUp } }, signal })),
  });
  const subjects = useMemo(() => new Set((compared.data?.changes ?? []).flatMap((c) => c.subjects).flatMap((s) => [`box ${s}`, `device ${s}`, `cable ${s}`, `port ${s}`])), [compared.data]);
  const set = (which: Side, value: { revision: number; setUp: string }) => {
    const next = new URLSearchParams(query);
    next.set(which, write(value));
    setQuery(next, { replace: true });
  };
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
  const picker = (which: Side, value: { revision: number; setUp: string }) => (
    <Box display="grid" gridTemplateColumns="minmax(0, 1fr) 7.5rem" gap="2">
      <Labelled label={which === "before" ? "From version" : "To version"}>
        {(ids) => (
          <Select {...ids} value={value.revision} onChange={(e) => set(which, { ...value, revision: Number(e.target.value) })}>
            {listed.map((r) => (
              <option key={r.id} value={r.id}>
                {`${words(r)}${r.id === state.revision ? " (now)" : ""}`}
              </option>
            ))}
          </Select>
        )}
      </Labelled>
      <Labelled label="Set-up">
        {(ids) => (
          <Select {...ids} value={value.setUp} onChange={(e) => set(which, { ...value, setUp: e.target.value })}>
            {state.setUps.map((s) => (
              <option key={s} value={s}>
                {s}
              </option>
            ))}
          </Select>
        )}
      </Labelled>
    </Box>
  );
  return (
    <Box display="grid" gridTemplateColumns={{ base: "minmax(0, 1fr)", lg: "minmax(0, 1fr) 24rem" }} height={{ lg: "100%" }} minH="34rem">
      <Flex direction="column" minW="0" minH="0" order={{ base: 2, lg: 1 }}>
        {shown ? (
          <DrawingPane
            key={side}
            design={shown.design}
            proof={shown.proof}
            choice={null}
            choose={() => undefined}
            patching={idle}
            marked={subjects}
            lead={
              <Flex role="group" aria-label="Which version is drawn" gap="1">
                {(["before", "after"] as const).map((which) => (
                  <Button key={which} variant={side === which ? "act" : "quiet"} aria-pressed={side === which} onClick={() => setSide(which)}>
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
      <Box order={{ base: 1, lg: 2 }} bg="card" p="4" borderLeftWidth={{ lg: "1px" }} borderLeftStyle="solid" borderColor="line" overflowY={{ lg: "auto" }} minH="0">
        <Flex justify="space-between" align="center" gap="2">
          <chakra.h1 fontSize="xl">What changed</chakra.h1>
          <Button onClick={leave}>Back to the plan</Button>
        </Flex>
        <Box display="grid" gap="3" mt="3">
          {picker("before", before)}
          {picker("after", after)}
        </Box>
        {compared.data && (
          <chakra.section aria-label="What changed" aria-live="polite" mt="4">
            <Flex gap="2" mb="3" wrap="wrap">
              <Verdict of={compared.data.before} /> <ArrowRight size={18} aria-label="to" /> <Verdict of={compared.data.after} />
            </Flex>
            {compared.data.changes.length === 0 ? (
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
          </chakra.section>
        )}
      </Box>
    </Box>
  );
}

const idle = { from: null, start: () => undefined, finish: () => undefined, over: () => undefined };

const words = (revision: Schemas["RevisionInfo"]) => `${new Date(revision.createdAt).toLocaleTimeString("en-GB", { hour: "2-digit", minute: "2-digit" })} ${revision.label}`;

function Verdict({ of }: { of: Schemas["ComparedVersion"] }) {
  return (
    <chakra.span fontWeight="700" color={levelColour(of.proof.verdict.kind)}>
      {levelWord(of.proof.verdict.kind)}
    </chakra.span>
  );
}
