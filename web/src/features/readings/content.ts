import type { Schemas } from "../../api/client";

type Content = Schemas["ReadingContent"];

/** What a dropped or picked file holds: a capture as it is, a text in whatever encoding its shell wrote. */
export async function contentOf(file: File): Promise<Content> {
  const bytes = new Uint8Array(await file.arrayBuffer());
  const mark = (bytes[0] ?? 0) * 256 + (bytes[1] ?? 0);
  if (mark === 0xfffe || mark === 0xfeff) {
    return { text: new TextDecoder(mark === 0xfffe ? "utf-16le" : "utf-16be").decode(bytes) };
  }
  // No text has zeros in it; whether it is a capture is the server's to say.
  if (bytes.subarray(0, 4000).includes(0)) {
    return { capture: base64(bytes) };
  }
  try {
    return { text: new TextDecoder("utf-8", { fatal: true }).decode(bytes) };
  } catch {
    return { text: new TextDecoder("windows-1252").decode(bytes) };
  }
}

function base64(bytes: Uint8Array): string {
  let text = "";
  for (let at = 0; at < bytes.length; at += 0x8000) {
    text += String.fromCharCode(...bytes.subarray(at, at + 0x8000));
  }
  return btoa(text);
}

export const isEmpty = (content: Content) =>
  content.capture === undefined && content.outside === undefined && content.runs === undefined && (content.text ?? "").trim() === "";

/** A moment as a field for date and time holds it, in the time of this place. */
export const momentField = (at: Date) => new Date(at.getTime() - at.getTimezoneOffset() * 60_000).toISOString().slice(0, 16);
