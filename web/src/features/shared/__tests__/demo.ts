import { readFileSync } from "node:fs";
import { resolve } from "node:path";
import type { Design, Proof } from "../../../api/client";

const read = (path: string) =>
  JSON.parse(readFileSync(resolve(__dirname, "../../../../..", path), "utf8").replace(/^\uFEFF/, "")) as unknown;

/**
 * The demo home as found, or another sample as planned, and what the server proves of it: the approved file that the server's own tests
 * keep current.
 */
export function demo(name = "pottery-house"): { design: Design; proof: Proof } {
  const file = read(`samples/${name}.json`) as Design;
  const proof = read(`tests/Altrin.Formats.Tests/__snapshots__/${name}.proof.snap`) as Proof;
  return { design: { ...file, setUps: file.setUps.filter((s) => s.name === proof.setUp) }, proof };
}
