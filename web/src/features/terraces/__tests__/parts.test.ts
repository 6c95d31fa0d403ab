import { describe, expect, it } from "vitest";
import { assignTracks, channelHeight, trackY, type Run } from "../channel";
import { choiceOf, withChoice } from "../choice";
import { straightened, type Point, type Rect } from "../pieces";
import { route } from "../route";
import { fitText, textWidth } from "../text";

const span = (r: Run) => [Math.min(r.from, r.to), Math.max(r.from, r.to)] as const;

describe("tracks of a channel", () => {
  it("are never shared by runs that meet, whatever the runs", () => {
    let state = 7;
    const next = (n: number) => (state = (state * 48271) % 2147483647) % n;
    for (let round = 0; round < 500; round++) {
      const runs: Run[] = Array.from({ length: next(14) }, () => ({ from: next(40) * 10, to: next(40) * 10 }));
      const { track, count } = assignTracks(runs);
      runs.forEach((a, i) =>
        runs.slice(i + 1).forEach((b, k) => {
          const j = i + 1 + k;
          if (a.from !== a.to && b.from !== b.to && track[i] === track[j] && (a.from !== b.from || a.to !== b.to)) {
            expect(span(a)[1] < span(b)[0] || span(b)[1] < span(a)[0], `round ${round}: ${JSON.stringify([a, b])}`).toBe(true);
          }
        }),
      );
      expect(count).toBe(Math.max(0, ...runs.map((r, i) => (r.from === r.to ? 0 : (track[i] ?? 0) + 1))));
    }
  });

  it("nest runs that keep their order, so that they do not cross", () => {
    // Three ports to three children further right: the one that starts furthest right runs highest.
    const { track } = assignTracks([
      { from: 10, to: 100 },
      { from: 20, to: 200 },
      { from: 30, to: 300 },
    ]);
    expect(track).toEqual([2, 1, 0]);
    expect(
      assignTracks([
        { from: 300, to: 100 },
        { from: 320, to: 200 },
      ]).track,
    ).toEqual([0, 1]);
  });

  it("fit into the height that is given to them", () => {
    for (let count = 1; count < 9; count++) {
      expect(trackY(count - 1)).toBeLessThan(channelHeight(count));
    }
  });
});

describe("route", () => {
  const box = (x: number, y: number, w: number, h: number): Rect => ({ x, y, w, h });
  const legs = (points: Point[]) => points.slice(1).map((p, i) => [points[i] as Point, p] as const);

  it("goes around what lies between, level and upright", () => {
    const wall = [box(50, 10, 20, 100), box(120, -40, 20, 100)];
    const way = route([10, 60], [200, 60], wall);
    expect(way?.[0]).toEqual([10, 60]);
    expect(way?.[way.length - 1]).toEqual([200, 60]);
    for (const [a, b] of legs(way ?? [])) {
      expect(a[0] === b[0] || a[1] === b[1]).toBe(true);
      for (const o of wall) {
        expect(
          Math.max(a[0], b[0]) <= o.x ||
            Math.min(a[0], b[0]) >= o.x + o.w ||
            Math.max(a[1], b[1]) <= o.y ||
            Math.min(a[1], b[1]) >= o.y + o.h,
        ).toBe(true);
      }
    }
  });

  it("is straight where nothing is in the way", () =>
    expect(route([10, 0], [10, 90], [])).toEqual([
      [10, 0],
      [10, 90],
    ]));

  it("is not found out of a closed yard", () =>
    expect(route([50, 50], [300, 50], [box(20, 20, 80, 10), box(20, 80, 80, 10), box(20, 20, 10, 70), box(90, 20, 10, 70)])).toBeNull());
});

describe("small things", () => {
  it("leaves out points on the way", () =>
    expect(
      straightened([
        [0, 0],
        [0, 5],
        [0, 9],
        [4, 9],
        [8, 9],
      ]),
    ).toEqual([
      [0, 0],
      [0, 9],
      [8, 9],
    ]));

  it.each(["Loft", "A very long name of a box indeed", "192.168.8.1/24"])("cuts %s to what fits", (text) => {
    for (const room of [20, 60, 120, 400]) {
      const cut = fitText(text, room, 13);
      expect(cut === text || textWidth(cut, 13) <= room || cut.length <= 2).toBe(true);
      expect(text.startsWith(cut.replace("…", "").trimEnd())).toBe(true);
    }
  });

  it("keeps one choice in the address, and the rest of it", () => {
    const first = withChoice(new URLSearchParams("setUp=planned&box=a"), { kind: "port", id: "a/lan1" });
    expect(first.toString()).toBe("setUp=planned&port=a%2Flan1");
    expect(choiceOf(first)).toEqual({ kind: "port", id: "a/lan1" });
    expect(choiceOf(withChoice(first, null))).toBeNull();
  });
});
