import { useSearchParams } from "react-router";

/** What a part shows, kept in the address of the page, so that it can be linked and reloaded. */
export function useShown<K extends string>(
  names: readonly K[],
): [Record<K, string | null>, (next: Partial<Record<K, string | null>>) => void] {
  const [query, setQuery] = useSearchParams();
  const shown = Object.fromEntries(names.map((n) => [n, query.get(n)])) as Record<K, string | null>;
  const show = (next: Partial<Record<K, string | null>>) => {
    const changed = new URLSearchParams(query);
    for (const [name, value] of Object.entries(next) as [K, string | null][]) {
      if (value === null || value === "") {
        changed.delete(name);
      } else {
        changed.set(name, value);
      }
    }
    setQuery(changed, { replace: true });
  };
  return [shown, show];
}
