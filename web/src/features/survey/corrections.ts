import type { Design, Schemas } from "../../api/client";
import { setUpOf } from "../shared/designReading";

type Known = Schemas["Known"];

/** A yes or no of a file, as a correction says it. */
export const known = (said: boolean | null | undefined): Known => (said === true ? "yes" : said === false ? "no" : "unknown");

/** What the line asks for, with everything that the file leaves out. */
export const lineOf = (
  service: Schemas["ServiceDocument"],
): Required<Omit<Schemas["LineNeedsDocument"], "login" | "tagged" | "locked">> & Record<"login" | "tagged" | "locked", Known> => ({
  login: known(service.line?.login),
  tagged: known(service.line?.tagged),
  tag: service.line?.tag ?? null,
  locked: known(service.line?.locked),
  lockedTo: service.line?.lockedTo ?? null,
  account: service.line?.account ?? null,
  password: service.line?.password ?? null,
});

/** Where a box stands in what was found; null where it is not noted or the box is not in use. */
export const placeOf = (design: Design, box: string) => setUpOf(design).boxes.find((b) => b.box === box)?.place ?? null;

/** Half-typed numbers with a point are a state of the field; what is no number is said by the server. */
export const metres = (draft: string): number | null => {
  if (draft === "") {
    return null;
  }
  const number = Number(draft.replace(",", "."));
  if (!Number.isFinite(number)) {
    throw new Error("Metres such as 4.5 are expected.");
  }
  return number;
};
