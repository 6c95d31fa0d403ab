import { Box, chakra } from "@chakra-ui/react";
import { useQuery } from "@tanstack/react-query";
import { useCallback, useState } from "react";
import { api, unwrap, type JobState } from "../../api/client";
import { Asked } from "../shared/Asked";
import type { Choice } from "../terraces/choice";
import { DrawingPane } from "./DrawingPane";

const idle = { from: null, start: () => undefined, finish: () => undefined, over: () => undefined };

/** The home as it is with an option, to be looked at only. */
export function OptionDrawing({ state, number }: { state: JobState; number: number }) {
  const [choice, choose] = useState<Choice | null>(null);
  const drawing = useQuery({
    queryKey: ["options", state.job.id, state.revision, "drawing", number],
    queryFn: ({ signal }) =>
      unwrap(api.GET("/api/jobs/{id}/options/{number}/drawing", { params: { path: { id: state.job.id, number } }, signal })),
    placeholderData: (before) => before,
  });
  // It opens below the table: the page moves there.
  const shown = useCallback((section: HTMLElement | null) => section?.scrollIntoView({ block: "nearest" }), []);
  return (
    <Asked of={drawing} what="The drawing of the option">
      {(d) => (
        <Box
          as="section"
          aria-label={`Drawing of option ${number}`}
          ref={shown}
          height={{ base: "28rem", lg: "36rem" }}
          display="flex"
          bg="card"
          borderWidth="1px"
          borderStyle="solid"
          borderColor="line"
          rounded="lg"
          overflow="hidden"
        >
          <DrawingPane
            design={d.design}
            proof={d.proof}
            choice={choice}
            choose={choose}
            patching={idle}
            lead={<chakra.h2 fontSize="md">Option {number}</chakra.h2>}
          />
        </Box>
      )}
    </Asked>
  );
}
