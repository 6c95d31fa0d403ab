import type { Rect } from "./pieces";

/** Something that can be reached with the arrow keys. */
export interface Stop extends Rect {
  key: string;
}

const way: Record<string, readonly [number, number]> = { ArrowRight: [1, 0], ArrowLeft: [-1, 0], ArrowDown: [0, 1], ArrowUp: [0, -1] };

/** The stop that an arrow key leads to: the nearest in that direction, what lies straight ahead counting as nearer. */
export function nextStop(stops: readonly Stop[], from: string | null, key: string): Stop | undefined {
  const here = stops.find((s) => s.key === from);
  const direction = way[key];
  if (key === "Home" || !here) {
    return stops[0];
  }
  if (key === "End") {
    return stops[stops.length - 1];
  }
  if (!direction) {
    return undefined;
  }
  const [dx, dy] = direction;
  let best: Stop | undefined;
  let least = Infinity;
  for (const stop of stops) {
    const x = stop.x + stop.w / 2 - here.x - here.w / 2;
    const y = stop.y + stop.h / 2 - here.y - here.h / 2;
    const ahead = x * dx + y * dy;
    // What lies straight ahead overlaps what one comes from, however far apart their middles are.
    const aside =
      dx === 0
        ? Math.max(0, stop.x - here.x - here.w, here.x - stop.x - stop.w)
        : Math.max(0, stop.y - here.y - here.h, here.y - stop.y - stop.h);
    if (stop.key === here.key || ahead <= 0.5 || aside > ahead * 3 + 30) {
      continue;
    }
    const far = ahead + 2 * aside + 0.1 * (Math.abs(x * dy) + Math.abs(y * dx));
    if (far < least) {
      least = far;
      best = stop;
    }
  }
  return best;
}
