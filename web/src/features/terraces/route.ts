import TinyQueue from "tinyqueue";
import { straightened, type Point, type Rect } from "./pieces";

/**
 * A level and upright way between two points around obstacles, short and with few bends; null where there is none. For the
 * few wires that close a ring: all others are led by the layout itself.
 */
export function route(from: Point, to: Point, obstacles: readonly Rect[], margin = 5): Point[] | null {
  const lines = (side: 0 | 1) =>
    [
      ...new Set([
        from[side],
        to[side],
        ...obstacles.flatMap((o) => (side === 0 ? [o.x - margin, o.x + o.w + margin] : [o.y - margin, o.y + o.h + margin])),
      ]),
    ].sort((a, b) => a - b);
  const xs = lines(0);
  const ys = lines(1);
  // Only what lies on a line can be in the way along it.
  const onRow = ys.map((y) => obstacles.filter((o) => y > o.y - 1 && y < o.y + o.h + 1));
  const onColumn = xs.map((x) => obstacles.filter((o) => x > o.x - 1 && x < o.x + o.w + 1));
  const inside = (level: boolean, i: number, j: number, from: number, to: number) =>
    level
      ? (onRow[j] ?? []).some((o) => Math.max(from, to) > o.x - 1 && Math.min(from, to) < o.x + o.w + 1)
      : (onColumn[i] ?? []).some((o) => Math.max(from, to) > o.y - 1 && Math.min(from, to) < o.y + o.h + 1);
  const at = (i: number, j: number, level: number) => (i * ys.length + j) * 2 + level;
  const cost = new Float64Array(xs.length * ys.length * 2).fill(Infinity);
  const before = new Int32Array(cost.length).fill(-1);
  const start = [xs.indexOf(from[0]), ys.indexOf(from[1])] as const;
  const goal = [xs.indexOf(to[0]), ys.indexOf(to[1])] as const;
  const queue = new TinyQueue<[cost: number, state: number]>([], (a, b) => a[0] - b[0]);
  const offer = (state: number, c: number, parent: number) => {
    if (c < (cost[state] ?? 0)) {
      cost[state] = c;
      before[state] = parent;
      queue.push([c, state]);
    }
  };
  // Wires leave and arrive upright.
  offer(at(start[0], start[1], 0), 0, -1);
  for (let next = queue.pop(); next; next = queue.pop()) {
    const [c, state] = next;
    if (c > (cost[state] ?? 0)) {
      continue;
    }
    const level = state % 2;
    const i = Math.floor(state / 2 / ys.length);
    const j = Math.floor(state / 2) % ys.length;
    if (i === goal[0] && j === goal[1] && level === 0) {
      return wayTo(state);
    }
    for (const [di, dj] of [
      [1, 0],
      [-1, 0],
      [0, 1],
      [0, -1],
    ] as const) {
      const [x, y, nx, ny] = [xs[i], ys[j], xs[i + di], ys[j + dj]];
      if (
        x === undefined ||
        y === undefined ||
        nx === undefined ||
        ny === undefined ||
        (di === 0 ? inside(false, i, j, y, ny) : inside(true, i, j, x, nx))
      ) {
        continue;
      }
      const turn = (di === 0 ? 0 : 1) === level ? 0 : 40;
      offer(at(i + di, j + dj, di === 0 ? 0 : 1), c + Math.abs(nx - x) + Math.abs(ny - y) + turn, state);
    }
  }
  return null;

  function wayTo(state: number): Point[] {
    const points: Point[] = [];
    for (let s = state; s >= 0; s = before[s] ?? -1) {
      const here = Math.floor(s / 2);
      points.push([xs[Math.floor(here / ys.length)] ?? 0, ys[here % ys.length] ?? 0]);
    }
    return straightened(points.reverse());
  }
}
