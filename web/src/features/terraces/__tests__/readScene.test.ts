import { describe, expect, it } from "vitest";
import type { Proof } from "../../../api/client";
import { demo } from "../../shared/__tests__/demo";
import { cableWords, poolWords, rate, readScene, tokenWords } from "../readScene";
import { natWords, type SceneBox } from "../scene";

const { design, proof } = demo();
const scene = readScene(design, proof);
const all = (box: SceneBox): SceneBox[] => [box, ...box.children.flatMap(all)];
const boxes = scene.roots.flatMap(all);
const box = (id: string) => boxes.find((b) => b.id === id) as SceneBox;

describe("readScene", () => {
  it("hangs every box at the one nearer to the internet line", () => {
    expect(scene.roots.map((b) => b.id)).toEqual(["hall-gateway"]);
    expect(
      box("hall-gateway")
        .children.map((b) => b.id)
        .sort(),
    ).toEqual(["loft-router", "studio-point"]);
    expect(scene.islands).toEqual([]);
  });

  it("says which names a box sends, and in which bands", () =>
    expect([box("hall-gateway").wifi, box("loft-router").wifi]).toEqual(['"pottery" · 2.4 + 5 GHz', '"pottery-loft" · 2.4 + 5 GHz']));

  it("tells radio links and passed addresses apart from cables", () => {
    const seen = (name: string) => {
      const { design: d, proof: p } = demo(name);
      return readScene(d, p).roots.flatMap(all);
    };
    const mesh = seen("t14-mesh").flatMap((b) => (b.uplink ? [[b.id, b.uplink.link.kind, b.uplink.link.words]] : []));
    expect(mesh).toContainEqual(["landing-node", "radio", "radio of its kit"]);
    expect(mesh).toContainEqual(["garden-node", "cable", "Cat 6 · 18 m · 1 Gb/s"]);
    expect(seen("t06-wds-pair").find((b) => b.id === "barn-router")?.uplink?.link.words).toBe("radio, 2.4 GHz · WDS");
    const behind = seen("t10-pass-through").find((b) => b.id === "main-router");
    expect([behind?.uplink?.link.passed, behind?.uplink?.link.words, behind?.step?.number]).toEqual([true, "public address passed on", 1]);
  });

  it("counts the translations from the internet line", () =>
    expect(boxes.map((b) => [b.id, b.step?.number ?? null])).toEqual([
      ["hall-gateway", 1],
      ["loft-router", 2],
      ["studio-point", null],
    ]));

  it("says that a subnet is also above", () => {
    expect(box("hall-gateway").step?.rulers).toEqual([{ subnet: "192.168.8.0/24", details: "4 devices · pool .20–.199", twice: false }]);
    expect(box("loft-router").step?.rulers[0]?.twice).toBe(true);
  });

  it("hangs devices at the port or the radio that they use", () => {
    const hall = box("hall-gateway").tokens;
    expect(hall.map((t) => [t.id, t.port])).toEqual(
      expect.arrayContaining([
        ["printer", "hall-gateway/lan3"],
        ["kitchen-phone", null],
      ]),
    );
    expect(hall.find((t) => t.id === "printer")?.address).toEqual({ how: "", address: "192.168.8.31" });
    expect(hall.find((t) => t.id === "kitchen-phone")?.address).toEqual({ how: "lease", address: ".20–.199" });
    expect(hall.find((t) => t.id === "kitchen-phone")?.link?.words).toContain("GHz");
  });

  it("gives both addresses of a box that translates, and no pool of the provider's", () => {
    expect([box("loft-router").outside, box("loft-router").own]).toEqual([
      { how: "lease", address: ".20–.199" },
      { how: "", address: "192.168.8.1/24" },
    ]);
    expect(box("hall-gateway").outside).toEqual({ how: "leased", address: "" });
    expect(box("studio-point").outside).toBeNull();
  });

  it("puts the uplink and empty outer ports above, the rest below", () => {
    expect(box("studio-point").ports.map((p) => [p.label, p.up, p.cable !== null])).toEqual([
      ["in", true, true],
      ["1", false, false],
      ["2", false, false],
    ]);
    expect(box("loft-router").uplink).toMatchObject({ port: "loft-router/wan", fromPort: "hall-gateway/lan1" });
  });

  it("marks what a finding is about with its number, and a need that fails with that of its cause", () => {
    const numbers = (flags: { number: number }[]) => flags.map((f) => f.number);
    const open = proof.findings.filter((f) => f.causedBy.length === 0);
    const overlap = open.findIndex((f) => f.code === "overlapping-subnets") + 1;
    const pool = open.findIndex((f) => f.code === "fixed-address-in-pool") + 1;
    expect(numbers(box("loft-router").flags)).toContain(overlap);
    expect(numbers(box("studio-point").flags)).toContain(pool);
    expect(box("loft-router").tokens.find((t) => t.id === "kiln-controller")?.flags).toHaveLength(1);
    expect(box("hall-gateway").tokens.find((t) => t.id === "kitchen-phone")?.flags).toEqual([]);
  });

  it("leaves out what is accepted", () => {
    const accepted = {
      ...proof,
      findings: proof.findings.map((f) => ({ ...f, accepted: { finding: f.identity, severe: true, reason: "r", by: "b" } })),
    } as Proof;
    expect(
      readScene(design, accepted)
        .roots.flatMap(all)
        .flatMap((b) => b.flags),
    ).toEqual([]);
  });

  it("stands apart what has no uplink, and shelves what is not in use", () => {
    const cut = {
      ...proof,
      facts: { ...proof.facts, uplinks: proof.facts.uplinks.filter((u) => u.owner !== "loft-router" && u.owner !== "printer") },
    };
    const apart = readScene(design, cut);
    expect(apart.islands.map((b) => b.id)).toEqual(["loft-router"]);
    expect(apart.loose.map((t) => t.id)).toEqual(["printer"]);
    const [setUp] = design.setUps;
    const without = {
      ...design,
      setUps: [{ ...setUp, boxes: setUp?.boxes.filter((b) => b.box !== "studio-point") ?? [] }],
    } as typeof design;
    expect(readScene(without, proof).unused).toEqual([
      { id: "studio-point", name: "Studio access point" },
      { id: "old-router", name: "Old router from the cellar" },
    ]);
  });

  it("walls guests off within the terrace of their router", () => {
    const guest = (a: (typeof proof.facts.addresses)[number]) =>
      a.owner === "kitchen-phone" ? { ...a, segment: "hall-gateway:guest" } : a;
    const ruler = {
      segment: "hall-gateway:guest",
      subnet: "192.168.30.0/24",
      hosts: "192.168.30.1-192.168.30.254",
      pools: [{ router: "hall-gateway:guest", range: "192.168.30.20-192.168.30.99", on: true, leased: 1 }],
      marks: [],
      free: [],
      router: "hall-gateway:guest",
      gateway: "192.168.30.1",
      dnsServers: ["192.168.30.1"],
    };
    const segment = {
      id: "hall-gateway:guest",
      subnets: ["192.168.30.0/24"],
      boxes: ["hall-gateway"],
      devices: ["kitchen-phone"],
      servers: [],
      above: "street",
    };
    const hall = readScene(design, {
      ...proof,
      facts: {
        ...proof.facts,
        addresses: proof.facts.addresses.map(guest),
        rulers: [...proof.facts.rulers, ruler],
        segments: [...proof.facts.segments, segment],
      },
    }).roots[0];
    expect(hall?.walled).toMatchObject([
      { title: "192.168.30.0/24", details: "guests · 1 device · pool .20–.99", tokens: [{ id: "kitchen-phone" }] },
    ]);
    expect(hall?.tokens.map((t) => t.id)).not.toContain("kitchen-phone");
  });

  it("draws a cable that no one hangs by as an extra one", () => {
    const ring = {
      ...proof,
      facts: {
        ...proof.facts,
        links: [
          ...proof.facts.links,
          {
            id: "x",
            kind: "cable" as const,
            a: "hall-gateway/lan4",
            b: "studio-point/lan1",
            atMostMbps: null,
            inRing: true,
            passesPublic: false,
          },
        ],
      },
    };
    expect(readScene(design, ring).extra).toMatchObject([{ from: "hall-gateway/lan4", to: "studio-point/lan1", link: { ring: true } }]);
  });

  it("writes beside a router what NAT it does, as it is counted in the proof", () => {
    const words = (nats: Proof["facts"]["nats"]) =>
      readScene(design, { ...proof, facts: { ...proof.facts, nats } })
        .roots.flatMap(all)
        .flatMap((b) => (b.step ? [`${b.id}: ${natWords(b.step)}`] : []));
    const [hall, loft] = ["hall-gateway", "loft-router"];
    expect(words(proof.facts.nats)).toEqual([`${hall}: NAT`, `${loft}: double NAT`]);
    expect(
      words([
        { router: hall, does: false, number: null },
        { router: loft, does: true, number: null },
      ]),
    ).toEqual([`${hall}: no NAT`, `${loft}: would do NAT`]);
    expect(words([{ router: loft, does: true, number: 1 }])).toEqual([`${loft}: NAT`]);
  });

  it("steps above the internet line where the provider does NAT", () => {
    const shared = { ...design, site: { ...design.site, service: { kind: "carrierNat" as const } } };
    expect(readScene(shared, proof).service.carrier).toBe(true);
  });
});

describe("words of the drawing", () => {
  it.each([
    ["192.168.8.20-192.168.8.199", ".20–.199"],
    ["10.20.4.0-10.20.9.255", ".4.0–.9.255"],
    ["192.168.8.7-192.168.8.7", ".7–.7"],
  ])("shortens the pool %s to %s", (range, said) => expect(poolWords(range)).toBe(said));

  it.each([
    [100, "100 Mb/s"],
    [1000, "1 Gb/s"],
    [2500, "2.5 Gb/s"],
  ])("says %i as %s", (mbps, said) => expect(rate(mbps)).toBe(said));

  it.each([
    [{ medium: "cat6", lengthMetres: 14 }, 1000, undefined, "Cat 6 · 14 m · 1 Gb/s"],
    [{ medium: "powerline" }, 150, undefined, "powerline · at most 150 Mb/s"],
    [{ medium: "powerline" }, 150, 60, "powerline · ≈ 60 Mb/s"],
    [{ medium: "unknown" }, null, undefined, ""],
    [{ medium: "unknown", lengthMetres: 3 }, 100, undefined, "3 m · 100 Mb/s"],
  ] as const)("says of %j at %s, %s: %s", (cable, atMostMbps, usual, said) =>
    expect(
      cableWords({ id: "c", from: "a", to: "b", ...cable } as never, {
        id: "c",
        kind: "cable",
        a: "a",
        b: "b",
        atMostMbps,
        inRing: false,
        passesPublic: false,
        ...(usual ? { arrives: { low: 30, usual, high: 150 } } : {}),
      }),
    ).toBe(said),
  );

  it("says how strongly a Wi-Fi is received and what arrives", () => {
    const signal = { dbm: -66.6, spreadDb: 7, basis: "walls" as const, differs: false, use: "calls" as const };
    const links = proof.facts.links.map((l) =>
      l.id === "wifi:kitchen-phone" ? { ...l, signal, arrives: { low: 90, usual: 212.4, high: 400 } } : l,
    );
    const heard = readScene(design, { ...proof, facts: { ...proof.facts, links } });
    const token = heard.roots
      .flatMap(all)
      .flatMap((b) => b.tokens)
      .find((t) => t.id === "kitchen-phone");
    expect(token?.room).toBe("calls -67 · Kitchen");
    expect(token?.link?.words).toMatch(/^Wi-Fi "pottery", .* · calls -67 dBm, about 212 Mb\/s$/);
  });

  it("reads a token out", () => {
    const token = box("hall-gateway").tokens.find((t) => t.id === "printer");
    expect(token && tokenWords(token)).toBe("Printer, 192.168.8.31, Hall, internet: yes");
  });

  it("draws the laptop, and what a box is at, in a moment", () => {
    const facts = {
      ...proof.facts,
      uplinks: [...proof.facts.uplinks, { owner: ":laptop", link: ":laptop@hall-gateway/lan4", to: "hall-gateway", outer: false }],
      links: [
        ...proof.facts.links,
        {
          id: ":laptop@hall-gateway/lan4",
          kind: "cable" as const,
          a: ":laptop",
          b: "hall-gateway/lan4",
          atMostMbps: null,
          inRing: false,
          passesPublic: false,
        },
      ],
    };
    const moment = {
      off: ["studio-point"],
      busy: [
        { box: "loft-router", kind: "starting" as const, seconds: 20 },
        { box: "studio-point", kind: "saving" as const, seconds: 20 },
      ],
    };
    const then = readScene(design, { ...proof, facts }, moment);
    const drawn = then.roots.flatMap(all);
    const laptop = drawn.find((b) => b.id === "hall-gateway")?.tokens.find((t) => t.id === ":laptop");
    expect([laptop?.name, laptop?.port, laptop?.link?.words]).toEqual(["Your laptop, by cable", "hall-gateway/lan4", "your lead"]);
    expect(drawn.map((b) => [b.id, b.mode])).toEqual([
      ["hall-gateway", "Router"],
      ["loft-router", "Router · starting"],
      ["studio-point", "Access point · off"],
    ]);
    expect(all(scene.roots[0] as SceneBox).flatMap((b) => b.tokens.map((t) => t.id))).not.toContain(":laptop");
  });
});
