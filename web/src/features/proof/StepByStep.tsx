import { Box, Flex } from "@chakra-ui/react";
import { Download } from "lucide-react";
import { api, type JobState, type Schemas } from "../../api/client";
import { Select } from "../../ui/controls";
import { Labelled } from "../../ui/pieces";
import { keysOf, ladderWords } from "../../ui/words";
import { nameOf, needWords, setUpOf } from "../shared/designReading";
import { Asked } from "../shared/Asked";
import { Ladder } from "./Ladder";
import { asking, useAsked } from "../shared/useAsked";
import { useShown } from "../shared/useShown";

type Kind = Schemas["LadderKind"];

/** What is said between the real actors, step by step, and as a capture to take along. */
export function StepByStep({ state }: { state: JobState }) {
  const { design, proof } = state;
  const [{ ladder, subject, other, step }, show] = useShown(["ladder", "subject", "other", "step"]);
  const kind: Kind = keysOf(ladderWords).find((k) => k === ladder) ?? "lease";
  const devices = setUpOf(design).devices.map((d) => d.device);
  const seats = useAsked<Schemas["Seat"][]>(state, ["seats"], (signal) =>
    api.GET("/api/jobs/{id}/proof/seats", { params: asking(state), signal }),
  );
  const clients = (seats.data ?? []).filter((s) => s.asks).map((s) => s.id);
  const inbound = design.site.needs.filter((n) => n.kind === "reachFromOutside").map((n) => n.id);
  const subjects = kind === "lease" ? clients : kind === "inbound" ? inbound : devices;
  const chosen = subject !== null && subjects.includes(subject) ? subject : (subjects[0] ?? null);
  const others = kind === "connection" || kind === "discovery" ? devices.filter((d) => d !== chosen) : [];
  const to = other !== null && others.includes(other) ? other : (others[0] ?? null);
  const query = { setUp: proof.setUp, kind, subject: chosen ?? "", ...(to ? { to } : {}) };
  const climbed = useAsked<Schemas["LadderDocument"]>(
    state,
    ["ladder", kind, chosen, to],
    (signal) => api.GET("/api/jobs/{id}/proof/ladder", { params: { ...asking(state), query }, signal }),
    chosen !== null,
  );
  const capture = (segment: string) => `/api/jobs/${state.job.id}/proof/capture?${new URLSearchParams({ ...query, segment }).toString()}`;

  const pick = (
    label: string,
    value: string | null,
    ids: readonly string[],
    name: (id: string) => string,
    choose: (id: string) => void,
  ) => (
    <Box width="15rem" maxW="100%">
      <Labelled label={label}>
        {(field) => (
          <Select {...field} value={value ?? ""} onChange={(e) => choose(e.target.value)}>
            {ids.map((id) => (
              <option key={id} value={id}>
                {name(id)}
              </option>
            ))}
          </Select>
        )}
      </Labelled>
    </Box>
  );
  return (
    <Box display="grid" gap="4" gridTemplateColumns="minmax(0, 1fr)">
      <Flex gap="4" wrap="wrap" align="end">
        <Box width="21rem" maxW="100%">
          <Labelled label="What is shown">
            {(ids) => (
              <Select {...ids} value={kind} onChange={(e) => show({ ladder: e.target.value, subject: null, other: null, step: null })}>
                {keysOf(ladderWords).map((k) => (
                  <option key={k} value={k}>
                    {ladderWords[k]}
                  </option>
                ))}
              </Select>
            )}
          </Labelled>
        </Box>
        {pick(
          kind === "inbound" ? "Need" : "Who",
          chosen,
          subjects,
          (id) => (kind === "inbound" ? needWords(proof, id) : nameOf(design, id)),
          (id) => show({ subject: id, step: null }),
        )}
        {others.length > 0 &&
          pick(
            kind === "discovery" ? "Looks for" : "To whom",
            to,
            others,
            (id) => nameOf(design, id),
            (id) => show({ other: id, step: null }),
          )}
      </Flex>
      {kind === "lease" && seats.data === undefined ? (
        <Asked of={seats} what="Who asks for an address">
          {() => null}
        </Asked>
      ) : chosen === null ? (
        <Box color="muted">{kind === "inbound" ? "Nothing is to be reached from outside." : "No device or box in use could do that."}</Box>
      ) : (
        <Asked of={climbed} what="What is said">
          {(l) => (
            <>
              <Ladder ladder={l} step={Number(step ?? 0)} stepTo={(n) => show({ step: n === 0 ? null : n.toString() })} />
              {l.wires.length > 0 && (
                <Flex as="section" aria-label="Captures" gap="3" wrap="wrap" align="center" fontSize="sm">
                  <Box fontWeight="600">As a packet capture (pcap):</Box>
                  {l.wires.map((w) => (
                    <a key={w.segment} href={capture(w.segment)} download>
                      <Download size={14} aria-hidden style={{ display: "inline" }} /> heard at {w.name}, {w.frames}{" "}
                      {w.frames === 1 ? "frame" : "frames"}
                    </a>
                  ))}
                </Flex>
              )}
            </>
          )}
        </Asked>
      )}
    </Box>
  );
}
