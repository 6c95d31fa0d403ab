import type { Schemas } from "../../api/client";

/** Parts of an evening as headings. */
export const phaseWords: Record<Schemas["Phase"], string> = {
  beforeLeaving: "Before leaving",
  baseline: "Baseline",
  atTheTable: "At the table",
  window: "On the live network",
  place: "Place",
  finish: "Finish",
};

/** Steps that follow each other in one part of the evening. */
export function inPhases<T extends { phase: Schemas["Phase"] }>(steps: readonly T[]): { phase: Schemas["Phase"]; steps: T[] }[] {
  const parts: { phase: Schemas["Phase"]; steps: T[] }[] = [];
  for (const step of steps) {
    const last = parts.at(-1);
    if (last?.phase === step.phase) {
      last.steps.push(step);
    } else {
      parts.push({ phase: step.phase, steps: [step] });
    }
  }
  return parts;
}
