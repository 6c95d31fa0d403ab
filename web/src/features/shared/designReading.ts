import type { Design, Proof, Schemas } from "../../api/client";

/** Looking things up in a design for display. Nothing is judged here. */

export type SetUp = Schemas["SetUpDocument"];
export type Box = Schemas["BoxDocument"];
export type BoxSetting = Schemas["BoxSettingDocument"];
export type Cable = Schemas["CableDocument"];

export const street = "street";

/** The laptop by its cable and by its Wi-Fi, as the network names them; no device of a home can be called so. */
export const laptopWords: Record<string, string> = { ":laptop": "Your laptop, by cable", ":laptop-wifi": "Your laptop, on Wi-Fi" };

/** The box whose guest network an id names; null for anything else. */
export const guestHost = (id: string): string | null => (id.endsWith(":guest") ? id.slice(0, -":guest".length) : null);

export const setUpOf = (design: Design): SetUp => design.setUps[0] ?? { name: "", boxes: [], cables: [], devices: [] };

export function nameOf(design: Design, id: string): string {
  const tagged = /^(.+):vlan(\d+)$/.exec(id);
  if (tagged?.[1]) {
    return `VLAN ${tagged[2]} at ${nameOf(design, tagged[1])}`;
  }
  const host = guestHost(id);
  if (host) {
    return `guests of ${nameOf(design, host)}`;
  }
  return (
    design.site.boxes.find((b) => b.id === id)?.name ??
    design.site.devices.find((d) => d.id === id)?.name ??
    design.site.places?.find((p) => p.id === id)?.name ??
    (id === street ? "the internet line" : id)
  );
}

/** "port 2 of Hall gateway", "Printer", "the internet line". */
export function endName(design: Design, end: string): string {
  const [owner = "", portId] = end.split("/");
  const port = design.site.boxes.find((b) => b.id === owner)?.profile.ports.find((p) => p.id === portId);
  return port ? `port ${port.label} of ${nameOf(design, owner)}` : nameOf(design, owner);
}

export const cableAt = (design: Design, end: string): Cable | undefined =>
  setUpOf(design).cables.find((c) => c.from === end || c.to === end);

export const otherEnd = (cable: Cable, end: string): string => (cable.from === end ? cable.to : cable.from);

/** Ends with nothing in them, boxes first: ports of boxes in use, devices without a cable, the internet line. */
export function freeEnds(design: Design): string[] {
  const setUp = setUpOf(design);
  const ends = [
    ...setUp.boxes.flatMap((s) => design.site.boxes.find((b) => b.id === s.box)?.profile.ports.map((p) => `${s.box}/${p.id}`) ?? []),
    ...design.site.devices.map((d) => d.id),
    street,
  ];
  // The provider's end may have several ports.
  return ends.filter((e) => e === street || !cableAt(design, e));
}

export interface AddressText {
  text: string;
  how: string;
}

/** The address of a box or device as the proof gives it. */
export function addressText(design: Design, fact: Schemas["AddressFact"]): AddressText {
  const servers = fact.servers.map((server) => (server === street ? "the provider" : nameOf(design, server))).join(" or ");
  switch (fact.origin) {
    case "fixed":
      return { text: `${fact.address}/${fact.prefixLength}`, how: "fixed" };
    case "reserved":
      return { text: `${fact.address}/${fact.prefixLength}`, how: `reserved by ${servers}` };
    case "leased": {
      const pool = fact.from;
      const range = pool ? `one of ${pool.replace("-", " to ")}` : "not known";
      return fact.address
        ? { text: `${fact.address}/${fact.prefixLength}`, how: `leased by ${servers}, ${range}` }
        : { text: range, how: `leased by ${servers}` };
    }
    case "selfAssigned":
      return { text: "169.254.x.x", how: "no DHCP server answers" };
    case "none":
      return { text: "no address", how: "not connected" };
  }
}

export const factsOf = (proof: Proof, owner: string) => proof.facts.addresses.filter((a) => a.owner === owner);

/** What was asked for, in words. */
export const needWords = (proof: Proof, id: string): string => proof.facts.needs.find((n) => n.need === id)?.asked ?? id;

/** The box or device with a MAC address; the address itself where nothing in the survey has it. */
export function nameOfMac(design: Design, mac: string): string {
  return (
    design.site.devices.find((d) => d.mac === mac)?.name ?? design.site.boxes.find((b) => b.mac === mac || b.wanMac === mac)?.name ?? mac
  );
}

/** What is known of a cable before anybody looks at it. */
export const notLookedAt: Schemas["CableFacts"] = { medium: "unknown", lengthMetres: null, pairs: null, run: null };
