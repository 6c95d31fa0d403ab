import type { SceneBox, SceneLink, ScenePort, SceneRuler, SceneToken } from "./scene";

/** Coordinates are pixels at zoom 1, from the upper left corner. */
export interface Rect {
  x: number;
  y: number;
  w: number;
  h: number;
}

export type Point = readonly [x: number, y: number];

export interface LaidPort extends Rect {
  port: ScenePort;
}

export interface LaidBox extends Rect {
  box: SceneBox;
  /** Where the terrace's edge crosses it; null for a box that stands inside one. */
  edge: number | null;
  ports: LaidPort[];
  /** Its devices are not drawn, only counted. */
  folded: boolean;
  /** Smaller, with less said in it. */
  compact: boolean;
  /** The room to be written on it; null where none is. */
  room: string | null;
}

export interface LaidToken extends Rect {
  token: SceneToken;
  /** The room to be written on it; null where none is. */
  room: string | null;
}

export interface LaidTerritory extends Rect {
  segment: string;
  kind: "terrace" | "walled" | "island";
  /** The box that steps down into it. */
  box: string;
  number: number | null;
  /** How many terraces it lies within, for its tint. */
  depth: number;
  title: Rect;
  rulers: SceneRuler[];
}

export interface LaidWire {
  link: SceneLink;
  /** What its ends are attached to: a port, a token, a box's radio. */
  from: string;
  to: string;
  points: Point[];
  label: (Rect & { text: string }) | null;
}

export interface LaidText extends Rect {
  text: string;
  kind: "heading" | "note" | "step";
  /** A second NAT is told in the colour of trouble. */
  again?: boolean;
}

/** A part of the drawing in coordinates of its own. */
export interface Piece {
  w: number;
  h: number;
  boxes: LaidBox[];
  tokens: LaidToken[];
  territories: LaidTerritory[];
  wires: LaidWire[];
  texts: LaidText[];
}

export const size = {
  box: { w: 184, h: 86, edge: 42, most: 264 },
  /** The same where many have to be shown. */
  compact: { w: 142, h: 64, edge: 36 },
  port: { h: 16, gap: 7, least: 22, text: 12 },
  /** The arcs of a radio link, before the outer ports. */
  radio: 30,
  token: { w: 152, h: 36, gap: 7, most: 228 },
  /** A line that says the room of a thing. */
  room: 15,
  /** Above a box: what its uplink is. */
  label: 18,
  /** Between two wires side by side. */
  lane: 7,
  /** Free room above the first track of a channel and below its last. */
  channel: { above: 8, below: 6 },
  gap: 20,
  pad: 16,
  ruler: 36,
  guestTitle: 36,
} as const;

export const emptyPiece = (): Piece => ({ w: 0, h: 0, boxes: [], tokens: [], territories: [], wires: [], texts: [] });

const moved = <T extends Rect>(r: T, dx: number, dy: number): T => ({ ...r, x: r.x + dx, y: r.y + dy });

/** Puts a piece into another one at a place. */
export function put(into: Piece, piece: Piece, dx: number, dy: number): void {
  into.boxes.push(
    ...piece.boxes.map((b) => ({
      ...moved(b, dx, dy),
      edge: b.edge === null ? null : b.edge + dy,
      ports: b.ports.map((p) => moved(p, dx, dy)),
    })),
  );
  into.tokens.push(...piece.tokens.map((t) => moved(t, dx, dy)));
  into.territories.push(...piece.territories.map((t) => ({ ...moved(t, dx, dy), title: moved(t.title, dx, dy) })));
  into.wires.push(
    ...piece.wires.map((w) => ({
      ...w,
      points: w.points.map(([x, y]): Point => [x + dx, y + dy]),
      label: w.label && moved(w.label, dx, dy),
    })),
  );
  into.texts.push(...piece.texts.map((t) => moved(t, dx, dy)));
  into.w = Math.max(into.w, dx + piece.w);
  into.h = Math.max(into.h, dy + piece.h);
}

/** The same wire without points that lie on the way between their neighbours. */
export function straightened(points: readonly Point[]): Point[] {
  return points.filter(([x, y], i) => {
    const before = points[i - 1];
    const after = points[i + 1];
    return !before || !after || !((before[0] === x && after[0] === x) || (before[1] === y && after[1] === y));
  });
}
