import { size } from "./pieces";
import type { AddressSaid, SceneBox, ScenePort, SceneToken } from "./scene";
import { textWidth } from "./text";

export interface Options {
  /** How wide a row of things at one box may get before it is broken. */
  maxWidth: number;
  /** Whether the devices of a box are counted only, and not drawn. */
  folded: (box: string) => boolean;
  /** Smaller boxes, with less said in them. */
  compact: boolean;
  /** Whether each thing says which room it stands in. */
  rooms: boolean;
}

type Looks = Pick<Options, "compact" | "rooms">;

export const portWidth = (port: ScenePort) => Math.max(size.port.least, Math.ceil(textWidth(port.label, size.port.text, "mono")) + 8);
const rowWidth = (ports: readonly ScenePort[]) => ports.reduce((w, p) => w + portWidth(p) + size.port.gap, 0);

/** A box that joins by radio has the arcs of its link before its outer ports. */
export const byRadio = (box: SceneBox) => box.uplink?.link.kind === "radio";

/**
 * How large a box is laid out, as its ports need, and where the edge of its terrace crosses it. What is written on it does not count: a new
 * name or a finding must not move anything.
 */
export function boxSize(box: SceneBox, { compact, rooms }: Looks): { w: number; h: number; edge: number } {
  const least = compact ? size.compact : size.box;
  const w = Math.max(
    least.w,
    22 + rowWidth(box.ports.filter((p) => !p.up)) + (box.hidden > 0 ? 34 : 0),
    14 + (byRadio(box) ? size.radio : 0) + rowWidth(box.ports.filter((p) => p.up)),
  );
  const more = rooms ? size.room : 0;
  return { w, h: least.h + more, edge: least.edge + more };
}

/** The room that is written on a thing, "" where it is not known; null where none is written. */
export const roomOf = (thing: { room: string | null }, { rooms }: Looks): string | null => (rooms ? (thing.room ?? "") : null);

/** How large a device is laid out. */
export const tokenSize = ({ rooms }: Looks): { w: number; h: number } => ({ w: size.token.w, h: size.token.h + (rooms ? size.room : 0) });

const addressWidth = (said: AddressSaid, px: number) => textWidth(said.how ? `${said.how} ` : "", px) + textWidth(said.address, px, "mono");

/** How wide a box would be with nothing on it cut. */
export function boxWish(box: SceneBox, { compact, rooms }: Looks): number {
  const [first] = box.flags;
  const marks = Math.min(compact ? 2 : 3, box.flags.length) * 21;
  return Math.ceil(
    20 +
      Math.max(
        textWidth(box.name, 13, "bold") + (compact ? marks : 0),
        textWidth(box.outside ? `${box.mode} · ` : box.mode, 12) + (box.outside ? addressWidth(box.outside, 12) : 0),
        box.own ? addressWidth(box.own, 13) : 0,
        compact ? 0 : first ? marks + 6 + textWidth(first.words, 12, "bold") : textWidth(box.wifi ?? "", 12),
        rooms ? textWidth(box.room ?? "", 12) : 0,
      ),
  );
}

/** How wide a device would be with nothing on it cut. */
export const tokenWish = (token: SceneToken, { rooms }: Looks): number =>
  Math.ceil(
    37 +
      Math.min(token.flags.length, 2) * 21 +
      Math.max(textWidth(token.name, 13), addressWidth(token.address, 12), rooms ? textWidth(token.room ?? "", 12) : 0),
  );

/** How wide a box that is not in use would be with its name uncut. */
export const unusedWish = (name: string): number => Math.ceil(textWidth(name, 13)) + 21;
