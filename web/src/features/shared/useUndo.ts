import { useMutation } from "@tanstack/react-query";
import { useState } from "react";
import { api, ProblemError, unwrap, type JobState } from "../../api/client";
import type { Head } from "./useHead";

/** Undo and redo of the head; undo stops before a change that another tab made, until it is told to go on. */
export function useUndo(
  { id, current }: Pick<Head, "id" | "current">,
  take: (state: JobState) => void,
  say: (notice: string | null) => void,
) {
  const [otherTab, setOtherTab] = useState<string | null>(null);
  const { mutate, isPending } = useMutation({
    scope: { id: `job-${id}` },
    mutationFn: ({ way, evenOthers }: { way: "undo" | "redo"; evenOthers?: boolean }) => {
      const at = current();
      const header = { "If-Match": `"${at?.version ?? 0}"` };
      return unwrap(
        way === "undo"
          ? api.POST("/api/jobs/{id}/undo", {
              params: { path: { id }, header, query: { setUp: at?.proof.setUp, evenOthers: evenOthers ?? false } },
            })
          : api.POST("/api/jobs/{id}/redo", { params: { path: { id }, header, query: { setUp: at?.proof.setUp } } }),
      );
    },
    onMutate: () => {
      setOtherTab(null);
      say(null);
    },
    onSuccess: take,
    onError: (e) => {
      if (!(e instanceof ProblemError)) {
        return;
      }
      if (e.problem.head) {
        take(e.problem.head);
      }
      if (e.is("other-tab")) {
        setOtherTab(e.problem.detail ?? e.problem.title);
      } else {
        say(e.is("stale") ? `${e.problem.title} ${e.problem.detail ?? ""} Nothing was undone.` : e.problem.title);
      }
    },
  });
  return {
    moving: isPending,
    otherTab,
    leaveOtherTab: () => setOtherTab(null),
    undo: (evenOthers = false) => mutate({ way: "undo", evenOthers }),
    redo: () => mutate({ way: "redo" }),
  };
}
