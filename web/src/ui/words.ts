import type { Schemas } from "../api/client";

type Words<K extends keyof Schemas> = Record<Extract<Schemas[K], string>, string>;

/** Words for what the API names. Each list is complete by its type: a new value in the API does not compile until it has a word. */
export const modeWords: Words<"ModeKind"> = { router: "Router", accessPoint: "Access point", bridge: "Bridge", switch: "Switch", repeater: "Repeater", wirelessBridge: "Wireless bridge", satellite: "Satellite" };
export const answerWords: Words<"AnswerKind"> = { yes: "yes", no: "no", luck: "by luck", unknown: "not known" };
export const securityWords: Words<"WifiSecurity"> = { open: "open", wep: "WEP", wpaTkip: "WPA, TKIP", wpa2: "WPA2", wpa2Wpa3: "WPA2 and WPA3", wpa3: "WPA3" };
export const frameWords: Words<"UplinkFrames"> = { threeAddress: "three addresses, as a client", fourAddress: "four addresses", wds: "WDS, both told" };
export const mediumWords: Words<"Medium"> = {
  unknown: "not looked at",
  cat5: "Cat 5",
  cat5e: "Cat 5e",
  cat6: "Cat 6",
  cat6a: "Cat 6A",
  fibre: "fibre",
  powerline: "powerline",
  coax: "coax",
};
export const bandWords: Words<"RadioBand"> = { ghz2: "2.4 GHz", ghz5: "5 GHz", ghz6: "6 GHz" };
export const sideWords: Words<"Side"> = { lan: "inside", wan: "outside", page: "page", guest: "among guests", device: "", provider: "", laptop: "laptop" };

export const originWords: Words<"AddressOrigin"> = { fixed: "fixed", reserved: "reserved", leased: "leased", selfAssigned: "gave it itself", none: "not connected" };
export const printoutWords: Words<"PrintoutStyle"> = { ip: "ip addr, ip route", ipconfig: "ipconfig, arp", ifconfig: "ifconfig, netstat" };
export const trialWords: Words<"TrialKind"> = { restartAll: "Power", powerOff: "A box is off", pullCable: "A cable is pulled", swapPorts: "Wrong ports", reset: "Reset", oldRouter: "Left plugged in" };
export const trendWords: Words<"Trend"> = { worse: "Got worse", better: "Got better", other: "Otherwise" };
export const seatWords: Words<"SeatKind"> = { device: "Devices", box: "Boxes", port: "The laptop in a free port", wifi: "The laptop on Wi-Fi" };
export const ladderWords: Words<"LadderKind"> = { lease: "An address is leased", connection: "A device opens a connection to another", internet: "A device opens a connection to the internet", inbound: "A connection comes from outside", discovery: "A device looks for another" };

export const keysOf = <K extends string>(words: Record<K, string>) => Object.keys(words) as K[];

/** The same with a capital letter at its start. */
export const capital = (text: string) => text.slice(0, 1).toUpperCase() + text.slice(1);
