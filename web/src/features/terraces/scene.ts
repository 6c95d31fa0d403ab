/**
 * What is drawn, without any coordinate: who hangs at whom, which box is a step down, what stands apart. Read from the facts;
 * nothing is judged here.
 */

/** A mark at a thing that a finding is about. Its number is that of the finding in the verdict. */
export interface SceneFlag {
  finding: string;
  number: number;
  level: "willNotWork" | "concern";
  words: string;
}

export interface ScenePort {
  /** "hall-gateway/lan1". */
  id: string;
  label: string;
  /** Towards the internet line: drawn on the upper edge of its box. */
  up: boolean;
  /** The cable in it. */
  cable: string | null;
}

export interface SceneLink {
  id: string;
  kind: "cable" | "wifi" | "radio";
  /** Medium, length and rate in a few words. */
  words: string;
  ring: boolean;
  /** A gateway's public address goes on through it. */
  passed: boolean;
}

export interface SceneToken {
  id: string;
  name: string;
  kind: string;
  address: AddressSaid;
  /** Whether it gets to the internet: yes, no, luck, unknown. */
  internet: string;
  link: SceneLink | null;
  /** Port of its box; null for Wi-Fi. */
  port: string | null;
  flags: SceneFlag[];
  /** The name of the room that it stands in. */
  room: string | null;
}

/** The subnet at the head of a terrace. */
export interface SceneRuler {
  subnet: string;
  details: string;
  /** It is also on the other side of its router. */
  twice: boolean;
}

/** An address in as few words as fit a token: how it is come by where that matters, and the address or range. */
export interface AddressSaid {
  how: string;
  address: string;
}

/** A router is a step from one terrace down to the next. */
export interface SceneStep {
  segment: string;
  /** Whether it is set to do NAT. */
  nat: boolean;
  /** The number of the NAT, counted from the internet line, the carrier's own counted; null where it does none, or nothing is above. */
  number: number | null;
  rulers: SceneRuler[];
}

/** What a router does at its step, as it is written beside it. */
export const natWords = ({ nat, number }: Pick<SceneStep, "nat" | "number">) =>
  !nat ? "no NAT" : number === null ? "would do NAT" : number === 1 ? "NAT" : "double NAT";

/** A part of a terrace that is walled off: a guest network. */
export interface SceneWalled {
  segment: string;
  title: string;
  details: string;
  tokens: SceneToken[];
}

export interface SceneBox {
  id: string;
  name: string;
  mode: string;
  /** Address on the WAN side. */
  outside: AddressSaid | null;
  /** Its own address inside, or that of its page. */
  own: AddressSaid | null;
  /** Names that its radios send, in words. */
  wifi: string | null;
  step: SceneStep | null;
  ports: ScenePort[];
  /** Ports that are not drawn, all of them empty. */
  hidden: number;
  /** The link by which it hangs, and in which of its ports that ends. */
  uplink: { link: SceneLink; port: string; fromPort: string } | null;
  tokens: SceneToken[];
  walled: SceneWalled[];
  children: SceneBox[];
  flags: SceneFlag[];
  /** The name of the room that it stands in. */
  room: string | null;
}

export interface Scene {
  service: { title: string; details: string; carrier: boolean; flags: SceneFlag[]; cable: string | null };
  roots: SceneBox[];
  /** Devices plugged straight into the internet line. */
  atStreet: SceneToken[];
  /** Parts of the home that have no way to the internet line. */
  islands: SceneBox[];
  /** Devices that are connected to nothing. */
  loose: SceneToken[];
  /** Boxes that are not in use. */
  unused: { id: string; name: string }[];
  /** Cables that join what is joined already: rings, and second ways. */
  extra: { link: SceneLink; from: string; to: string }[];
}
