import { useState, type ReactNode } from "react";
import { KeyHelp } from "../../ui/KeyHelp";
import { useShortcuts, type Shortcut } from "../../ui/shortcuts";

/** Next and previous step by key; what is returned tells of the keys when it is asked. */
export function useStepKeys(at: number, go: (step: number) => void): ReactNode {
  const [help, setHelp] = useState(false);
  const shortcuts: Shortcut[] = [
    { key: "n", does: "the next step", act: () => go(at + 1) },
    { key: "p", does: "the step before", act: () => go(at - 1) },
    { key: "?", does: "these keys", act: () => setHelp(true) },
  ];
  useShortcuts(shortcuts);
  return <KeyHelp open={help} close={() => setHelp(false)} shortcuts={shortcuts} />;
}
