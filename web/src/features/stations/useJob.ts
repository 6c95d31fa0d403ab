import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useCallback, useMemo, useRef, useState } from "react";
import { api, ProblemError, unwrap, type Change, type Clash, type Correction, type JobState, type Schemas } from "../../api/client";

type Preview = Schemas["Preview"];

/** Something that moves the head: asks the server for it, naming the version that is meant and the set-up to be answered. */
type Act = (
  params: { path: { id: number }; header: { "If-Match": string; "Altrin-Base": string } },
  setUp: string,
) => Parameters<typeof unwrap<JobState>>[0];

/** A question that holds up an edit: another user set the same value meanwhile. */
interface Asking {
  clashes: Clash[];
  why: string;
  answer: (mine: boolean) => void;
}

const changing =
  (changes: Change[]): Act =>
  (params, setUp) =>
    api.POST("/api/jobs/{id}/changes", { params, body: { setUp, changes } });

/** A job at its head with one set-up shown, and everything that can be done to it. The page holds the last server answer only. */
export function useJob(id: number, setUp: string | null) {
  const client = useQueryClient();
  const key = useMemo(() => ["job", id, setUp], [id, setUp]);
  const [preview, setPreview] = useState<Preview | null>(null);
  const [notice, setNotice] = useState<string | null>(null);
  const [otherTab, setOtherTab] = useState<string | null>(null);
  const [asking, setAsking] = useState<Asking | null>(null);
  const trying = useRef<AbortController | null>(null);

  const job = useQuery({
    queryKey: key,
    queryFn: async ({ signal }) => {
      const read = await unwrap(api.GET("/api/jobs/{id}", { params: { path: { id }, query: setUp ? { setUp } : {} }, signal }));
      // A save that was answered while this was on its way is newer; versions only rise.
      const kept = client.getQueryData<JobState>(key);
      return kept && kept.version > read.version ? kept : read;
    },
  });

  const take = (state: JobState) => {
    client.setQueryData(key, state);
    // What was read of the other set-ups is older now: it is read again when it is looked at.
    void client.invalidateQueries({
      queryKey: ["job", id],
      refetchType: "none",
      predicate: (q) => JSON.stringify(q.queryKey) !== JSON.stringify(key),
    });
    void client.invalidateQueries({ queryKey: ["jobs"] });
    setPreview(null);
  };
  /** The answer that counts now: also what a save in between left there. */
  const current = () => client.getQueryData<JobState>(key);

  const send = async (act: Act) => {
    const at = current();
    if (!at) {
      throw new Error("The job is not read yet.");
    }
    let seen = at;
    for (let told = ""; ;) {
      try {
        const state = await unwrap(
          act({ path: { id }, header: { "If-Match": `"${seen.version}"`, "Altrin-Base": `${seen.revision}` } }, at.proof.setUp),
        );
        if (told) {
          setNotice(told);
        }
        return state;
      } catch (e) {
        if (!(e instanceof ProblemError && e.is("stale") && e.problem.head)) {
          throw e;
        }
        // Another user moved the head. Where both set the same value, the user says which counts; the rest is made on top.
        const { head, clashes, detail = "" } = e.problem;
        take(head);
        if (
          clashes?.length !== 0 &&
          !(await new Promise<boolean>((answer) => setAsking({ clashes: clashes ?? [], why: detail, answer })))
        ) {
          return head;
        }
        told = `This job was also changed elsewhere. ${detail} Your change was made on top of it.`;
        seen = head;
      }
    }
  };

  const saving = useMutation({ mutationFn: send, onSuccess: take, scope: { id: `job-${id}` } });

  const move = useMutation({
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
      setNotice(null);
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
        setNotice(e.is("stale") ? `${e.problem.title} ${e.problem.detail ?? ""} Nothing was undone.` : e.problem.title);
      }
    },
  });

  /** Proves changes without saving them; the newest try wins. Null gives the try up. */
  const attempt = useCallback(
    (changes: Change[] | null) => {
      trying.current?.abort();
      trying.current = null;
      const at = client.getQueryData<JobState>(key);
      if (!changes || !at) {
        setPreview(null);
        return;
      }
      const mine = new AbortController();
      trying.current = mine;
      unwrap(
        api.POST("/api/jobs/{id}/preview", { params: { path: { id } }, body: { setUp: at.proof.setUp, changes }, signal: mine.signal }),
      ).then(
        (answer) => {
          if (trying.current === mine) {
            setPreview(answer);
          }
        },
        () => {
          // Half-typed text is refused all the time; the last proof stands until it is whole.
          if (trying.current === mine) {
            setPreview(null);
          }
        },
      );
    },
    [client, id, key],
  );

  return {
    id,
    job,
    preview,
    attempt,
    notice,
    dismiss: () => setNotice(null),
    otherTab,
    leaveOtherTab: () => setOtherTab(null),
    asking,
    answer: (mine: boolean) => {
      asking?.answer(mine);
      setAsking(null);
    },
    busy: saving.isPending || move.isPending,
    save: (changes: Change[]) => {
      trying.current?.abort();
      trying.current = null;
      return saving.mutateAsync(changing(changes));
    },
    /** Corrects what is given, in every set-up. */
    correct: (corrections: Correction[]) =>
      saving.mutateAsync((params, setUp) => api.POST("/api/jobs/{id}/corrections", { params, body: { setUp, corrections } })),
    /** The same for buttons. */
    correctNow: (corrections: Correction[]) =>
      saving.mutate((params, setUp) => api.POST("/api/jobs/{id}/corrections", { params, body: { setUp, corrections } }), {
        onError: (e) => setNotice(e.message),
      }),
    /** Begins the plan as a copy of what was found; the station that plans shows it from then on. */
    startPlan: () =>
      saving.mutate(
        (params, setUp) => api.POST("/api/jobs/{id}/corrections", { params, body: { setUp, corrections: [{ kind: "startPlan" }] } }),
        {
          onSuccess: () => void client.invalidateQueries({ queryKey: ["job", id] }),
          onError: (e) => setNotice(e.message),
        },
      ),
    /** Takes lines typed quickly into one of the lists of the survey. */
    enter: (list: Schemas["QuickList"], text: string) =>
      saving.mutateAsync((params) => api.POST("/api/jobs/{id}/survey/enter", { params, body: { list, text } })),
    /** Reads a table into the survey. */
    takeTable: (table: Schemas["SurveyTable"], text: string) =>
      saving.mutateAsync((params) => api.POST("/api/jobs/{id}/survey/table", { params, body: { table, text } })),
    /** Keeps a reading, and writes what was accepted of it into the survey, in one act. */
    keepReading: (reading: Schemas["KeepRequest"]) =>
      saving
        .mutateAsync((params) => api.POST("/api/jobs/{id}/readings", { params, body: reading }))
        .finally(() => void client.invalidateQueries({ queryKey: ["readings", id] })),
    /** The same for buttons: what is refused is said in a bar, since no field can say it. */
    act: (changes: Change[]) => {
      trying.current?.abort();
      trying.current = null;
      saving.mutate(changing(changes), { onError: (e) => setNotice(e.message) });
    },
    undo: (evenOthers = false) => move.mutate({ way: "undo", evenOthers }),
    redo: () => move.mutate({ way: "redo" }),
  };
}

export type JobTools = ReturnType<typeof useJob>;
