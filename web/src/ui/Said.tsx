import { Mono } from "./controls";

const address = /(\d{1,3}(?:\.\d{1,3}){3}(?:\/\d{1,2})?|(?:[0-9a-f]{2}:){5}[0-9a-f]{2})/;

/** A sentence with its addresses in the mono face. */
export function Said({ text }: { text: string }) {
  return text.split(address).map((part, i) => (i % 2 === 1 ? <Mono key={i}>{part}</Mono> : part));
}
