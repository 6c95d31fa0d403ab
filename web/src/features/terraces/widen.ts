import { boxWish, tokenWish, unusedWish, type Options } from "./measures";
import { fitText, textWidth } from "./text";
import { size, type LaidTerritory, type Piece, type Rect } from "./pieces";

/** Between what is widened and what stands beside it. */
const apart = 8;

/**
 * Gives what is cut the free room at its right, up to what it wants. Nothing else moves: a box that is renamed does not push its neighbours
 * about.
 *
 * @param solids what must not be covered
 * @param edge the right end of the room
 * @param open the territory whose right side is open
 */
export function widen(
  drawing: Piece & { unused: (Rect & { name: string })[] },
  options: Pick<Options, "compact" | "rooms">,
  solids: readonly Rect[],
  edge: number,
  open?: LaidTerritory,
): void {
  const wires = drawing.wires.flatMap((w) =>
    w.points.slice(1).map((b, i): Rect => {
      const a = w.points[i] ?? b;
      return { x: Math.min(a[0], b[0]), y: Math.min(a[1], b[1]), w: Math.abs(a[0] - b[0]), h: Math.abs(a[1] - b[1]) };
    }),
  );
  const things: { rect: Rect; wish: number; rim: number }[] = [
    ...drawing.boxes.map((b) => ({ rect: b, wish: Math.min(boxWish(b.box, options), size.box.most), rim: size.port.h / 2 })),
    ...drawing.tokens.map((t) => ({ rect: t, wish: Math.min(tokenWish(t.token, options), size.token.most), rim: 0 })),
    ...drawing.unused.map((b) => ({ rect: b, wish: Math.min(unusedWish(b.name), size.token.most), rim: 0 })),
  ];
  const room = (rect: Rect, rim: number) => {
    const right = rect.x + rect.w;
    const beside = [...solids, ...wires, ...things.map((t) => t.rect)].filter(
      (o) => o !== rect && o.x >= right - 1 && o.y < rect.y + rect.h + rim + 2 && o.y + o.h > rect.y - rim - 2,
    );
    const within = (t: Rect) => t.x <= rect.x && t.x + t.w >= right && t.y <= rect.y + rect.h && t.y + t.h >= rect.y;
    const walls = drawing.territories.flatMap((t) => (t === open ? [] : within(t) ? [t.x + t.w] : t.x >= right ? [t.x] : []));
    return Math.min(edge, ...beside.map((o) => o.x), ...walls) - apart - rect.x;
  };
  for (const { rect, wish, rim } of things) {
    rect.w = Math.max(rect.w, Math.min(wish, room(rect, rim)));
  }
  for (const { link, label } of drawing.wires) {
    if (label && label.text !== link.words) {
      label.text = fitText(link.words, Math.max(label.w, room(label, 0)), 12);
      label.w = Math.max(label.w, Math.ceil(textWidth(label.text, 12)));
    }
  }
}
