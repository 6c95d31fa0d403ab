import type { Design, Proof, Schemas } from "../../api/client";
import { answerWords, bandWords, levelUseWords, mediumWords, modeWords } from "../../ui/words";
import { following, standing } from "../shared/findings";
import { cableAt, factsOf, guestHost, laptopWords, nameOf, setUpOf, street, type Box, type BoxSetting } from "../shared/designReading";
import type { AddressSaid, Scene, SceneBox, SceneFlag, SceneLink, ScenePort, SceneStep, SceneToken, SceneWalled } from "./scene";

type LinkFact = Schemas["LinkFact"];
type Host = Pick<Schemas["DeviceDocument"], "id" | "name" | "kind" | "place">;

/** At most so many ports are drawn; empty ones beyond that are counted only. */
const mostPorts = 8;

/** What a design does not say of a moment: what has no power, and which boxes are at work on themselves. */
export type MomentSaid = Pick<Schemas["SheetMoment"], "off" | "busy">;

const busyWords: Record<Schemas["BusyKind"], string> = {
  starting: "starting",
  updating: "updating",
  saving: "saving",
  radios: "radios off",
};

/** Reads what is to be drawn out of a design and its proof; of a moment, with the laptop and what boxes are at. */
export function readScene(design: Design, proof: Proof, moment?: MomentSaid): Scene {
  return new Reader(design, proof, moment).scene();
}

class Reader {
  private readonly links: Map<string, LinkFact>;
  private readonly uplinks: Map<string, Schemas["UplinkFact"]>;
  private readonly flags = new Map<string, SceneFlag[]>();

  constructor(
    private readonly design: Design,
    private readonly proof: Proof,
    private readonly moment?: MomentSaid,
  ) {
    this.links = new Map(proof.facts.links.map((l) => [l.id, l]));
    this.uplinks = new Map(proof.facts.uplinks.map((u) => [u.owner, u]));
    const needs = new Map(proof.facts.needs.map((n) => [n.need, n.about]));
    standing(proof).forEach((cause, i) => {
      this.flag(cause.subjects, { finding: cause.identity, number: i + 1, level: cause.severity, words: cause.flag ?? "" });
      // What follows is marked at the device that has a need; that a device has no internet is told by its outline.
      for (const f of following(proof, cause).filter((x) => x.code === "need-not-met")) {
        this.flag(
          f.subjects.map((s) => needs.get(s) ?? s),
          { finding: cause.identity, number: i + 1, level: f.severity, words: f.flag ?? "" },
        );
      }
    });
  }

  private flag(subjects: readonly string[], flag: SceneFlag) {
    // A radio is marked at its box.
    for (const subject of new Set(subjects.map((s) => s.split(/[/:]/)[0] ?? s))) {
      const there = this.flags.get(subject) ?? [];
      if (!there.some((f) => f.number === flag.number)) {
        this.flags.set(subject, [...there, flag]);
      }
    }
  }

  scene(): Scene {
    const { design } = this;
    const setUp = setUpOf(design);
    const used = new Set(setUp.boxes.map((b) => b.box));
    const carrier = design.site.service.kind === "carrierNat";
    const boxes = design.site.boxes.filter((b) => used.has(b.id));
    const treeLinks = new Set([...this.uplinks.values()].map((u) => u.link));
    return {
      service: { ...serviceWords(design), carrier, flags: this.flags.get(street) ?? [], cable: cableAt(design, street)?.id ?? null },
      roots: this.childrenOf(street),
      atStreet: this.tokensOf(street),
      islands: boxes.filter((b) => !this.uplinks.has(b.id)).map((b) => this.box(b)),
      loose: this.inUse()
        .filter((d) => !this.uplinks.has(d.id))
        .map((d) => this.token(d)),
      unused: design.site.boxes
        .filter((b) => !used.has(b.id))
        .map(({ id, name, toBuy }) => ({ id, name: toBuy ? `${name} · to buy` : name })),
      extra: this.proof.facts.links
        .filter((l) => l.kind === "cable" && !treeLinks.has(l.id))
        .map((l) => ({ link: this.link(l.id), from: l.a, to: l.b })),
    };
  }

  private inUse(): Host[] {
    const set = new Set(setUpOf(this.design).devices.map((d) => d.device));
    return [
      ...this.design.site.devices.filter((d) => set.has(d.id)),
      ...Object.entries(laptopWords)
        .filter(([id]) => this.uplinks.has(id))
        .map(([id, name]): Host => ({ id, name, kind: "laptop" })),
    ];
  }

  /** What a box is at just now; nothing where it works. */
  private atWork(box: string): string {
    const busy = this.moment?.busy.filter((b) => b.box === box).map((b) => busyWords[b.kind]) ?? [];
    return this.moment?.off.includes(box) ? " · off" : busy.length > 0 ? ` · ${busy.join(", ")}` : "";
  }

  /** What hangs at a box. */
  private childrenOf(owner: string): SceneBox[] {
    return this.design.site.boxes.filter((b) => this.uplinks.get(b.id)?.to === owner).map((b) => this.box(b));
  }

  /** Devices at a box, cabled ones and those in its Wi-Fi; guests stand in a part of their own. */
  private tokensOf(owner: string, inSegment?: (segment: string) => boolean): SceneToken[] {
    return this.inUse()
      .filter((d) => this.uplinks.get(d.id)?.to === owner && (!inSegment || inSegment(factsOf(this.proof, d.id)[0]?.segment ?? "")))
      .map((d) => this.token(d));
  }

  private guests(box: string): SceneWalled[] {
    const { facts } = this.proof;
    return (
      facts.segments
        // Guests of a router that come in at an access point, by a tag, hang there.
        .filter(
          (s) => guestHost(s.id) === box || (guestHost(s.id) !== null && this.tokensOf(box, (segment) => segment === s.id).length > 0),
        )
        .map((s) => {
          const ruler = facts.rulers.find((r) => r.segment === s.id);
          return {
            segment: s.id,
            title: ruler?.subnet ?? "",
            details: `guests · ${ruler ? rulerWords(ruler, s.devices.length) : ""}`,
            tokens: this.tokensOf(box, (segment) => segment === s.id),
          };
        })
    );
  }

  private room(place: string | null | undefined): string | null {
    return this.design.site.places?.find((p) => p.id === place)?.name ?? null;
  }

  private token(device: Host): SceneToken {
    const uplink = this.uplinks.get(device.id);
    const link = uplink ? this.links.get(uplink.link) : undefined;
    const fact = factsOf(this.proof, device.id)[0];
    return {
      id: device.id,
      name: device.name,
      kind: device.kind,
      address: fact ? shortAddress(fact) : { how: "", address: "" },
      internet: this.proof.facts.internet.find((i) => i.device === device.id)?.answer.kind ?? "unknown",
      link: link ? this.link(link.id) : null,
      port: link?.kind === "cable" ? (link.a === device.id ? link.b : link.a) : null,
      flags: this.flags.get(device.id) ?? [],
      room: [level(link).replace(" dBm", ""), this.room(device.place)].filter(Boolean).join(" · ") || null,
    };
  }

  private box(box: Box): SceneBox {
    const setting = setUpOf(this.design).boxes.find((b) => b.box === box.id);
    const uplink = this.uplinks.get(box.id);
    const link = uplink ? this.links.get(uplink.link) : undefined;
    const mine = link && (link.a.split("/")[0] === box.id ? link.a : link.b);
    const step = this.step(box);
    const ports = this.ports(box, setting, mine);
    const facts = factsOf(this.proof, box.id);
    const wan = facts.find((f) => f.side === "wan");
    const own = facts.find((f) => f.side === "lan" || f.side === "page");
    const on = setting?.radios?.filter((r) => r.on) ?? [];
    const bands = on.flatMap((r) => box.profile.radios.filter((p) => p.id === r.radio).map((p) => bandWords[p.band].replace(" GHz", "")));
    return {
      id: box.id,
      name: box.name,
      mode: setting
        ? `${modeWords[setting.mode]}${setting.satellite ? ` of ${nameOf(this.design, setting.satellite.main)}` : ""}${box.toBuy ? " · to buy" : ""}${this.atWork(box.id)}`
        : "",
      outside: wan && step ? shortAddress(wan) : null,
      own: own ? shortAddress(own) : setting?.page?.address ? { how: "", address: setting.page.address } : null,
      wifi:
        on.length > 0
          ? `${[...new Set(on.map((r) => `"${r.name}"`))].join(", ")} · ${bands.join(" + ")} GHz`
          : setting?.satellite
            ? "names of its main node"
            : null,
      step,
      ports: ports.shown,
      hidden: ports.hidden,
      uplink: link && mine ? { link: this.link(link.id), port: mine, fromPort: link.a === mine ? link.b : link.a } : null,
      tokens: this.tokensOf(box.id, (segment) => guestHost(segment) === null),
      walled: this.guests(box.id),
      children: this.childrenOf(box.id),
      flags: this.flags.get(box.id) ?? [],
      room: this.room(setting?.place ?? box.place),
    };
  }

  /** A router whose two sides are networks apart is a step down. */
  private step(box: Box): SceneStep | null {
    const { facts } = this.proof;
    const nat = facts.nats.find((n) => n.router === box.id);
    const lan = factsOf(this.proof, box.id).find((f) => f.side === "lan");
    if (!nat || !lan) {
      return null;
    }
    const members = facts.segments.find((s) => s.id === lan.segment);
    const devices = members?.devices.length ?? 0;
    const rulers = facts.rulers.filter((r) => r.segment === lan.segment);
    return {
      segment: lan.segment,
      nat: nat.does,
      number: nat.number,
      rulers: rulers.map((r) => ({
        subnet: r.subnet,
        details: rulerWords(r, devices),
        twice: facts.overlaps.some((o) => o.router === box.id && o.inner === r.subnet),
      })),
    };
  }

  /** Ports towards the internet line stand above: the uplink, and outer ports with nothing hanging at them. */
  private ports(box: Box, setting: BoxSetting | undefined, uplinkPort: string | undefined): { shown: ScenePort[]; hidden: number } {
    const hasUplink = new Set([...this.uplinks.values()].map((u) => u.link));
    const all = box.profile.ports.map((p): ScenePort => {
      const id = `${box.id}/${p.id}`;
      const cable = cableAt(this.design, id);
      const hangs = cable && id !== uplinkPort && hasUplink.has(cable.id);
      return {
        id,
        label: p.label,
        up: id === uplinkPort || (p.role === "wan" && setting?.mode !== "switch" && !hangs),
        cable: cable?.id ?? null,
      };
    });
    const empty = all.filter((p) => p.cable === null && !p.up);
    const room = Math.max(2, mostPorts - (all.length - empty.length));
    const hidden = new Set(empty.slice(room).map((p) => p.id));
    return { shown: all.filter((p) => !hidden.has(p.id)), hidden: hidden.size };
  }

  private link(id: string): SceneLink {
    const fact = this.links.get(id);
    const cable = setUpOf(this.design).cables.find((c) => c.id === id);
    const passed = fact?.passesPublic ?? false;
    const words = cable
      ? passed
        ? "public address passed on"
        : cableWords(cable, fact)
      : fact?.kind === "radio"
        ? [this.radioWords(fact.a), received(fact)].filter((w) => w !== "").join(" · ")
        : fact?.kind === "cable"
          ? "your lead"
          : [this.wifiWords(id) ?? "Wi-Fi", received(fact)].filter((w) => w !== "").join(" · ");
    return { id, kind: fact?.kind ?? "cable", words, ring: fact?.inRing ?? false, passed };
  }

  /** What is said of a radio link: its band, and how frames cross it. */
  private radioWords(box: string): string {
    const setting = setUpOf(this.design).boxes.find((b) => b.box === box);
    const band = this.design.site.boxes.find((b) => b.id === box)?.profile.radios.find((r) => r.id === setting?.uplink?.radio)?.band;
    return setting?.uplink
      ? `radio${band ? `, ${bandWords[band]}` : ""} · ${{ threeAddress: "3 addresses", fourAddress: "4 addresses", wds: "WDS" }[setting.uplink.frames]}`
      : "radio of its kit";
  }

  private wifiWords(id: string): string | null {
    const device = id.split(":")[1] ?? "";
    const wifi = setUpOf(this.design).devices.find((d) => d.device === device)?.wifi;
    const setting = setUpOf(this.design).boxes.find((b) => b.box === wifi?.box);
    const radios =
      setting?.radios?.filter(
        (r) => r.on && [r.name, setting.guest?.name, ...(r.furtherNames ?? []).map((n) => n.name)].includes(wifi?.name),
      ) ?? [];
    const profile = this.design.site.boxes.find((b) => b.id === wifi?.box)?.profile;
    const bands = radios.flatMap((r) => profile?.radios.filter((p) => p.id === r.radio).map((p) => bandWords[p.band]) ?? []);
    return wifi ? `Wi-Fi "${wifi.name}", ${bands.join(" or ")}` : null;
  }
}

/** What a level is good for, and the level: "calls -58 dBm"; empty where it is not known. */
const level = (fact: LinkFact | undefined) => (fact?.signal ? `${levelUseWords[fact.signal.use]} ${Math.round(fact.signal.dbm)} dBm` : "");

/** How strongly a link by radio is received, and what arrives over it. */
const received = (fact: LinkFact | undefined) =>
  [level(fact), fact?.arrives?.usual ? `about ${rate(Math.round(fact.arrives.usual))}` : ""].filter((w) => w !== "").join(", ");

/** What is said of a link: its medium, its length, what it carries at most. */
export function cableWords(cable: Schemas["CableDocument"], fact: LinkFact | undefined): string {
  const said = [
    cable.medium === "unknown" ? "" : mediumWords[cable.medium],
    cable.lengthMetres ? `${cable.lengthMetres} m` : "",
    fact?.arrives?.usual
      ? `≈ ${rate(Math.round(fact.arrives.usual))}`
      : fact?.atMostMbps
        ? `${cable.medium === "powerline" ? "at most " : ""}${rate(fact.atMostMbps)}`
        : "",
  ];
  return said.filter((s) => s !== "").join(" · ");
}

/** 100 Mb/s, 2.5 Gb/s. */
export const rate = (mbps: number) => (mbps >= 1000 ? `${mbps / 1000} Gb/s` : `${mbps} Mb/s`);

/** The part of an address that differs within its subnet, for ranges: ".20–.199". */
export const tail = (address: string, whole: string) => {
  const a = address.split(".");
  const b = whole.split(".");
  const same = a.findIndex((part, i) => part !== b[i]);
  return `.${a.slice(Math.min(same < 0 ? 3 : same, 3)).join(".")}`;
};

export function poolWords(range: string): string {
  const [first = "", last = ""] = range.split("-");
  return `${tail(first, last)}–${tail(last, first)}`;
}

function rulerWords(ruler: Schemas["RulerFact"], devices: number): string {
  const serving = ruler.pools.filter((p) => p.on);
  const pool = serving.length === 0 ? "no DHCP server" : serving.map((p) => `pool ${poolWords(p.range)}`).join(" and ");
  return `${devices} ${devices === 1 ? "device" : "devices"} · ${pool}`;
}

/** An address as it fits into a token. What the provider leases is its own affair. */
function shortAddress(fact: Schemas["AddressFact"]): AddressSaid {
  switch (fact.origin) {
    case "fixed":
    case "reserved":
      return {
        how: "",
        address: fact.side === "lan" || fact.side === "page" ? `${fact.address}/${fact.prefixLength}` : (fact.address ?? ""),
      };
    case "leased": {
      if (fact.address) return { how: "lease", address: fact.address };
      const pool = fact.segment === street ? null : fact.from;
      return { how: fact.servers.length > 1 ? "either lease" : pool ? "lease" : "leased", address: pool ? poolWords(pool) : "" };
    }
    case "selfAssigned":
      return { how: "", address: "169.254.x.x" };
    case "none":
      return { how: "no address", address: "" };
  }
}

function serviceWords(design: Design): { title: string; details: string } {
  const { service } = design.site;
  const rates = service.downMbps ? `${[service.downMbps, service.upMbps].filter(Boolean).join(" / ")} Mb/s sold` : "rates not asked";
  const kind = {
    publicDynamic: (service.leases ?? 1) > 1 ? `${service.leases} public addresses, leased` : "one public address, leased",
    publicFixed: `public address ${service.address ?? ""}, fixed`,
    carrierNat: "shared address: nothing opened from outside gets in",
    unknown: "kind of address not asked",
  }[service.kind];
  return { title: "Internet line", details: `${rates} · ${kind}` };
}

export const said = ({ how, address }: AddressSaid) => [how, address].filter(Boolean).join(" ") || "no address";

/** For a screen reader: what a token says. */
export const tokenWords = (token: SceneToken) =>
  [
    token.name,
    said(token.address),
    ...(token.room ? [token.room] : []),
    `internet: ${answerWords[token.internet as keyof typeof answerWords] ?? token.internet}`,
  ].join(", ");
