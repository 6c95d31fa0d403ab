import { useQuery } from "@tanstack/react-query";
import { api, unwrap, type Schemas } from "../../api/client";

export type SettingView = Schemas["SettingView"];

const none: SettingView[] = [];

/** The settings that pages of boxes have, in the server's words; none until they are read. */
export function useSettings(): SettingView[] {
  return (
    useQuery({
      queryKey: ["settings"],
      queryFn: ({ signal }) => unwrap(api.GET("/api/settings", { signal })),
      staleTime: Infinity,
    }).data ?? none
  );
}

/** Settings in words, one after another. */
export const inWords = (settings: readonly SettingView[], sets: readonly Schemas["Setting"][]) =>
  sets.map((s) => settings.find((v) => v.setting === s)?.words ?? s).join(", ");
