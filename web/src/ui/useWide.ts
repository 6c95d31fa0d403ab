import { useCallback, useSyncExternalStore } from "react";

/**
 * Whether there is room for things side by side; a phone or a tablet held upright shows them one below the other.
 *
 * @param least How wide the window has to be for that.
 */
export function useWide(least = "64rem"): boolean {
  const room = `(min-width: ${least})`;
  const subscribe = useCallback(
    (told: () => void) => {
      const query = matchMedia(room);
      query.addEventListener("change", told);
      return () => query.removeEventListener("change", told);
    },
    [room],
  );
  return useSyncExternalStore(subscribe, () => matchMedia(room).matches);
}
