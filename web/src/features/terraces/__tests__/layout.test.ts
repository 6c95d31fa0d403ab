import { describe, expect, it } from "vitest";
import { layout, solids, type Drawing } from "../layout";
import { tokenWish } from "../measures";
import type { Point, Rect } from "../pieces";
import type { Scene, SceneBox, SceneToken } from "../scene";
import { box, link, scene, shapes, token } from "./homes";

const room = { w: 860, h: 520 };
const draw = (s: Scene, folded = false, rooms = false) => layout(s, { room, least: 0.3, folded: () => folded, compact: folded, rooms });

/** mulberry32, from memory: the same numbers for the same seed. */
function dice(seed: number): () => number {
  let a = seed;
  return () => {
    a = (a + 0x6d2b79f5) | 0;
    let t = Math.imul(a ^ (a >>> 15), 1 | a);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

function randomScene(seed: number): Scene {
  const next = dice(seed);
  const upTo = (n: number) => Math.floor(next() * n);
  let count = 0;
  const grow = (up: string | null, depth: number, number: number, radio?: string): SceneBox => {
    const id = `b${count++}`;
    const ports = 2 + upTo(7);
    const routes = depth === 0 || next() < 0.3;
    const free = Array.from({ length: ports }, (_, i) => `${id}/${i + 1}`);
    const take = () => free.splice(upTo(free.length), 1)[0] ?? null;
    const children: SceneBox[] = [];
    while (depth < 4 && free.length > 0 && count < 15 && next() < 0.6) {
      const by = next() < 0.2 ? id : undefined;
      children.push(grow(by ? null : take(), depth + 1, routes ? number + 1 : number, by));
    }
    const tokens: SceneToken[] = [];
    for (let i = upTo(8); i > 0; i--) {
      tokens.push({ ...token(`${id}-t${i}`, free.length > 0 && next() < 0.5 ? take() : null), name: named(`Device ${i}`) });
    }
    const built = box(id, {
      up,
      ...(radio ? { radio } : {}),
      ports,
      children,
      tokens,
      ...(routes ? { step: number } : {}),
      ...(next() < 0.15 ? { guests: [token(`${id}-g`, null)] } : {}),
    });
    return { ...built, name: named(id) };
  };
  const named = (short: string) => (next() < 0.5 ? short : `${short} of the upper bathroom`);
  const root = grow("street", 0, 1);
  const islands = next() < 0.3 ? [grow(null, 1, 1)] : [];
  const loose = Array.from({ length: upTo(4) }, (_, i) => ({ ...token(`loose${i}`, null), link: null }));
  const free = (b: SceneBox): string[] => [...b.ports.filter((p) => !p.up && !p.cable).map((p) => p.id), ...b.children.flatMap(free)];
  const ends = free(root);
  const extra =
    ends.length > 1 && next() < 0.5
      ? [{ link: { ...link("ring"), ring: true }, from: ends[0] ?? "", to: ends[ends.length - 1] ?? "" }]
      : [];
  const unused = Array.from({ length: upTo(3) }, (_, i) => ({ id: `spare${i}`, name: named(`Spare ${i}`) }));
  return scene([root], {
    islands,
    loose,
    extra,
    unused,
    service: { title: "Street", details: "rates not asked", carrier: next() < 0.2, flags: [], cable: "u" },
  });
}

const meet = (a: Rect, b: Rect, by = 0) => a.x < b.x + b.w - by && b.x < a.x + a.w - by && a.y < b.y + b.h - by && b.y < a.y + a.h - by;
const segments = (points: readonly Point[]) => points.slice(1).map((p, i) => [points[i] ?? p, p] as const);
const crosses = ([a, b]: readonly [Point, Point], r: Rect) =>
  meet({ x: Math.min(a[0], b[0]), y: Math.min(a[1], b[1]), w: Math.abs(a[0] - b[0]), h: Math.abs(a[1] - b[1]) }, r, -0.1 + 0.2);

/** What may be the matter with a drawing, in words. */
function faults(drawing: Drawing): string[] {
  const found: string[] = [];
  const things: [string, Rect][] = [
    ...drawing.boxes.map((b): [string, Rect] => [`box ${b.box.id}`, { x: b.x, y: b.y - 7, w: b.w, h: b.h + 14 }]),
    ...drawing.tokens.map((t): [string, Rect] => [`token ${t.token.id}`, t]),
    ...drawing.unused.map((b): [string, Rect] => [`shelf ${b.id}`, b]),
    ...drawing.territories.map((t): [string, Rect] => [`title ${t.segment}`, t.title]),
    ...drawing.texts.map((t): [string, Rect] => [`text ${t.text}`, t]),
    ...drawing.wires.flatMap((w): [string, Rect][] => (w.label ? [[`label ${w.link.id}`, w.label]] : [])),
  ];
  things.forEach(([name, a], i) => {
    if (a.x < 0 || a.y < 0 || a.x + a.w > drawing.reach || a.y + a.h > drawing.h) {
      found.push(`${name} lies outside`);
    }
    for (const [other, b] of things.slice(i + 1)) {
      if (meet(a, b, 0.5)) {
        found.push(`${name} overlaps ${other}`);
      }
    }
  });
  for (const wire of drawing.wires) {
    for (const segment of segments(wire.points)) {
      if (segment[0][0] !== segment[1][0] && segment[0][1] !== segment[1][1]) {
        found.push(`${wire.link.id} runs askew`);
      }
      for (const [name, thing] of things) {
        if (crosses(segment, thing)) {
          found.push(`${wire.link.id} crosses ${name}`);
        }
      }
      for (const port of drawing.boxes.flatMap((b) => b.ports)) {
        if (port.port.id !== wire.from && port.port.id !== wire.to && crosses(segment, port)) {
          found.push(`${wire.link.id} crosses port ${port.port.id}`);
        }
      }
    }
  }
  return found;
}

/** Wires whose ends are not where they should be. */
function detached(drawing: Drawing): string[] {
  const seat = new Map<string, Rect>([
    ...drawing.boxes.flatMap((b) => b.ports.map((p): [string, Rect] => [p.port.id, p])),
    ...drawing.boxes.map((b): [string, Rect] => [`${b.box.id}~radio`, { x: b.x, y: b.y + b.h, w: 26, h: 7 }]),
    // A radio link arrives above the box, before its outer ports.
    ...drawing.boxes.map((b): [string, Rect] => [b.box.id, { x: b.x, y: b.y - 7, w: b.w, h: 7 }]),
    ...drawing.tokens.map((t): [string, Rect] => [t.token.id, t]),
    ["street", { x: 0, y: drawing.street, w: drawing.w, h: 0 }],
  ]);
  const touches = (r: Rect | undefined, [x, y]: Point) =>
    r !== undefined && x >= r.x - 1 && x <= r.x + r.w + 1 && y >= r.y - 1 && y <= r.y + r.h + 1;
  return drawing.wires
    .filter(
      (w) => !touches(seat.get(w.from), w.points[0] ?? [-9, -9]) || !touches(seat.get(w.to), w.points[w.points.length - 1] ?? [-9, -9]),
    )
    .map((w) => `${w.link.id} from ${w.from} to ${w.to}`);
}

const rounded = (r: Rect) => [r.x, r.y, r.w, r.h].map((n) => Math.round(n)).join(" ");

/** A drawing as a few lines of text, for approval. */
const summary = (d: Drawing) => [
  `drawing ${Math.round(d.w)} ${Math.round(d.h)}, street ${d.street}${d.carrier ? `, carrier ${rounded(d.carrier)}` : ""}`,
  ...d.territories.map((t) => `${t.kind} ${t.segment} ${rounded(t)}, number ${t.number}, depth ${t.depth}, title ${rounded(t.title)}`),
  ...d.boxes.map((b) => `box ${b.box.id} ${rounded(b)}${b.edge === null ? "" : ` over the edge at ${b.edge}`}`),
  ...d.tokens.map((t) => `token ${t.token.id} ${rounded(t)}`),
  ...d.wires.map((w) => `wire ${w.link.id} ${w.points.map(([x, y]) => `${Math.round(x)},${Math.round(y)}`).join(" ")}`),
];

describe("layout", () => {
  it.each(Object.keys(shapes))("gives approved coordinates for %s", (name) => {
    const drawing = draw(shapes[name] as Scene);
    expect(faults(drawing)).toEqual([]);
    expect(summary(drawing)).toMatchSnapshot();
  });

  it("lets nothing overlap, keeps wires off everything and attaches every link, in random homes", () => {
    for (let seed = 1; seed <= 150; seed++) {
      const home = randomScene(seed);
      for (const folded of [false, true]) {
        const drawing = draw(home, folded, seed % 2 === 0);
        expect([...new Set(faults(drawing))], `seed ${seed}, folded ${folded}`).toEqual([]);
        expect(detached(drawing), `seed ${seed}, folded ${folded}`).toEqual([]);
        expect(solids(drawing).length).toBeGreaterThan(0);
      }
    }
  });

  it("draws every box, device and cable once", () => {
    for (let seed = 1; seed <= 60; seed++) {
      const home = randomScene(seed);
      const drawing = draw(home);
      const all = (b: SceneBox): SceneBox[] => [b, ...b.children.flatMap(all)];
      const boxes = [...home.roots, ...home.islands].flatMap(all);
      const tokens = [...boxes.flatMap((b) => [...b.tokens, ...b.walled.flatMap((w) => w.tokens)]), ...home.loose];
      expect(drawing.boxes.map((b) => b.box.id).sort()).toEqual(boxes.map((b) => b.id).sort());
      expect(drawing.tokens.map((t) => t.token.id).sort()).toEqual(tokens.map((t) => t.id).sort());
      expect(drawing.wires).toHaveLength(boxes.filter((b) => b.uplink).length + tokens.filter((t) => t.link).length + home.extra.length);
    }
  });

  it("puts a terrace below the one it steps down from, and inside it", () => {
    for (let seed = 1; seed <= 60; seed++) {
      const drawing = draw(randomScene(seed));
      for (const laid of drawing.boxes) {
        for (const child of laid.box.children.filter((c) => c.step)) {
          const inner = drawing.territories.find((t) => t.box === child.id && t.kind === "terrace");
          const outer = drawing.territories.find((t) => t.box === laid.box.id && t.kind === "terrace");
          if (inner && outer) {
            expect(inner.y, `seed ${seed}`).toBeGreaterThan(outer.y);
            expect(
              inner.x >= outer.x && inner.x + inner.w <= outer.x + outer.w && inner.y + inner.h <= outer.y + outer.h,
              `seed ${seed}: ${child.id}`,
            ).toBe(true);
          }
        }
      }
    }
  });

  it("stays where it was when an unrelated box is renamed, readdressed or flagged", () => {
    for (let seed = 1; seed <= 60; seed++) {
      const home = randomScene(seed);
      const touch = (b: SceneBox): SceneBox => ({
        ...b,
        ...(b.id === "b1"
          ? {
              name: "A much longer name than before",
              own: { how: "", address: "10.20.30.40/16" },
              wifi: null,
              flags: [{ finding: "x", number: 1, level: "willNotWork" as const, words: "same address" }],
            }
          : {}),
        children: b.children.map(touch),
      });
      // What is written on it may widen the box itself, to its right, where nothing stands.
      const others = (d: Drawing) => summary({ ...d, boxes: d.boxes.map((b) => (b.box.id === "b1" ? { ...b, w: 0 } : b)) });
      expect(others(draw({ ...home, roots: home.roots.map(touch) })), `seed ${seed}`).toEqual(others(draw(home)));
    }
  });

  it("cuts a name only where something stands beside it", () => {
    const long = { ...token("t", "gw/1"), name: "Recorder of the front door" };
    const alone = draw(scene([box("gw", { step: 1, tokens: [long] })]));
    expect(alone.tokens[0]?.w).toBe(tokenWish(long, { compact: false, rooms: false }));
    const beside = draw(scene([box("gw", { step: 1, tokens: [long, token("u", "gw/2"), token("v", "gw/3"), token("w", "gw/4")] })]));
    expect(beside.tokens.find((t) => t.token.id === "t")?.w).toBeLessThan(tokenWish(long, { compact: false, rooms: false }));
  });

  it("shows fifteen boxes and thirty devices at a readable size once devices are folded", () => {
    const points = Array.from({ length: 13 }, (_, i) =>
      box(`ap${i}`, { up: i < 5 ? `sw/${i + 1}` : `sw2/${i - 4}`, ports: 2, tokens: [token(`a${i}`, null), token(`b${i}`, `ap${i}/1`)] }),
    );
    const second = box("sw2", { up: "sw/6", ports: 8, children: points.slice(5) });
    const home = scene([
      box("gw", {
        step: 1,
        tokens: [token("p", "gw/2"), token("q", null), token("r", null), token("s", null)],
        children: [box("sw", { up: "gw/1", ports: 8, children: [...points.slice(0, 5), second] })],
      }),
    ]);
    // The room that is left at 1280x800.
    const room = { w: 880, h: 640 };
    const drawing = layout(home, { room, least: 0.3, folded: () => true, compact: true, rooms: false });
    expect(faults(drawing)).toEqual([]);
    // Type of 13 px is then at least 8.5 px high.
    expect(Math.min(room.w / drawing.w, room.h / drawing.h)).toBeGreaterThan(0.66);
  });
});
