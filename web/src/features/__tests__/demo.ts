import { readFileSync } from "node:fs";
import { resolve } from "node:path";
import type { Design, Proof } from "../../api/client";

const read = (path: string) => JSON.parse(readFileSync(resolve(__dirname, "../../../..", path), "utf8")) as unknown;

/** The demo home as found, and what the server proves of it: the approved file that the server's own tests keep current. */
export function demo(): { design: Design; proof: Proof } {
  const file = read("samples/pottery-house.json") as Design;
  return { design: { ...file, setUps: file.setUps.filter((s) => s.name === "found") }, proof: read("tests/Altrin.Formats.Tests/Approved/pottery-house.proof.json") as Proof };
}
