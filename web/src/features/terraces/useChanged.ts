import { useEffect, useRef, useState } from "react";
import type { Drawing } from "./layout";

/** How long what changed is marked. */
const moment = 1600;

const signatures = (drawing: Drawing): Map<string, string> =>
  new Map<string, string>([
    ...drawing.boxes.map(({ box }): [string, string] => [
      `box ${box.id}`,
      JSON.stringify([box.name, box.mode, box.outside, box.own, box.wifi, box.step?.number]),
    ]),
    ...drawing.boxes.flatMap(({ ports }) => ports.map((p): [string, string] => [`port ${p.port.id}`, String(p.port.cable)])),
    ...drawing.tokens.map(({ token }): [string, string] => [
      `device ${token.id}`,
      JSON.stringify([token.name, token.address, token.port, token.link?.id]),
    ]),
    ...drawing.wires.map(({ link }): [string, string] => [`cable ${link.id}`, JSON.stringify([link.words, link.ring])]),
  ]);

/** Things that differ from the drawing before, for a moment. */
export function useChanged(drawing: Drawing): ReadonlySet<string> {
  const before = useRef<Map<string, string> | null>(null);
  const [changed, setChanged] = useState<ReadonlySet<string>>(new Set());
  useEffect(() => {
    const now = signatures(drawing);
    const old = before.current;
    before.current = now;
    if (!old) {
      return;
    }
    const keys = [...now].filter(([key, said]) => old.get(key) !== said).map(([key]) => key);
    if (keys.length === 0) {
      return;
    }
    setChanged(new Set(keys));
    const timer = setTimeout(() => setChanged(new Set()), moment);
    return () => clearTimeout(timer);
  }, [drawing]);
  return changed;
}
