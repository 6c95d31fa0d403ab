import { useEffect, useRef, useSyncExternalStore } from "react";

/** Keys that act by themselves, without Ctrl or Alt. They can be switched off (WCAG 2.1.4); the choice is kept in this browser. */
const stored = "altrin-single-keys";
const listeners = new Set<() => void>();

export const singleKeys = {
  on: () => localStorage.getItem(stored) !== "off",
  set: (on: boolean) => {
    localStorage.setItem(stored, on ? "on" : "off");
    listeners.forEach((told) => told());
  },
};

export const useSingleKeys = () =>
  useSyncExternalStore((told) => {
    listeners.add(told);
    return () => listeners.delete(told);
  }, singleKeys.on);

export interface Shortcut {
  /** As the keyboard event names it: ".", "a", "?"; with "Ctrl+" before it for one that always works. */
  key: string;
  does: string;
  act: () => void;
}

const typing = (target: EventTarget | null) =>
  target instanceof HTMLElement && (target.isContentEditable || ["INPUT", "SELECT", "TEXTAREA"].includes(target.tagName));

/** Listens for keys while the calling view is shown. Nothing is taken from a field that is being typed in. */
export function useShortcuts(shortcuts: readonly Shortcut[]): void {
  const current = useRef(shortcuts);
  useEffect(() => {
    current.current = shortcuts;
  });
  useEffect(() => {
    const press = (e: KeyboardEvent) => {
      if (e.defaultPrevented || e.altKey || typing(e.target) || document.querySelector("dialog[open]")) {
        return;
      }
      const held = e.ctrlKey || e.metaKey;
      const name = held ? `Ctrl+${e.shiftKey ? "Shift+" : ""}${e.key.toLowerCase()}` : e.key;
      const found = current.current.find((s) => s.key === name);
      if (found && (held || singleKeys.on())) {
        e.preventDefault();
        found.act();
      }
    };
    document.addEventListener("keydown", press);
    return () => document.removeEventListener("keydown", press);
  }, []);
}
