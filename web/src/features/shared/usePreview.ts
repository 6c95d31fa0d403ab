import { useCallback, useRef, useState } from "react";
import { api, unwrap, type Change, type Schemas } from "../../api/client";
import type { Head } from "./useHead";

/** Proves changes without saving them; the newest try wins. */
export function usePreview({ id, current }: Pick<Head, "id" | "current">) {
  const [preview, setPreview] = useState<Schemas["Preview"] | null>(null);
  const trying = useRef<AbortController | null>(null);
  /** Ends the try that is on its way; what it proved stays until something is saved. */
  const stop = useCallback(() => {
    trying.current?.abort();
    trying.current = null;
  }, []);
  const attempt = useCallback(
    (changes: Change[] | null) => {
      stop();
      const at = current();
      if (!changes || !at) {
        setPreview(null);
        return;
      }
      const mine = new AbortController();
      trying.current = mine;
      // Half-typed text is refused all the time; the last proof stands until it is whole.
      const show = (answer: Schemas["Preview"] | null) => {
        if (trying.current === mine) {
          setPreview(answer);
        }
      };
      unwrap(
        api.POST("/api/jobs/{id}/preview", { params: { path: { id } }, body: { setUp: at.proof.setUp, changes }, signal: mine.signal }),
      ).then(show, () => show(null));
    },
    [id, current, stop],
  );
  return { preview, attempt, stop, clear: useCallback(() => setPreview(null), []) };
}
