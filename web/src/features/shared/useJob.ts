import { useQueryClient } from "@tanstack/react-query";
import { useRef, useState } from "react";
import { api, type Change, type Correction, type JobState, type Schemas } from "../../api/client";
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
  const onItsWay = useRef(new Map<string, Promise<JobState>>());

  const sayIn = (e: Error) => setNotice(e.message);
  /** Asks for something to be saved. The same once more, while the first is on its way, is a second press of the same button. */
  const once = (what: object, act: Act) => {
    const key = JSON.stringify(what);
    const there = onItsWay.current.get(key);
    if (there) {
      return there;
    }
    const sent = save(act).finally(() => onItsWay.current.delete(key));
    onItsWay.current.set(key, sent);
    return sent;
  };
  const change = (changes: Change[]) => {
    stop();
    return once({ changes }, changing(changes));
  };
  const correct = (corrections: Correction[]) => once({ corrections }, correcting(corrections));

  const choose = (option: Schemas["ChosenOption"]) =>
    once(option, (params) => api.POST("/api/jobs/{id}/options/chosen", { params, body: option })).then(
      () => void client.invalidateQueries({ queryKey: ["job", id] }),
    );

  const tools: JobTools = {
    id,
    attempt,
    save: change,
    act: (changes) => void change(changes).catch(sayIn),
    correct,
    correctNow: (corrections) => void correct(corrections).catch(sayIn),

    chooseOption: (option, chosen) => void choose(option).then(chosen, sayIn),
    keepOption: choose,
    startPlan: (begun) =>
      void correct([{ kind: "startPlan" }]).then(() => {
        void client.invalidateQueries({ queryKey: ["job", id] });
        begun();
      }, sayIn),
    enter: (list, text) => once({ list, text }, (params) => api.POST("/api/jobs/{id}/survey/enter", { params, body: { list, text } })),
    takeTable: (table, text) =>
      once({ table, text }, (params) => api.POST("/api/jobs/{id}/survey/table", { params, body: { table, text } })),
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
