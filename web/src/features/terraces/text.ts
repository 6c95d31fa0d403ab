/**
 * Widths of text, estimated without a browser so that a layout is the same everywhere. A little wider than the typefaces are
 * drawn (measured on Atkinson Hyperlegible), so that what fits here fits on screen.
 */
const narrow = new Set("ijl.,:;'|!()[]frt/ ");
const wide = new Set("mwMWOQGD@%");

export function textWidth(text: string, size: number, face: "body" | "bold" | "mono" = "body"): number {
  if (face === "mono") {
    return text.length * size * 0.62;
  }
  let ems = 0;
  for (const c of text) {
    ems += narrow.has(c) ? 0.33 : wide.has(c) ? 0.85 : c >= "A" && c <= "Z" ? 0.68 : 0.56;
  }
  return ems * size * (face === "bold" ? 1.06 : 1);
}

/** As much of a text as fits, with an ellipsis where some is left out. */
export function fitText(text: string, room: number, size: number, face: "body" | "bold" | "mono" = "body"): string {
  if (textWidth(text, size, face) <= room) {
    return text;
  }
  let cut = text.length - 1;
  while (cut > 1 && textWidth(`${text.slice(0, cut)}…`, size, face) > room) {
    cut--;
  }
  return `${text.slice(0, cut).trimEnd()}…`;
}
