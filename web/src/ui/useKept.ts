import { useState } from "react";

/** Whether something is shown or folded: as it was left on this computer, else as is usual. */
export function useKept(key: string, usual: boolean): [boolean, (on: boolean) => void] {
  const [on, setOn] = useState(() => {
    const kept = localStorage.getItem(key);
    return kept === null ? usual : kept === "on";
  });
  return [
    on,
    (next) => {
      localStorage.setItem(key, next ? "on" : "off");
      setOn(next);
    },
  ];
}
