import { useMutation } from "@tanstack/react-query";
import { useCallback, useState } from "react";
import { ProblemError, unwrap, type Clash, type JobState } from "../../api/client";
import type { Head } from "./useHead";

/** Something that moves the head: asks the server for it, naming the version that is meant and the set-up to be answered. */
export type Act = (
  params: { path: { id: number }; header: { "If-Match": string; "Altrin-Base": string } },
  setUp: string,
) => Parameters<typeof unwrap<JobState>>[0];

/** A question that holds up an edit: another user set the same value meanwhile. */
interface Asking {
  clashes: Clash[];
  why: string;
  answer: (mine: boolean) => void;
}

/** Saves one act after another on the head that was seen; where another user moved it, makes the act on top or asks whose counts. */
export function useSaving({ id, current }: Pick<Head, "id" | "current">, take: (state: JobState) => void, say: (notice: string) => void) {
  const [asking, setAsking] = useState<Asking | null>(null);

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
          say(told);
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

  const { mutateAsync, isPending } = useMutation({ mutationFn: send, onSuccess: take, scope: { id: `job-${id}` } });
  const answer = useCallback(
    (mine: boolean) => {
      asking?.answer(mine);
      setAsking(null);
    },
    [asking],
  );
  return { save: mutateAsync, saving: isPending, asking, answer };
}
