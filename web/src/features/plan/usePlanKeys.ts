import { useEffect, useRef } from "react";
import type { Proof } from "../../api/client";
import { useShortcuts, type Shortcut } from "../../ui/shortcuts";
import { standing } from "../shared/findings";
import type { JobTools } from "../shared/jobTools";
import type { Choice } from "../terraces/choice";

interface Plan {
  proof: Proof;
  choice: Choice | null;
  choose: (choice: Choice | null) => void;
  tools: JobTools;
  /** Whether changes are only tried. */
  trying: boolean;
  /** Whether the plan itself is shown; while versions are compared its keys do nothing. */
  on: boolean;
  help: () => void;
}

/** The keys of the plan: from problem to problem, its cure, why, undo. */
export function usePlanKeys({ proof, choice, choose, tools, trying, on, help }: Plan): readonly Shortcut[] {
  // The finding whose focus is owed: its panel may have to come back first, and a busy machine takes its time over that.
  const owed = useRef<string | null>(null);
  useEffect(() => {
    if (owed.current !== null && show(owed.current)) {
      owed.current = null;
    }
  });
  const open = standing(proof);
  const at = choice?.kind === "finding" ? open.findIndex((f) => f.identity === choice.id) : -1;
  const go = (by: 1 | -1) => {
    const next = open[at < 0 ? (by > 0 ? 0 : open.length - 1) : (at + by + open.length) % open.length];
    if (next) {
      choose({ kind: "finding", id: next.identity });
      owed.current = show(next.identity) ? null : next.identity;
    }
  };
  const here = open[at] ?? open[0];
  const cure = here?.remedies[0];
  // As with the buttons: nothing is applied on top of what is only being tried.
  const free = !trying;
  const shortcuts: Shortcut[] = [
    { key: ".", does: "next problem", act: () => go(1) },
    { key: ",", does: "problem before", act: () => go(-1) },
    {
      key: "a",
      does: cure ? `apply its first cure: ${cure.label}` : "apply its first cure",
      act: () => cure && free && tools.act(cure.changes),
    },
    { key: "w", does: "why: open or close its reasons", act: () => here && why(here.identity) },
    {
      key: "Delete",
      does: "unplug the cable that is chosen",
      act: () => choice?.kind === "cable" && free && tools.act([{ kind: "unpatch", cable: choice.id }]),
    },
    { key: "?", does: "these keys", act: help },
    { key: "Ctrl+z", does: "undo", act: () => tools.undo() },
    { key: "Ctrl+Shift+z", does: "redo", act: () => tools.redo() },
  ];
  useShortcuts(on ? shortcuts : []);
  return shortcuts;
}

const itemOf = (identity: string) => document.querySelector(`[data-finding="${CSS.escape(identity)}"]`);

/** Brings a finding into view with the focus on it; answers whether it was there, and chosen, already. */
function show(identity: string): boolean {
  const item = itemOf(identity);
  const button = item?.querySelector<HTMLButtonElement>("h2 button[aria-pressed=true]");
  if (!item || !button) {
    return false;
  }
  item.scrollIntoView({ block: "nearest" });
  button.focus({ preventScroll: true });
  return true;
}

function why(identity: string): void {
  const details = itemOf(identity)?.querySelector<HTMLDetailsElement>("details.why");
  if (details) {
    details.open = !details.open;
  }
}
