import type { Schemas } from "../../api/client";

type View = Schemas["WaysView"];

/** What holds where nothing is said, by name. */
export const underlying = (view: View): Record<string, string> =>
  Object.fromEntries([
    ...view.schools
      .flatMap((s) => (s.typed ? [s.name, s.typed.name] : [s.name]))
      .map((name) => [name, String(view.mine[name as keyof Schemas["Ways"]] ?? "")]),
    ...view.weights.map((w) => [w.name, String(w.mine)]),
  ]);

/** What counts, by name. */
export const counting = (view: View): Record<string, string> => ({
  ...underlying(view),
  ...Object.fromEntries(view.own.map((text) => text.split("=", 2) as [string, string])),
});

/** What is said once one of it is another: what holds anyway is not said. */
export const saying = (view: View, name: string, value: string) => {
  const rest = view.own.filter((text) => !text.startsWith(`${name}=`));
  return value === underlying(view)[name] ? rest : [...rest, `${name}=${value}`];
};
