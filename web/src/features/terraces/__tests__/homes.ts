import type { Scene, SceneBox, SceneLink, SceneToken } from "../scene";

/** Small scenes in a few words. */
export const link = (id: string, kind: SceneLink["kind"] = "cable", words = "Cat 6 · 14 m · 1 Gb/s"): SceneLink => ({
  id,
  kind,
  words,
  ring: false,
  passed: false,
});

export const token = (id: string, port: string | null): SceneToken => ({
  id,
  name: id,
  kind: "phone",
  address: { how: "lease", address: ".20–.199" },
  internet: "yes",
  link: link(port ? `c-${id}` : `wifi:${id}`, port ? "cable" : "wifi"),
  port,
  flags: [],
  room: "Hall",
});

interface BoxParts {
  step?: number | null;
  rulers?: string[];
  ports?: number;
  children?: SceneBox[];
  tokens?: SceneToken[];
  up?: string | null;
  guests?: SceneToken[];
  /** The box that it joins by radio, in place of a port. */
  radio?: string;
}

/** A box with an outer port "wan" and inner ports "1", "2" …; `up` names the port at the other end of its uplink. */
export function box(
  id: string,
  { step, rulers = ["192.168.8.0/24"], ports = 4, children = [], tokens = [], up = "street", guests, radio }: BoxParts = {},
): SceneBox {
  const inner = Array.from({ length: ports }, (_, i) => ({
    id: `${id}/${i + 1}`,
    label: String(i + 1),
    up: false,
    cable: null as string | null,
  }));
  for (const port of inner) {
    port.cable =
      tokens.find((t) => t.port === port.id)?.link?.id ?? children.find((c) => c.uplink?.fromPort === port.id)?.uplink?.link.id ?? null;
  }
  return {
    id,
    name: id,
    mode: step === undefined ? "Access point" : "Router",
    outside: step === undefined ? null : { how: "lease", address: ".2–.254" },
    own: { how: "", address: "192.168.8.1/24" },
    wifi: 'Wi-Fi "home"',
    step:
      step === undefined
        ? null
        : {
            segment: id,
            nat: true,
            number: step,
            rulers: rulers.map((subnet) => ({ subnet, details: "4 devices · pool .20–.199", twice: false })),
          },
    ports: [{ id: `${id}/wan`, label: "in", up: true, cable: up && !radio ? `u-${id}` : null }, ...inner],
    hidden: 0,
    uplink: radio
      ? { link: link(`radio:${id}`, "radio", "radio, 5 GHz · 4 addresses"), port: id, fromPort: radio }
      : up
        ? { link: link(`u-${id}`), port: `${id}/wan`, fromPort: up }
        : null,
    tokens,
    walled: guests ? [{ segment: `${id}:guest`, title: "192.168.30.0/24", details: "guests, kept apart", tokens: guests }] : [],
    children,
    flags: [],
    room: null,
  };
}

export const scene = (roots: SceneBox[], more: Partial<Scene> = {}): Scene => ({
  service: { title: "Street", details: "500 / 100 Mb/s sold", carrier: false, flags: [], cable: "u" },
  roots,
  atStreet: [],
  islands: [],
  loose: [],
  unused: [],
  extra: [],
  ...more,
});

/** Every shape of territory that the drawing knows. */
export const shapes: Record<string, Scene> = {
  "a flat home": scene([
    box("gw", { step: 1, tokens: [token("printer", "gw/3"), token("phone", null)], children: [box("ap", { up: "gw/1" })] }),
  ]),
  "siblings side by side": scene([
    box("gw", {
      step: 1,
      children: [
        box("left", { up: "gw/1", step: 2, tokens: [token("a", "left/1")] }),
        box("right", { up: "gw/2", step: 2, tokens: [token("b", "right/1")] }),
      ],
    }),
  ]),
  "three steps": scene([
    box("gw", {
      step: 1,
      children: [box("mid", { up: "gw/1", step: 2, children: [box("low", { up: "mid/1", step: 3, tokens: [token("a", null)] })] })],
    }),
  ]),
  "a guest network": scene([
    box("gw", { step: 1, tokens: [token("tv", "gw/1")], guests: [token("visitor", null), token("other visitor", null)] }),
  ]),
  "an island": scene([box("gw", { step: 1 })], { islands: [box("lost", { up: null, step: null, tokens: [token("a", "lost/1")] })] }),
  "the carrier's step": scene([box("gw", { step: 2, tokens: [token("a", null)] })], {
    service: { title: "Street", details: "", carrier: true, flags: [], cable: "u" },
  }),
  "two subnets on one wire": scene([
    box("gw", { step: 1, rulers: ["192.168.8.0/24", "192.168.20.0/24"], children: [box("in", { up: "gw/1" })] }),
  ]),
  "both sides on one wire": scene([box("gw", { step: 1, children: [box("in", { up: "gw/1" })] })], {
    extra: [{ link: { ...link("back"), ring: true }, from: "gw/2", to: "in/1" }],
  }),
};
