import { describe, expect, it } from "vitest";
import { palette } from "../theme";

type Name =
  | "ink"
  | "muted"
  | "copper"
  | "moss"
  | "ochre"
  | "brick"
  | "card"
  | "chalk"
  | "onCopper"
  | "riser"
  | "line.strong"
  | "clay.1"
  | "clay.2"
  | "clay.3"
  | "clay.4";

function colour(name: Name, mode: "base" | "_dark"): string {
  const [first, second] = name.split(".") as [keyof typeof palette, string | undefined];
  const found = palette[first] as Record<string, unknown>;
  return ((second ? (found[second] as typeof palette.ink) : palette[first]) as typeof palette.ink).value[mode];
}

/** Relative luminance and contrast as WCAG 2.2 defines them (from memory). */
function luminance(hex: string): number {
  const [r, g, b] = [1, 3, 5]
    .map((i) => parseInt(hex.slice(i, i + 2), 16) / 255)
    .map((c) => (c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4)) as [number, number, number];
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}
function contrast(a: string, b: string): number {
  const [light, dark] = [luminance(a), luminance(b)].sort((x, y) => y - x) as [number, number];
  return (light + 0.05) / (dark + 0.05);
}

const grounds: Name[] = ["chalk", "card", "clay.1", "clay.2", "clay.3", "clay.4"];
/** Text of the drawing and of the panels, and what it is written on. */
const text: [Name, Name][] = [
  ...grounds.flatMap((ground) => (["ink", "muted", "brick"] as const).map((on): [Name, Name] => [on, ground])),
  ...(["chalk", "card", "clay.1"] as const).flatMap((ground) =>
    (["copper", "moss", "ochre"] as const).map((on): [Name, Name] => [on, ground]),
  ),
  ["card", "ink"],
  ["card", "brick"],
  ["card", "ochre"],
  ["onCopper", "copper"],
];
/** Lines and shapes that carry meaning: 3 to 1 (1.4.11). */
const shapes: [Name, Name][] = [
  ...grounds.flatMap((ground) => (["ink", "copper", "brick", "ochre"] as const).map((on): [Name, Name] => [on, ground])),
  ["line.strong", "card"],
];

describe.each(["base", "_dark"] as const)("the palette, %s", (mode) => {
  it.each(text)("writes %s on %s with 4.5 to 1", (on, ground) =>
    expect(contrast(colour(on, mode), colour(ground, mode))).toBeGreaterThanOrEqual(4.5),
  );
  it.each(shapes)("draws %s on %s with 3 to 1", (on, ground) =>
    expect(contrast(colour(on, mode), colour(ground, mode))).toBeGreaterThanOrEqual(3),
  );
});

describe("contrast", () => {
  it.each([
    ["#000000", "#ffffff", 21],
    ["#777777", "#ffffff", 4.48],
  ])("of %s and %s is %d, as published for these two", (a, b, expected) => expect(contrast(a, b)).toBeCloseTo(expected, 1));
});
