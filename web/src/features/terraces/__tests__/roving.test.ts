import { describe, expect, it } from "vitest";
import { nextStop, type Stop } from "../roving";

const stop = (key: string, x: number, y: number, w = 20, h = 14): Stop => ({ key, x, y, w, h });
const stops = [
  stop("in", 24, 0),
  stop("box", 0, 7, 184, 84),
  stop("fold", 5, 84, 16, 16),
  stop("1", 28, 84),
  stop("2", 56, 84),
  stop("token", 20, 140, 152, 36),
  stop("far", 400, 40, 184, 84),
];
const walk = (from: string | null, ...keys: string[]) => keys.reduce<string | null>((at, key) => nextStop(stops, at, key)?.key ?? at, from);

describe("arrow keys", () => {
  it.each([
    ["in", ["ArrowDown"], "box"],
    ["box", ["ArrowUp"], "in"],
    ["in", ["ArrowDown", "ArrowDown", "ArrowDown"], "token"],
    ["1", ["ArrowRight"], "2"],
    ["2", ["ArrowLeft", "ArrowLeft"], "fold"],
    ["box", ["ArrowRight"], "far"],
    ["far", ["ArrowLeft"], "box"],
    ["far", ["Home"], "in"],
    ["in", ["End"], "far"],
    ["in", ["ArrowUp"], "in"],
    [null, ["ArrowDown"], "in"],
  ])("lead from %s by %j to %s", (from, keys, to) => expect(walk(from, ...keys)).toBe(to));

  it("reach everything from everywhere", () => {
    for (const start of stops) {
      const reached = new Set([start.key]);
      const queue = [start.key];
      for (let at = queue.shift(); at !== undefined; at = queue.shift()) {
        for (const key of ["ArrowUp", "ArrowDown", "ArrowLeft", "ArrowRight"]) {
          const to = nextStop(stops, at, key)?.key;
          if (to && !reached.has(to)) {
            reached.add(to);
            queue.push(to);
          }
        }
      }
      expect(reached.size, `from ${start.key}`).toBe(stops.length);
    }
  });
});
