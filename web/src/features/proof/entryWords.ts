import type { Schemas } from "../../api/client";
import { sideWords } from "../../ui/words";

type Entry = Schemas["BookEntry"];

/** Whose line of the address book it is: "Hall gateway, inside". */
export const whoOf = (e: Entry) => `${e.name}${sideWords[e.side] ? `, ${sideWords[e.side]}` : ""}`;

/** The address as the book gives it: certain, one of a range, its own, or none. */
export const addressOf = (e: Entry) =>
  e.address
    ? `${e.address}/${e.prefixLength}`
    : e.origin === "selfAssigned" && e.from
      ? "169.254.x.x"
      : (e.from?.replace("-", " to ") ?? "none");
