import type { Schemas } from "../api/client";

type Words<K extends keyof Schemas> = Record<Extract<Schemas[K], string>, string>;

/** Words for what the API names. Each list is complete by its type: a new value in the API does not compile until it has a word. */
export const storedWords: Words<"StoredState"> = {
  unknown: "not known",
  factory: "the settings of the factory (new, or reset)",
  lastHome: "the settings of its last home",
};

export const modeWords: Words<"ModeKind"> = {
  router: "Router",
  accessPoint: "Access point",
  bridge: "Bridge",
  switch: "Switch",
  repeater: "Repeater",
  wirelessBridge: "Wireless bridge",
  satellite: "Satellite",
};
export const answerWords: Words<"AnswerKind"> = { yes: "yes", no: "no", luck: "by luck", unknown: "not known" };
export const securityWords: Words<"WifiSecurity"> = {
  open: "open",
  wep: "WEP",
  wpaTkip: "WPA, TKIP",
  wpa2: "WPA2",
  wpa2Wpa3: "WPA2 and WPA3",
  wpa3: "WPA3",
};
export const frameWords: Words<"UplinkFrames"> = {
  threeAddress: "three addresses, as a client",
  fourAddress: "four addresses",
  wds: "WDS, both told",
};
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
/** From where the page of a box opens. */
export const pageSideWords: Words<"PageSide"> = {
  cable: "a LAN cable",
  wifi: "its Wi-Fi",
  guest: "its guest network",
  wan: "its WAN side",
};
export const sideWords: Words<"Side"> = {
  lan: "LAN side",
  wan: "WAN side",
  page: "page",
  guest: "among guests",
  device: "",
  provider: "",
  laptop: "laptop",
};

export const originWords: Words<"AddressOrigin"> = {
  fixed: "fixed",
  reserved: "reserved",
  leased: "leased",
  selfAssigned: "gave it itself",
  none: "not connected",
};
export const printoutWords: Words<"PrintoutStyle"> = { ip: "ip addr, ip route", ipconfig: "ipconfig, arp", ifconfig: "ifconfig, netstat" };
export const trialWords: Words<"TrialKind"> = {
  restartAll: "Power",
  powerOff: "A box is off",
  unplugCable: "A cable is unplugged",
  swapPorts: "Wrong ports",
  reset: "Reset",
  oldRouter: "Left plugged in",
};
export const trendWords: Words<"Trend"> = { worse: "Got worse", better: "Got better", other: "Otherwise" };
export const seatWords: Words<"SeatKind"> = {
  device: "Devices",
  box: "Boxes",
  port: "The laptop in a free port",
  wifi: "The laptop on Wi-Fi",
};
export const ladderWords: Words<"LadderKind"> = {
  lease: "An address is leased",
  connection: "A device opens a connection to another",
  internet: "A device opens a connection to the internet",
  inbound: "A connection comes from outside",
  discovery: "A device looks for another",
};

export const knownWords: Words<"Known"> = { unknown: "not known", yes: "yes", no: "no" };
export const namingWords: Words<"NamingSchool"> = {
  oneName: "one name everywhere",
  onePerBox: "a name for each box",
  onePerBand: "a name for each band",
};
export const accessWords: Words<"AccessKind"> = {
  unknown: "not asked",
  fibre: "fibre",
  telephoneLine: "telephone line",
  televisionCable: "television cable",
  mobile: "mobile network",
  fixedRadio: "radio link to a mast",
  satellite: "satellite",
  buildingNetwork: "the building's own network",
};
export const placeWords: Words<"PlaceKind"> = {
  room: "room",
  hall: "hall or stairs",
  cupboard: "cupboard",
  loft: "loft, unheated",
  cellar: "cellar or garage",
  outdoors: "outdoors",
};
export const wallWords: Words<"WallKind"> = {
  unknown: "not looked at",
  light: "plasterboard or timber",
  brick: "brick or block",
  stone: "thick stone",
  concrete: "concrete",
  glass: "glass",
  metal: "metal or foil",
};
export const deviceWords: Words<"DeviceKind"> = {
  phone: "telephone",
  tablet: "tablet",
  laptop: "laptop",
  computer: "computer",
  printer: "printer",
  recorder: "camera or recorder",
  television: "television",
  console: "games console",
  controller: "controller",
  storage: "storage",
  other: "something else",
};
export const boxWords: Words<"BoxKind"> = {
  gateway: "Gateways",
  router: "Routers",
  accessPoint: "Access points, repeaters, bridges",
  switch: "Switches",
  powerline: "Powerline",
  coax: "Coax",
  injector: "Injectors",
};
export const lineServiceWords: Words<"LineService"> = { telephone: "telephone", television: "television", alarm: "alarm" };
export const worthWords: Words<"Worth"> = { good: "Serves", notNeeded: "Not needed", leave: "Leave it off" };
export const tableWords: Words<"SurveyTable"> = { gear: "Gear", places: "Places", devices: "Devices", cables: "Cables" };
export const secretWords: Words<"SecretState"> = { held: "kept", lost: "lost, type again", notTyped: "not typed" };
export const loginWords: Words<"LoginHabit"> = {
  unknown: "not known",
  onLabel: "password on the label",
  sameForAll: "the same words on every box of its kind",
  none: "no password",
  setAtFirst: "asks for a new password first",
  byPhone: "by an application on a telephone",
};
export const phaseWords: Words<"LightPhase"> = {
  starting: "Starting",
  beforeSetUp: "Before set-up",
  joining: "Joining",
  inUse: "In use",
  updating: "Updating",
};
export const generationWords: Words<"WifiGeneration"> = {
  unknown: "not read",
  b: "11 Mb/s class (b)",
  g: "54 Mb/s class",
  n: "n",
  ac: "ac",
  ax: "ax",
  be: "be",
};
export const walkEndWords: Words<"WalkEnd"> = { nothing: "No Wi-Fi", cutOff: "Cut off", stays: "Stays" };
export const rateStandingWords: Words<"RateStanding"> = {
  within: "as computed",
  above: "more than can be: what is noted is not so",
  below: "less than computed",
  farBelow: "far less than computed",
};
/** What a level is good for; told by shape and word as well as by colour. */
export const levelUseWords: Words<"LevelUse"> = { calls: "calls", web: "web", weak: "weak" };
export const levelUseSigns: Words<"LevelUse"> = { calls: "●", web: "◐", weak: "○" };
export const levelUseColours: Words<"LevelUse"> = { calls: "moss", web: "ochre", weak: "brick" };
export const levelBasisWords: Words<"LevelBasis"> = {
  measured: "measured",
  walls: "from walls and distance",
  rooms: "from distance",
  distance: "from what is usual in a home",
};
export const addressAfterWords: Words<"AddressAfter"> = {
  unknown: "address not known",
  kept: "keeps its address",
  leased: "leases an address",
  itsOwn: "takes an address of its own for that",
  none: "has no address",
};
export const resetWords: Words<"ResetBy"> = {
  pinhole: "pin hole",
  button: "button",
  page: "on its page",
  powerCycles: "switched off and on several times",
};
export const powerWords: Words<"PowerKind"> = {
  passive: "passive, without asking",
  af: "802.3af",
  at: "802.3at",
  bt3: "802.3bt type 3",
  bt4: "802.3bt type 4",
};
export const readingKindWords: Words<"ReadingKind"> = {
  command: "command",
  adapters: "adapters",
  routes: "routes",
  addressTable: "address table",
  dnsServers: "DNS servers",
  ping: "ping",
  trace: "route hop by hop",
  cableLink: "cable",
  wifiLink: "Wi-Fi in use",
  wifiScan: "networks on the air",
  deviceList: "device list",
  leases: "leases",
  capture: "capture",
  outside: "outside view",
  speedRuns: "speed runs",
};
export const agreementWords: Words<"Agreement"> = { disagrees: "Disagrees", unknown: "Not settled", agrees: "Agrees" };
export const runByWords: Words<"RunBy"> = { cable: "cable", ghz2: "Wi-Fi 2.4 GHz", ghz5: "Wi-Fi 5 GHz", ghz6: "Wi-Fi 6 GHz" };

export const keysOf = <K extends string>(words: Record<K, string>) => Object.keys(words) as K[];

/** The same with a capital letter at its start. */
export const capital = (text: string) => text.slice(0, 1).toUpperCase() + text.slice(1);

/** The stations at which the work on a job can stand. */
export const workStationWords: Record<Schemas["WorkStation"], string> = { survey: "Survey", plan: "Plan", proof: "Proof" };

/** A number of things, "1 step" or "18 steps". */
export const counted = (number: number, one: string): string => `${number} ${one}${number === 1 ? "" : "s"}`;

/** Points, or another count, as they are shown. */
export const pointsText = (of: number) => of.toLocaleString("en-US", { maximumFractionDigits: 1 });
