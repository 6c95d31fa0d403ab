import { useQueryClient } from "@tanstack/react-query";
import { useRef, useState } from "react";
import { api, type Change, type Correction, type JobState } from "../../api/client";
import type { JobTools, OpenJob } from "./jobTools";
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
export function useJob(id: number, setUp: string | null): OpenJob {
  const client = useQueryClient();
  const [notice, setNotice] = useState<string | null>(null);
  const head = useHead(id, setUp);
  const { preview, attempt, stop, clear } = usePreview(head);
  const { take: keep } = head;
  const take = (state: JobState) => {
    keep(state);
    clear();
  };
  const { save, saving, asking, answer } = useSaving(head, take, setNotice);
  const { moving, undo, redo, otherTab, leaveOtherTab } = useUndo(head, take, setNotice);
  const onItsWay = useRef(new Set<string>());

  const sayIn = (e: Error) => setNotice(e.message);
  /** What a button asks for: said in the bar where it is refused. A second press while the first is on its way is the same press. */
  const press = (what: Change[] | Correction[], act: Act) => {
    const sent = JSON.stringify(what);
    if (onItsWay.current.has(sent)) {
      return;
    }
    onItsWay.current.add(sent);
    void save(act)
      .catch(sayIn)
      .finally(() => onItsWay.current.delete(sent));
  };

  const tools: JobTools = {
    id,
    attempt,
    save: (changes) => {
      stop();
      return save(changing(changes));
    },
    act: (changes) => {
      stop();
      press(changes, changing(changes));
    },
    correct: (corrections) => save(correcting(corrections)),
    correctNow: (corrections) => press(corrections, correcting(corrections)),

    startPlan: (begun) =>
      void save(correcting([{ kind: "startPlan" }])).then(() => {
        void client.invalidateQueries({ queryKey: ["job", id] });
        begun();
      }, sayIn),
    enter: (list, text) => save((params) => api.POST("/api/jobs/{id}/survey/enter", { params, body: { list, text } })),
    takeTable: (table, text) => save((params) => api.POST("/api/jobs/{id}/survey/table", { params, body: { table, text } })),
    keepReading: (reading) =>
      save((params) => api.POST("/api/jobs/{id}/readings", { params, body: reading })).finally(
        () => void client.invalidateQueries({ queryKey: ["readings", id] }),
      ),

    undo,
    redo,
    leaveOtherTab,
    dismiss: () => setNotice(null),
    answer,
  };
  return { job: head.job, preview, tools, status: { busy: saving || moving, notice, otherTab, asking } };
}
