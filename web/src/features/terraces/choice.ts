/** What is chosen; the address of the page says which. */
export type ChoiceKind = "box" | "device" | "port" | "cable" | "finding" | "terrace";

export interface Choice {
  kind: ChoiceKind;
  id: string;
}

export const choiceKinds: ChoiceKind[] = ["box", "device", "port", "cable", "finding", "terrace"];

/** The choice that an address names; null for none. */
export function choiceOf(query: URLSearchParams): Choice | null {
  for (const kind of choiceKinds) {
    const id = query.get(kind);
    if (id) {
      return { kind, id };
    }
  }
  return null;
}

/** The same address with another choice. */
export function withChoice(query: URLSearchParams, choice: Choice | null): URLSearchParams {
  const next = new URLSearchParams(query);
  for (const kind of choiceKinds) {
    next.delete(kind);
  }
  if (choice) {
    next.set(choice.kind, choice.id);
  }
  return next;
}

export const same = (a: Choice | null, kind: ChoiceKind, id: string) => a?.kind === kind && a.id === id;
