import { Box, chakra } from "@chakra-ui/react";
import { api, type JobState, type Schemas } from "../../api/client";
import { Button } from "../../ui/controls";
import { Said } from "../../ui/Said";
import { capital, keysOf, trialWords } from "../../ui/words";
import { Asked } from "../shared/Asked";
import { Moves } from "./Moves";
import { asking, useAsked } from "../shared/useAsked";
import { useShown } from "../shared/useShown";

/** What would happen if this cable were unplugged or that box were off. Nothing of it is kept. */
export function WhatIf({ state }: { state: JobState }) {
  const [{ trial }, show] = useShown(["trial"]);
  const trials = useAsked<Schemas["Trial"][]>(state, ["trials"], (signal) =>
    api.GET("/api/jobs/{id}/proof/trials", { params: asking(state), signal }),
  );
  const tried = useAsked<Schemas["TrialResult"]>(
    state,
    ["trial", trial],
    (signal) =>
      api.GET("/api/jobs/{id}/proof/trial", {
        params: { ...asking(state), query: { setUp: state.proof.setUp, trial: trial ?? "" } },
        signal,
      }),
    trial !== null,
  );
  return (
    <Asked of={trials} what="What may happen">
      {(all) =>
        all.length === 0 ? (
          <Box color="muted">No box and no cable is in use: nothing can happen yet.</Box>
        ) : (
          <Box display="grid" gap="5" gridTemplateColumns={{ base: "minmax(0, 1fr)", lg: "24rem minmax(0, 1fr)" }} alignItems="start">
            <Box as="section" aria-label="What may happen" display="grid" gap="3">
              {keysOf(trialWords).map((kind) => {
                const these = all.filter((t) => t.kind === kind);
                return these.length === 0 ? null : (
                  <Box key={kind}>
                    <chakra.h2 fontSize="sm" color="muted">
                      {trialWords[kind]}
                    </chakra.h2>
                    {these.map((t) => (
                      <Button
                        key={t.id}
                        variant={t.id === trial ? "act" : "quiet"}
                        aria-pressed={t.id === trial}
                        width="100%"
                        justifyContent="start"
                        fontWeight={t.id === trial ? 600 : 400}
                        onClick={() => show({ trial: t.id })}
                      >
                        {capital(t.label)}
                      </Button>
                    ))}
                  </Box>
                );
              })}
            </Box>
            <Box
              as="section"
              aria-label="What would happen"
              aria-live="polite"
              bg="card"
              borderWidth="1px"
              borderStyle="solid"
              borderColor="line"
              rounded="lg"
              p="4"
              minW="0"
            >
              {trial === null ? (
                <Box color="muted">Choose what happens. It is tried on the simulated network, and nothing of it is kept.</Box>
              ) : (
                <Asked of={tried} what="What would happen">
                  {(r) => (
                    <>
                      <chakra.h2 fontSize="lg">{capital(r.trial.label)}</chakra.h2>
                      {r.how && (
                        <Box color="muted" fontSize="sm">
                          <Said text={r.how} />
                        </Box>
                      )}
                      {r.phases.map((p) => (
                        <Box key={p.when} mt="4">
                          <chakra.h3 fontSize="md" borderBottomWidth="1px" borderBottomStyle="solid" borderColor="line" mb="2">
                            {p.when}
                          </chakra.h3>
                          <Moves difference={p.difference} when={p.when} />
                        </Box>
                      ))}
                    </>
                  )}
                </Asked>
              )}
            </Box>
          </Box>
        )
      }
    </Asked>
  );
}
