import { useQuery } from "@tanstack/react-query";
import { useCallback } from "react";
import { api, unwrap, type JobState } from "../../api/client";
import { Asked } from "../shared/Asked";
import { HomeLook } from "./HomeLook";

/** The home as it is with an option, to be looked at only. */
export function OptionDrawing({ state, number }: { state: JobState; number: number }) {
  const drawing = useQuery({
    queryKey: ["options", state.job.id, state.revision, "drawing", number],
    queryFn: ({ signal }) =>
      unwrap(api.GET("/api/jobs/{id}/options/{number}/drawing", { params: { path: { id: state.job.id, number } }, signal })),
  });
  // It opens below the table: the page moves there.
  const shown = useCallback((section: HTMLElement | null) => section?.scrollIntoView({ block: "nearest" }), []);
  return (
    <Asked of={drawing} what="The drawing of the option">
      {(d) => (
        <HomeLook
          design={d.design}
          proof={d.proof}
          label={`Drawing of option ${number}`}
          title={`Option ${number}`}
          height={{ base: "28rem", lg: "36rem" }}
          ref={shown}
        />
      )}
    </Asked>
  );
}
