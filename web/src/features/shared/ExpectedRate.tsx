import { Box, chakra } from "@chakra-ui/react";
import { api, type JobState, type Schemas } from "../../api/client";
import { spanWords } from "./airWords";
import { useAsked } from "./useAsked";

interface Props {
  state: JobState;
  from: string;
  /** The other end: a device, or "internet". */
  to: string;
}

/** How fast a way is expected to be, and what limits it; nothing while it is worked out, and where no way is there. */
export function ExpectedRate({ state, from, to }: Props) {
  const { proof } = state;
  const rate = useAsked<Schemas["RateFact"]>(state, ["rate", from, to], (signal) =>
    api.GET("/api/jobs/{id}/proof/rate", {
      params: { path: { id: state.job.id }, query: { setUp: proof.setUp, from, to } },
      signal,
    }),
  );
  // While another way is worked out, the answer before is that of the way before.
  if (!rate.data || rate.isError || rate.data.from !== from || rate.data.to !== to) {
    return null;
  }
  const { down, up, says, measured } = rate.data;
  return (
    <Box fontSize="sm">
      <chakra.span fontWeight="600">
        {measured ? "Measured" : "Expected"}: {spanWords(down, measured !== null)} down, {spanWords(up, measured !== null)} up.
      </chakra.span>{" "}
      <chakra.span color="muted">{says}</chakra.span>
    </Box>
  );
}
