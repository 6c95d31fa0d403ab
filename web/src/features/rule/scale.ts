/** Where addresses lie on a ruler. Display only: what is free, and for whom, the server says. */

export const toNumber = (address: string): number => address.split(".").reduce((n, part) => n * 256 + Number(part), 0);

export const toAddress = (n: number): string => [24, 16, 8, 0].map((shift) => Math.floor(n / 2 ** shift) % 256).join(".");

export interface Stretch {
  first: number;
  last: number;
}

/** "192.168.8.20-192.168.8.199" as numbers. */
export function stretchOf(range: string): Stretch {
  const [first = "0.0.0.0", last = first] = range.split("-");
  return { first: toNumber(first), last: toNumber(last) };
}

export const rangeText = ({ first, last }: Stretch) => `${toAddress(first)}-${toAddress(last)}`;

/** All addresses of a subnet, its network and broadcast address included. */
export function stretchOfSubnet(subnet: string): Stretch {
  const [network = "0.0.0.0", prefix = "32"] = subnet.split("/");
  const first = toNumber(network);
  return { first, last: first + 2 ** (32 - Number(prefix)) - 1 };
}

/** The longest part of a subnet that is shown at once: beyond it, single addresses cannot be told apart. */
export const mostShown = 256;

/** The part of a subnet in which an address lies. */
export function windowAt(all: Stretch, address: number): Stretch {
  if (all.last - all.first < mostShown) {
    return all;
  }
  const kept = Math.min(Math.max(address, all.first), all.last);
  const first = all.first + Math.floor((kept - all.first) / mostShown) * mostShown;
  return { first, last: first + mostShown - 1 };
}

/** The middle of an address's cell on a ruler of so many pixels. */
export const xOf = (shown: Stretch, width: number, address: number): number =>
  ((address - shown.first + 0.5) / (shown.last - shown.first + 1)) * width;

/** The address under a pixel, within the ruler. */
export const addressAt = (shown: Stretch, width: number, x: number): number =>
  Math.min(shown.last, Math.max(shown.first, shown.first + Math.floor((x / width) * (shown.last - shown.first + 1))));

const tickSteps = [1, 2, 5, 10, 20, 25, 50, 100];

/** Addresses that get a number on the ruler, far enough apart to be read. */
export function ticks(shown: Stretch, width: number): number[] {
  const step = tickSteps.find((s) => (s / (shown.last - shown.first + 1)) * width >= 44) ?? 100;
  const found: number[] = [];
  for (let a = shown.first; a <= shown.last; a += step) {
    found.push(a);
  }
  return found;
}

/** The part of a stretch that is shown; null where none is. */
export function within(stretch: Stretch, shown: Stretch): Stretch | null {
  const first = Math.max(stretch.first, shown.first);
  const last = Math.min(stretch.last, shown.last);
  return first <= last ? { first, last } : null;
}

/** The free address next to one, in a direction; the nearest end where there is none further on. */
export function nextFree(free: readonly Stretch[], from: number, up: boolean): number | null {
  const sorted = [...free].sort((a, b) => a.first - b.first);
  if (sorted.length === 0) {
    return null;
  }
  if (up) {
    const stretch = sorted.find((s) => s.last > from);
    return stretch ? Math.max(stretch.first, from + 1) : (sorted[sorted.length - 1]?.last ?? null);
  }
  const stretch = [...sorted].reverse().find((s) => s.first < from);
  return stretch ? Math.min(stretch.last, from - 1) : (sorted[0]?.first ?? null);
}
