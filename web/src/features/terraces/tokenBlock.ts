import { roomOf, tokenSize, type Options } from "./measures";
import { emptyPiece, put, size, type LaidWire, type Piece, type Point } from "./pieces";
import type { SceneToken, SceneWalled } from "./scene";
import { textWidth } from "./text";

/** A wire that still has to be led from its port or radio to the top of its lane. */
export interface OpenWire extends Omit<LaidWire, "points" | "label"> {
  /** Where its lane begins, at the top of the piece. */
  lane: number;
  /** The way from there on. */
  rest: Point[];
  /** Port of the box that it comes from; null for the radio. */
  port: string | null;
}

export interface OpenPiece extends Piece {
  open: OpenWire[];
}

const columnsFor = (tokens: number) => (tokens <= 3 ? 1 : tokens <= 8 ? 2 : 3);

/** The customer's devices at one box, in columns; wires come down lanes at the left of each column. */
export function tokenBlock(box: string, tokens: readonly SceneToken[], portOrder: readonly string[], options: Options): OpenPiece {
  const columns = columnsFor(tokens.length);
  // Wires of further right ports take lanes further right, and so end further up: they do not cross.
  const rank = (t: SceneToken) => (t.port === null ? -1 : portOrder.indexOf(t.port));
  const cabled = tokens.filter((t) => t.port !== null).sort((a, b) => rank(b) - rank(a));
  const ordered = [...cabled, ...tokens.filter((t) => t.port === null)];
  const rows = Math.ceil(ordered.length / columns);
  const piece: OpenPiece = { ...emptyPiece(), open: [] };
  let x = 0;
  // The leftmost column takes what hangs at the leftmost ports.
  for (let c = columns - 1; c >= 0; c--) {
    const mine = ordered.slice(c * rows, (c + 1) * rows);
    if (mine.length > 0) {
      x += column(piece, box, mine, x, options) + size.lane;
    }
  }
  return piece;
}

function column(piece: OpenPiece, box: string, tokens: readonly SceneToken[], x: number, options: Options): number {
  const { w, h } = tokenSize(options);
  const wired = tokens.filter((t) => t.port !== null);
  const lanes = wired.length + (wired.length < tokens.length ? 1 : 0);
  const left = x + lanes * size.lane + 4;
  tokens.forEach((token, row) => {
    const y = row * (h + size.token.gap);
    const lane = x + (token.port === null ? 0 : lanes - 1 - wired.indexOf(token)) * size.lane + size.lane / 2;
    piece.tokens.push({ x: left, y, w, h, token, room: roomOf(token, options) });
    if (token.link) {
      piece.open.push({
        link: token.link,
        from: token.port ?? `${box}~radio`,
        to: token.id,
        port: token.port,
        lane,
        rest: [
          [lane, y + h / 2],
          [left, y + h / 2],
        ],
      });
    }
    piece.w = Math.max(piece.w, left + w);
    piece.h = Math.max(piece.h, y + h);
  });
  return left + w - x;
}

/** A guest network: a wall around its devices, its subnet at the head. */
export function walledBlock(box: string, walled: SceneWalled, depth: number, options: Options): OpenPiece {
  const inner = tokenBlock(box, walled.tokens, [], options);
  const title = Math.ceil(Math.max(textWidth(walled.title, 15, "mono"), textWidth(walled.details, 12)));
  const pad = 10;
  const piece: OpenPiece = { ...emptyPiece(), open: [] };
  put(piece, inner, pad + size.lane, size.guestTitle + pad);
  const w = Math.max(piece.w + pad, title + 2 * pad + size.lane + 8);
  const h = size.guestTitle + pad + inner.h + pad;
  piece.territories.push({
    x: 0,
    y: 0,
    w,
    h,
    segment: walled.segment,
    kind: "walled",
    box,
    number: null,
    depth,
    title: { x: pad + size.lane + 4, y: 4, w: title, h: size.guestTitle - 6 },
    rulers: [{ subnet: walled.title, details: walled.details, twice: false }],
  });
  // One lane inside the wall serves all of them.
  const lane = pad / 2 + size.lane / 2;
  const turn = size.guestTitle + pad - 4;
  piece.open = inner.open.map((o) => {
    const rest = o.rest.map(([x, y]): Point => [x + pad + size.lane, y + size.guestTitle + pad]);
    return { ...o, lane, rest: [[lane, turn], [rest[0]?.[0] ?? lane, turn], ...rest] };
  });
  return { ...piece, w, h };
}
