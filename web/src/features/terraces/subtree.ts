import { assignTracks, channelHeight, trackY } from "./channel";
import { boxSize, byRadio, portWidth, roomOf, type Options } from "./measures";
import { emptyPiece, put, size, straightened, type LaidBox, type LaidWire, type Piece, type Point } from "./pieces";
import { natWords, type SceneBox, type SceneLink, type ScenePort, type SceneStep } from "./scene";
import { fitText, textWidth } from "./text";
import { tokenBlock, walledBlock, type OpenWire } from "./tokenBlock";

interface Part {
  piece: Piece;
  open: OpenWire[];
  /** A further box, rather than devices. */
  child: boolean;
}

/** A box with everything that hangs at it. The wires in are led; the one by which it hangs itself is led by what is above. */
export function subtree(box: SceneBox, options: Options, depth: number): Piece {
  const piece = emptyPiece();
  const pad = box.step ? size.pad : 0;
  const folded = options.folded(box.id) && box.tokens.length > 0;
  const laid = boxAt(box, pad, size.label + size.port.h / 2, folded, options);
  piece.boxes.push(laid);
  piece.w = laid.x + laid.w;
  const below = box.step ? title(piece, box, box.step, laid, depth) : laid.y + laid.h + size.port.h / 2;
  const inner = { ...options, maxWidth: Math.max(options.maxWidth - 2 * pad, size.compact.w) };
  const bottom = hang(piece, laid, below, parts(box, inner, depth + (box.step ? 1 : 0)), inner.maxWidth, pad);
  piece.h = bottom;
  if (box.step) {
    const edge = laid.edge ?? laid.y;
    const territory = piece.territories[0];
    piece.w += size.pad;
    piece.h += size.pad;
    if (territory) {
      Object.assign(territory, { x: 0, y: edge, w: piece.w, h: piece.h - edge });
    }
  }
  return piece;
}

/** Where the wire to a box ends: at the top of the port by which it hangs. */
export function entryOf(piece: Piece): Point {
  const laid = piece.boxes[0];
  const port = laid?.ports.find((p) => p.port.id === laid.box.uplink?.port);
  return port ? [port.x + port.w / 2, port.y] : laid ? [laid.x + size.radio / 2 + 8, laid.y - size.port.h / 2] : [0, 0];
}

function boxAt(box: SceneBox, x: number, y: number, folded: boolean, options: Options): LaidBox {
  const { w, h, edge } = boxSize(box, options);
  const laid: LaidBox = {
    x,
    y,
    w,
    h,
    box,
    edge: box.step ? y + edge : null,
    ports: [],
    folded,
    compact: options.compact,
    room: roomOf(box, options),
  };
  const row = (ports: ScenePort[], from: number, at: number) => {
    let px = from;
    for (const port of ports) {
      laid.ports.push({ x: px, y: at - size.port.h / 2, w: portWidth(port), h: size.port.h, port });
      px += portWidth(port) + size.port.gap;
    }
  };
  row(
    box.ports.filter((p) => p.up),
    x + 14 + (byRadio(box) ? size.radio : 0),
    y,
  );
  row(
    box.ports.filter((p) => !p.up),
    x + 28,
    y + h,
  );
  return laid;
}

/** The head of the terrace, beside the box that steps down into it. Answers where the wires may begin. */
function title(piece: Piece, box: SceneBox, step: SceneStep, laid: LaidBox, depth: number): number {
  const x = laid.x + laid.w + 14;
  const w = Math.max(
    120,
    ...step.rulers.map((r) =>
      Math.ceil(
        Math.max(textWidth(r.subnet, 15, "mono") + (r.twice ? textWidth(" · same as above", 12, "bold") : 0), textWidth(r.details, 12)),
      ),
    ),
  );
  const edge = laid.edge ?? laid.y;
  const h = Math.max(1, step.rulers.length) * size.ruler;
  piece.territories.unshift({
    x: 0,
    y: 0,
    w: 0,
    h: 0,
    segment: step.segment,
    kind: "terrace",
    box: box.id,
    number: step.number,
    depth,
    title: { x, y: edge + 6, w, h },
    rulers: step.rulers,
  });
  const said = natWords(step);
  piece.texts.push({
    x: x + 26,
    y: edge - 20,
    w: Math.ceil(textWidth(said, 13, "bold")),
    h: 16,
    text: said,
    kind: "step",
    again: (step.number ?? 0) > 1,
  });
  piece.w = Math.max(piece.w, x + w, x + 26 + Math.ceil(textWidth(said, 13, "bold")));
  return Math.max(laid.y + laid.h + size.port.h / 2, edge + 6 + h);
}

/** What hangs at a box, in the order of its ports: its devices, guests, further boxes. */
function parts(box: SceneBox, options: Options, depth: number): Part[] {
  const order = box.ports.map((p) => p.id);
  const all: Part[] = [];
  if (box.tokens.length > 0 && !options.folded(box.id)) {
    const block = tokenBlock(box.id, box.tokens, order, options);
    all.push({ piece: block, open: block.open, child: false });
  }
  for (const walled of box.walled) {
    const block = walledBlock(box.id, walled, depth, options);
    all.push({ piece: block, open: block.open, child: false });
  }
  const rank = (child: SceneBox) => order.indexOf(child.uplink?.fromPort ?? "");
  for (const child of [...box.children].sort((a, b) => rank(a) - rank(b) || (a.id < b.id ? -1 : 1))) {
    const piece = subtree(child, options, depth);
    const [x, y] = entryOf(piece);
    const link: SceneLink | undefined = child.uplink?.link;
    all.push({
      piece,
      open: link
        ? [
            {
              link,
              from: link.kind === "radio" ? `${box.id}~radio` : (child.uplink?.fromPort ?? ""),
              to: child.uplink?.port ?? "",
              port: child.uplink?.fromPort ?? null,
              lane: x,
              rest: [[x, y]],
            },
          ]
        : [],
      child: true,
    });
  }
  return all;
}

/**
 * Breaks the parts into rows. Devices stay close to their box; of the further boxes, those at the first ports go to the last
 * row, so that wires do not cross.
 */
function rowsOf(all: Part[], maxWidth: number): Part[][] {
  const near = all.filter((p) => !p.child);
  const rows: Part[][] = [];
  let row = near;
  let width = near.reduce((w, p) => w + p.piece.w + size.gap, 0) - size.gap;
  let placed: Part[] = [];
  const close = () => {
    rows.push([...(rows.length === 0 ? row : []), ...placed]);
    [row, placed, width] = [[], [], -size.gap];
  };
  for (const part of all.filter((p) => p.child).reverse()) {
    if (width > 0 && width + size.gap + part.piece.w > maxWidth) {
      close();
    }
    width += size.gap + part.piece.w;
    placed.unshift(part);
  }
  close();
  return rows.filter((r) => r.length > 0);
}

/** Leads wires from a box down to its parts. Answers where the last row ends. */
function hang(piece: Piece, laid: LaidBox, top: number, all: Part[], maxWidth: number, left: number): number {
  const rows = rowsOf(all, maxWidth);
  const lower = rows.slice(1).flatMap((row) => row.flatMap((p) => p.open));
  const gutter = lower.length > 0 ? lower.length * size.lane + 6 : 0;
  // Wires to lower rows go down at the left; those of the lowest row furthest out.
  const outward = rows
    .slice(1)
    .reverse()
    .flatMap((row) => row.flatMap((p) => p.open));
  const lanes = new Map(outward.map((wire, i) => [wire, left + i * size.lane + size.lane / 2]));
  const legs = new Map<OpenWire, Point[]>();
  let y = top;
  rows.forEach((row, r) => {
    let x = left + gutter;
    const seats = row.map((part) => {
      const at = x;
      x += part.piece.w + size.gap;
      return { part, at };
    });
    const arriving = seats.flatMap(({ part, at }) =>
      part.open.map((wire) => ({
        wire,
        part,
        at,
        from: r === 0 ? startOf(laid, wire) : ([lanes.get(wire) ?? left, y] as Point),
        to: at + wire.lane,
      })),
    );
    const passing = r === 0 ? lower.map((wire) => ({ wire, from: startOf(laid, wire), to: lanes.get(wire) ?? left })) : [];
    const { track, count } = assignTracks([...arriving, ...passing].map((w) => ({ from: w.from[0], to: w.to })));
    const level = (i: number) => y + trackY(track[i] ?? 0);
    passing.forEach(({ wire, from, to }, i) =>
      legs.set(wire, [from, [from[0], level(arriving.length + i)], [to, level(arriving.length + i)]]),
    );
    const rowTop = y + channelHeight(count);
    arriving.forEach(({ wire, part, at, from, to }, i) => {
      const rest = wire.rest.map(([px, py]): Point => [px + at, py + rowTop]);
      const points = straightened([...(legs.get(wire) ?? []), from, [from[0], level(i)], [to, level(i)], ...rest]);
      piece.wires.push({
        link: wire.link,
        from: wire.from,
        to: wire.to,
        points,
        label: part.child ? labelOf(part, wire, at, rowTop) : null,
      });
    });
    for (const { part, at } of seats) {
      put(piece, part.piece, at, rowTop);
    }
    y = Math.max(...seats.map(({ part }) => rowTop + part.piece.h));
  });
  return y;
}

/** A port of the box, or the foot of its radios. */
function startOf(laid: LaidBox, wire: OpenWire): Point {
  const port = laid.ports.find((p) => p.port.id === wire.port);
  return port ? [port.x + port.w / 2, port.y + port.h] : [laid.x + 13, laid.y + laid.h + size.port.h / 2];
}

/** What is said of the uplink of a box, above it and right of the wire. */
function labelOf(part: Part, wire: OpenWire, dx: number, dy: number): LaidWire["label"] {
  const laid = part.piece.boxes[0];
  if (!laid || wire.link.words === "") {
    return null;
  }
  const x = wire.lane + (wire.link.kind === "radio" ? size.radio / 2 + 4 : 6);
  // Nothing but its own wire stands beside a box as high as this.
  const room = Math.max(laid.x + laid.w, part.piece.w) - x;
  const text = fitText(wire.link.words, room, 12);
  return { x: x + dx, y: dy, w: Math.min(room, Math.ceil(textWidth(text, 12))), h: size.label - 3, text };
}
