import { useEffect, useState } from "react";

type Deadlines = Readonly<Record<string, number>>;

/** Timers of a job's steps, by the identity of the step: they keep their deadlines on this computer, whatever is shown meanwhile. */
export function useTimers(job: number) {
  const place = `altrin-timers-${job}`;
  const [deadlines, setDeadlines] = useState<Deadlines>(() => read(place));
  const [now, setNow] = useState(() => Date.now());
  const running = Object.keys(deadlines).length > 0;
  useEffect(() => {
    if (!running) {
      return;
    }
    const ticking = setInterval(() => setNow(Date.now()), 1000);
    return () => clearInterval(ticking);
  }, [running]);
  const keep = (next: Deadlines) => {
    localStorage.setItem(place, JSON.stringify(next));
    setDeadlines(next);
    setNow(Date.now());
  };
  return {
    /** Seconds until the deadline of a step, below 0 once it is over; null where its timer does not run. */
    left: (step: string): number | null => {
      const deadline = deadlines[step];
      return deadline === undefined ? null : Math.round((deadline - now) / 1000);
    },
    start: (step: string, seconds: number) => keep({ ...deadlines, [step]: Date.now() + seconds * 1000 }),
    stop: (step: string) => keep(Object.fromEntries(Object.entries(deadlines).filter(([id]) => id !== step))),
  };
}

/** What was kept; nothing where that is not what is kept here. */
function read(place: string): Deadlines {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(place) ?? "{}");
    return kept === null || typeof kept !== "object"
      ? {}
      : Object.fromEntries(Object.entries(kept).filter((e): e is [string, number] => typeof e[1] === "number"));
  } catch {
    return {};
  }
}
