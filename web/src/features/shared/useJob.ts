import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api, type Change, type Correction, type JobState } from "../../api/client";
import type { JobTools } from "./jobTools";
import { useHead } from "./useHead";
import { usePreview } from "./usePreview";
import { useSaving, type Act } from "./useSaving";
import { useUndo } from "./useUndo";

const changing =
  (changes: Change[]): Act =>
  (params, setUp) =>
    api.POST("/api/jobs/{id}/changes", { params, body: { setUp, changes } });

const correcting =
  (corrections: Correction[]): Act =>
  (params, setUp) =>
    api.POST("/api/jobs/{id}/corrections", { params, body: { setUp, corrections } });

/** A job at its head with one set-up shown, and everything that can be done to it. */
export function useJob(id: number, setUp: string | null): JobTools {
  const client = useQueryClient();
  const [notice, setNotice] = useState<string | null>(null);
  const head = useHead(id, setUp);
  const { preview, attempt, stop, clear } = usePreview(head);
  const take = (state: JobState) => {
    head.take(state);
    clear();
  };
  const { saving, asking, answer } = useSaving(head, take, setNotice);
  const { moving, ...history } = useUndo(head, take, setNotice);
  const saidInBar = { onError: (e: Error) => setNotice(e.message) };

  return {
    id,
    job: head.job,
    busy: saving.isPending || moving,
    preview,
    attempt,
    save: (changes) => {
      stop();
      return saving.mutateAsync(changing(changes));
    },
    act: (changes) => {
      stop();
      saving.mutate(changing(changes), saidInBar);
    },
    correct: (corrections) => saving.mutateAsync(correcting(corrections)),
    correctNow: (corrections) => saving.mutate(correcting(corrections), saidInBar),

    startPlan: (begun) =>
      saving.mutate(correcting([{ kind: "startPlan" }]), {
        ...saidInBar,
        onSuccess: () => {
          void client.invalidateQueries({ queryKey: ["job", id] });
          begun();
        },
      }),
    enter: (list, text) => saving.mutateAsync((params) => api.POST("/api/jobs/{id}/survey/enter", { params, body: { list, text } })),
    takeTable: (table, text) => saving.mutateAsync((params) => api.POST("/api/jobs/{id}/survey/table", { params, body: { table, text } })),
    keepReading: (reading) =>
      saving
        .mutateAsync((params) => api.POST("/api/jobs/{id}/readings", { params, body: reading }))
        .finally(() => void client.invalidateQueries({ queryKey: ["readings", id] })),

    ...history,
    notice,
    dismiss: () => setNotice(null),
    asking,
    answer,
  };
}
