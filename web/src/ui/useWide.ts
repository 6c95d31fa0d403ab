import { useSyncExternalStore } from "react";

const wide = "(min-width: 64rem)";

/** Whether there is room for things side by side; a phone or a tablet held upright shows them one below the other. */
export function useWide(): boolean {
  return useSyncExternalStore(
    (told) => {
      const query = matchMedia(wide);
      query.addEventListener("change", told);
      return () => query.removeEventListener("change", told);
    },
    () => matchMedia(wide).matches,
  );
}
