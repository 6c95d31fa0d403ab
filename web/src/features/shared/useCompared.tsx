import { Box } from "@chakra-ui/react";
import { useQuery } from "@tanstack/react-query";
import type { ReactNode } from "react";
import { useSearchParams } from "react-router";
import { api, unwrap, type JobState, type Schemas } from "../../api/client";
import { Select } from "../../ui/controls";
import { Labelled } from "../../ui/pieces";

export type Which = "before" | "after";

interface Version {
  revision: number;
  setUp: string;
}

/** One version: a revision and a set-up of it, as the address writes it, "12.planned". */
const read = (text: string | null): Version | null => {
  const [revision, ...setUp] = (text ?? "").split(".");
  return revision && setUp.length > 0 ? { revision: Number(revision), setUp: setUp.join(".") } : null;
};
const write = ({ revision, setUp }: Version) => `${revision}.${setUp}`;
const words = (revision: Schemas["RevisionInfo"]) =>
  `${new Date(revision.createdAt).toLocaleTimeString("en-GB", { hour: "2-digit", minute: "2-digit" })} ${revision.label}`;

/** Two versions of a job, chosen in the address of the page, and what differs between them. */
export function useCompared(state: JobState, otherwise: (parent: number | null | undefined) => { before: Version; after: Version }) {
  const [query, setQuery] = useSearchParams();
  const revisions = useQuery({
    queryKey: ["revisions", state.job.id, state.version],
    queryFn: ({ signal }) =>
      unwrap(api.GET("/api/jobs/{id}/revisions", { params: { path: { id: state.job.id }, query: { perPage: 100 } }, signal })),
  });
  const listed = revisions.data?.items ?? [];
  const chosen = read(query.get("after"));
  const usual = otherwise(listed.find((r) => r.id === (chosen?.revision ?? state.revision))?.parent);
  const versions = { after: chosen ?? usual.after, before: read(query.get("before")) ?? usual.before };
  const { before, after } = versions;
  const compared = useQuery({
    queryKey: ["compare", state.job.id, before, after],
    enabled: revisions.isSuccess,
    queryFn: ({ signal }) =>
      unwrap(
        api.GET("/api/jobs/{id}/compare", {
          params: {
            path: { id: state.job.id },
            query: { before: before.revision, after: after.revision, beforeSetUp: before.setUp, afterSetUp: after.setUp },
          },
          signal,
        }),
      ),
  });
  const set = (which: Which, value: Version) => {
    const next = new URLSearchParams(query);
    next.set(which, write(value));
    setQuery(next, { replace: true });
  };
  const picker = (which: Which): ReactNode => (
    <Box display="grid" gridTemplateColumns="minmax(0, 1fr) 7.5rem" gap="2">
      <Labelled label={which === "before" ? "From version" : "To version"}>
        {(ids) => (
          <Select
            {...ids}
            value={versions[which].revision}
            onChange={(e) => set(which, { ...versions[which], revision: Number(e.target.value) })}
          >
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
          <Select {...ids} value={versions[which].setUp} onChange={(e) => set(which, { ...versions[which], setUp: e.target.value })}>
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
  return { revisions, compared, picker };
}
