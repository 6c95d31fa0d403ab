import { roomOf, tokenSize, type Options } from "./measures";
import { emptyPiece, put, size, type LaidBox, type LaidPort, type LaidTerritory, type Piece, type Point, type Rect } from "./pieces";
import { route } from "./route";
import type { Scene } from "./scene";
import { entryOf, subtree } from "./subtree";
import { textWidth } from "./text";
import { widen } from "./widen";

export interface LayoutOptions extends Omit<Options, "maxWidth"> {
  /** The room that the drawing should make good use of. */
  room: { w: number; h: number };
  /** It is not shown smaller than this: what does not fit into the room then is scrolled to. */
  least: number;
}

/** The whole drawing. */
export interface Drawing extends Piece {
  /** The right end of what is drawn: the width, or more where a name took free room. */
  reach: number;
  /** The line below which everything is the customer's. */
  street: number;
  /** The provider's own NAT, above the internet line. */
  carrier: Rect | null;
  /** The end of the provider's line where nothing is plugged in yet. */
  socket: LaidPort | null;
  /** Boxes that are not in use, at the foot. */
  unused: (Rect & { id: string; name: string })[];
}

const margin = 18;
/** What is left at the right of a terrace that goes on to the edge of the frame. */
const rim = 4;
/** A small home is enlarged up to this. */
export const mostScale = 1.3;
const widths = [560, 680, 800, 920, 1060, 1240, 1450, 1700, 2000, 2400];

/**
 * Lays a home out. The same scene gives the same coordinates, and a change of one box leaves the others where they were as
 * long as nothing is plugged elsewhere.
 */
export function layout(scene: Scene, { room, least, ...looks }: LayoutOptions): Drawing {
  let best: Drawing | null = null;
  let [bestScale, bestFits] = [0, false];
  for (const maxWidth of widths) {
    const drawing = at(scene, { ...looks, maxWidth });
    const scale = Math.min(room.w / drawing.w, room.h / drawing.h, mostScale);
    // Where all does not fit, one that is scrolled downwards alone is the better one. A wider one must be clearly better: the eye keeps
    // its place.
    const fits = scale >= least || drawing.w * least <= room.w;
    if (!best || (fits && !bestFits) || (fits === bestFits && scale > bestScale * 1.04)) {
      best = drawing;
      [bestScale, bestFits] = [scale, fits];
    }
  }
  const drawing = best ?? at(scene, { ...looks, maxWidth: room.w });
  extras(drawing, scene);
  // The size at which it is shown goes by what was laid out: it must not change with a name.
  widen(drawing, looks, solids(drawing), Math.max(drawing.w - rim, room.w / mostScale), aloneAtLine(drawing));
  drawing.reach = Math.max(drawing.w, ...[...drawing.tokens, ...drawing.boxes, ...drawing.unused].map((t) => t.x + t.w + rim));
  return drawing;
}

/** One terrace alone at the internet line: it is as wide as the line. */
export function aloneAtLine(drawing: Drawing): LaidTerritory | undefined {
  const top = drawing.territories.filter((t) => t.depth === 0 && t.kind === "terrace");
  return top.length === 1 && drawing.boxes[0]?.box.id === top[0]?.box ? top[0] : undefined;
}

function at(scene: Scene, options: Options): Drawing {
  const piece: Piece = emptyPiece();
  piece.texts.push({
    x: margin,
    y: 8,
    w: Math.ceil(textWidth(scene.service.title, 15, "bold")),
    h: 18,
    text: scene.service.title,
    kind: "heading",
  });
  piece.texts.push({
    x: margin,
    y: 27,
    w: Math.ceil(textWidth(scene.service.details, 12)),
    h: 15,
    text: scene.service.details,
    kind: "note",
  });
  const carrierTop = 50;
  const street = scene.service.carrier ? carrierTop + 40 : carrierTop + 6;
  let y = street + 22;
  y = row(piece, scene, options, street, y);
  for (const island of scene.islands) {
    y = islandAt(piece, island, options, y + size.gap);
  }
  y = strip(piece, "Connected to nothing", scene.loose, tokenSize(options), options, y, (token, rect) =>
    piece.tokens.push({ ...rect, token, room: roomOf(token, options) }),
  );
  const unused: Drawing["unused"] = [];
  y = strip(piece, "Not in use", scene.unused, size.token, options, y, (box, rect) => unused.push({ ...rect, ...box }));
  // One terrace alone goes on to the edge of the frame, and needs neither pad nor margin there.
  const end = scene.roots.length === 1 && scene.roots[0]?.step && scene.atStreet.length === 0 ? rim - size.pad : margin;
  const w = Math.max(
    piece.w + end,
    ...piece.texts.map((t) => t.x + t.w + margin),
    ...piece.wires.map(({ label }) => (label ? label.x + label.w + rim : 0)),
  );
  const drawing: Drawing = {
    ...piece,
    w,
    reach: w,
    h: y + margin,
    street,
    unused,
    socket: scene.service.cable ? null : socketAt(street),
    carrier: scene.service.carrier ? { x: 0, y: carrierTop, w, h: street - carrierTop } : null,
  };
  return drawing;
}

const socketAt = (street: number): LaidPort => ({
  x: margin + 14,
  y: street - size.port.h / 2,
  w: 34,
  h: size.port.h,
  port: { id: "street", label: "line", up: false, cable: null },
});

/** What hangs straight at the internet line, side by side. */
function row(piece: Piece, scene: Scene, options: Options, street: number, top: number): number {
  let x = margin;
  let bottom = top;
  for (const root of scene.roots) {
    const part = subtree(root, options, 0);
    put(piece, part, x, top);
    const [ex, ey] = entryOf(part);
    if (root.uplink) {
      const label = root.uplink.link.words;
      piece.wires.push({
        link: root.uplink.link,
        from: "street",
        to: root.uplink.port,
        points: [
          [ex + x, street],
          [ex + x, ey + top],
        ],
        label: label ? { x: ex + x + 6, y: top, w: Math.ceil(textWidth(label, 12)), h: size.label - 3, text: label } : null,
      });
    }
    x += part.w + size.gap;
    bottom = Math.max(bottom, top + part.h);
  }
  for (const token of scene.atStreet) {
    const { w, h } = tokenSize(options);
    piece.tokens.push({ x, y: top, w, h, token, room: roomOf(token, options) });
    if (token.link) {
      piece.wires.push({
        link: token.link,
        from: "street",
        to: token.id,
        points: [
          [x + 20, street],
          [x + 20, top],
        ],
        label: null,
      });
    }
    x += w + size.gap;
    bottom = Math.max(bottom, top + h);
  }
  piece.w = Math.max(piece.w, x - size.gap);
  return bottom;
}

/** A part of the home with no way to the internet line: it stands apart, in a frame of its own. */
function islandAt(piece: Piece, box: Scene["islands"][number], options: Options, y: number): number {
  const part = subtree(box, options, 1);
  const title = "No way to the internet line";
  const pad = 12;
  const head = 24;
  piece.territories.push({
    x: margin,
    y,
    w: Math.max(part.w, Math.ceil(textWidth(title, 13, "bold"))) + 2 * pad,
    h: part.h + head + pad,
    segment: box.id,
    kind: "island",
    box: box.id,
    number: null,
    depth: 0,
    title: { x: margin + pad, y: y + 5, w: Math.ceil(textWidth(title, 13, "bold")), h: 17 },
    rulers: [{ subnet: "", details: title, twice: false }],
  });
  put(piece, part, margin + pad, y + head);
  piece.w = Math.max(piece.w, margin + part.w + 2 * pad);
  return y + head + part.h + pad;
}

/** Things that hang nowhere, in rows of their own at the foot. */
function strip<T>(
  piece: Piece,
  title: string,
  things: readonly T[],
  { w, h }: Pick<Rect, "w" | "h">,
  options: Options,
  y: number,
  lay: (thing: T, rect: Rect) => void,
): number {
  if (things.length === 0) {
    return y;
  }
  const top = y + size.gap;
  const across = Math.max(1, Math.floor((Math.max(options.maxWidth, piece.w) - margin) / (w + size.token.gap)));
  piece.texts.push({ x: margin, y: top, w: Math.ceil(textWidth(title, 13, "bold")), h: 17, text: title, kind: "note" });
  things.forEach((thing, i) => {
    const rect = {
      x: margin + (i % across) * (w + size.token.gap),
      y: top + 22 + Math.floor(i / across) * (h + size.token.gap),
      w,
      h,
    };
    lay(thing, rect);
    piece.w = Math.max(piece.w, rect.x + rect.w);
  });
  return top + 22 + Math.ceil(things.length / across) * (h + size.token.gap);
}

/** Wires that close a ring or lead a second way are led around everything else. */
function extras(drawing: Drawing, scene: Scene): void {
  const ports = new Map(drawing.boxes.flatMap((b) => b.ports.map((p) => [p.port.id, { port: p, box: b }] as const)));
  for (const { link, from, to } of scene.extra) {
    const ends = [ports.get(from), ports.get(to)] as const;
    if (!ends[0] || !ends[1]) {
      continue;
    }
    const [a, b] = [outlet(ends[0].port), outlet(ends[1].port)];
    const points = route(a, b, solids(drawing)) ?? [a, [a[0], drawing.h - 4], [b[0], drawing.h - 4], b];
    drawing.wires.push({ link, from, to, points, label: null });
  }
}

/** A little outside a port, where a wire can begin. */
const outlet = ({ x, y, w, h, port }: LaidPort): Point => [x + w / 2, port.up ? y - 1 : y + h + 1];

/** What no wire may cross. */
export function solids(drawing: Piece): Rect[] {
  return [
    ...drawing.boxes.map(withPorts),
    ...drawing.tokens,
    ...drawing.territories.map((t) => t.title),
    ...drawing.texts,
    ...drawing.wires.flatMap((w) => (w.label ? [w.label] : [])),
  ];
}

/** A box with what stands out of it. */
const withPorts = (box: LaidBox): Rect => ({ x: box.x, y: box.y - size.port.h / 2, w: box.w, h: box.h + size.port.h });
