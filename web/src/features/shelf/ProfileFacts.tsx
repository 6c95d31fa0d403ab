import { Box, chakra } from "@chakra-ui/react";
import type { Schemas } from "../../api/client";
import {
  addressAfterWords,
  bandWords,
  capital,
  generationWords,
  loginWords,
  modeWords,
  pageSideWords,
  phaseWords,
  powerWords,
  resetWords,
  securityWords,
} from "../../ui/words";
import { inWords, useSettings, type SettingView } from "./useSettings";

type Profile = Schemas["ProfileDocument"];
type Known = Schemas["Known"];

const habitWords: Record<string, [string, string]> = {
  checksOffer: ["its DHCP server tries an address before it offers it", "its DHCP server offers addresses untried"],
  checksLease: ["tries a leased address before using it", "uses a leased address untried"],
  answersAcross: ["answers on one side for its address on the other", "answers on each side for that side only"],
  checksReversePath: ["drops what comes from the wrong side", "takes packets from any side"],
  answersPings: ["answers pings on its WAN side", "does not answer pings on its WAN side"],
  forwardsOutside: ["its firewall forwards from WAN to WAN", "its firewall drops what goes from WAN to WAN"],
  firewallWithoutNat: ["its firewall stays on while NAT is off", "its firewall goes off with NAT"],
  servesWhenAlone: [
    "its DHCP server switches itself on in access-point mode when it hears no other",
    "its DHCP server stays off in access-point mode",
  ],
  guestsApart: ["isolates guests in access-point mode", "does not isolate guests in access-point mode"],
  loopsBack: ["has hairpin NAT", "has no hairpin NAT"],
  leasesThrough: ["leases get through its radio link", "leases through its radio link are unreliable"],
  stopsRings: ["stops its radio link beside a cable", "does not notice a cable beside its radio link"],
  keepsOthers: ["its other ports keep the internet in IP pass-through", "its other ports lose the internet in IP pass-through"],
  wifiOffWhilePassing: ["its Wi-Fi goes off in IP pass-through", "its Wi-Fi stays on in IP pass-through"],
  keepsServices: ["telephone and the like go on in bridge mode", "telephone and the like stop in bridge mode"],
  announcesIpv6: ["goes on announcing IPv6 when it no longer routes", "announces no IPv6 when it does not route"],
};

const overlapWords: Record<Schemas["OverlapHabit"], string> = {
  unknown: "not known",
  carriesOn: "carries on",
  refuses: "refuses an overlapping WAN address",
  renumbers: "changes its own subnet",
};

/** What a save of a page does; nothing of what was not found out. */
const does = (known: Known | undefined, yes: string, no: string) => (known === "yes" ? [yes] : known === "no" ? [no] : []);

/** What a profile says, row by row; what was not found out is left out. */
export function profileRows(profile: Profile, settings: readonly SettingView[]): [string, string[]][] {
  const { traits } = profile;
  const words = (sets: readonly Schemas["Setting"][]) => inWords(settings, sets);
  const seconds = (n: number | null | undefined, what: string) => (n === null || n === undefined ? [] : [`${what} ${n} s`]);
  const habits = Object.entries(profile.habits ?? {}).flatMap(([key, value]) => {
    const words = habitWords[key];
    return words && typeof value === "boolean" ? [words[value ? 0 : 1]] : [];
  });
  const power = traits?.power;
  const rows: [string, string[]][] = [
    ["Modes", profile.modes.map((m) => modeWords[m])],
    [
      "Ports",
      profile.ports.map((p) => `${p.label}: ${p.role === "wan" ? "WAN port" : "LAN port"}${p.speedMbps ? `, ${p.speedMbps} Mb/s` : ""}`),
    ],
    [
      "Radios",
      profile.radios.map((r) =>
        [
          bandWords[r.band],
          r.generation && r.generation !== "unknown" ? generationWords[r.generation] : "",
          r.streams ? `${r.streams} ${r.streams === 1 ? "stream" : "streams"}` : "",
          r.widestMhz ? `up to ${r.widestMhz} MHz` : "",
          r.mostNames ? `up to ${r.mostNames} ${r.mostNames === 1 ? "name" : "names"}` : "",
          r.newestSecurity ? securityWords[r.newestSecurity] : "",
          r.fourAddress ? "four addresses" : "",
        ]
          .filter((x) => x !== "")
          .join(", "),
      ),
    ],
    [
      "After a reset",
      [
        profile.factoryAddress ? `page at ${profile.factoryAddress}` : "",
        profile.factoryPool ? `hands out ${profile.factoryPool}` : "",
        traits?.namePattern ? `sends "${traits.namePattern}"` : "",
        traits?.login ? loginWords[traits.login] : "",
      ].filter((x) => x !== ""),
    ],
    [
      "Reset",
      traits?.reset
        ? [
            `${resetWords[traits.reset.by]}${traits.reset.holdSeconds ? `, held ${traits.reset.holdSeconds} s` : ""}`,
            ...(traits.reset.shortPressPairs === "yes" ? ["a short press starts pairing"] : []),
            ...(traits.reset.keeps
              ? [traits.reset.keeps.length === 0 ? "nothing comes back by itself" : `${words(traits.reset.keeps)} comes back`]
              : []),
          ]
        : [],
    ],
    [
      "Times",
      [
        ...seconds(traits?.bootSeconds, "starts in"),
        ...seconds(traits?.saveSeconds, "saves in"),
        ...seconds(traits?.rebootSeconds, "restarts in"),
      ],
    ],
    [
      "In each mode",
      (traits?.effects ?? []).map((e) =>
        [modeWords[e.mode], addressAfterWords[e.address], e.menu ? `under ${e.menu}` : "", e.then ?? ""]
          .filter((x) => x !== "")
          .join(": ")
          .replace(/: (?=.*: )/g, ", ")
          .concat(e.clears ? `; clears ${e.clears.length === 0 ? "nothing" : words(e.clears)}` : ""),
      ),
    ],
    [
      "Pages",
      (traits?.pages ?? []).map((p) =>
        [
          `${p.area}: ${words(p.sets)}`,
          ...(p.modes ? [`as ${p.modes.map((m) => modeWords[m].toLowerCase()).join(" or ")}`] : []),
          ...does(p.restarts, "a save restarts it", "a save does not restart it"),
          ...does(p.dropsWifi, "and drops Wi-Fi", "and keeps Wi-Fi"),
          ...seconds(p.saveSeconds, "in"),
        ].join("; "),
      ),
    ],
    ["Pages open from", (traits?.pageSides ?? []).map((s) => pageSideWords[s])],
    [
      "Only in its application",
      traits?.app
        ? [
            words(traits.app.sets),
            ...does(traits.app.account, "asks for an account", "asks for no account"),
            ...does(traits.app.bluetooth, "needs Bluetooth", "needs no Bluetooth"),
            ...does(traits.app.mobileData, "with mobile data on", "with mobile data off"),
            ...does(traits.app.internetFirst, "needs internet before anything can be set", "can be set without internet"),
          ]
        : [],
    ],
    [
      "Passes its address on",
      (profile.passes ?? []).map((p) => ({ port: "by port", macAddress: "by MAC address", mapping: "by mapping" })[p]),
    ],
    ["Routes", profile.routesMbps ? [`at most ${profile.routesMbps} Mb/s`] : []],
    ["Keeps for itself", (profile.keptPorts ?? []).map((p) => `port ${p}`)],
    [
      "By itself",
      [...habits, ...(profile.habits?.onOverlap ? [`with one subnet on both sides: ${overlapWords[profile.habits.onOverlap]}`] : [])],
    ],
    ["Lights", (traits?.lights ?? []).map((l) => `${phaseWords[l.phase]}: ${l.light} ${l.shows} = ${l.means}`)],
    [
      "Other MAC addresses",
      (traits?.neighbours ?? []).map(
        (n) => `${n.side}: label ${n.offset >= 0 ? "+" : "−"} ${Math.abs(n.offset)}${n.local ? ", local bit set" : ""}`,
      ),
    ],
    [
      "Power",
      [
        power?.takes ? `takes ${powerWords[power.takes]}${power.needsWatts ? `, ${power.needsWatts} W` : ""}` : "",
        power?.gives ? `gives ${powerWords[power.gives]}${power.budgetWatts ? `, ${power.budgetWatts} W in all` : ""}` : "",
        power?.ownPlug === "yes" ? "has a plug of its own" : "",
        traits?.watts ? `draws about ${traits.watts} W` : "",
      ].filter((x) => x !== ""),
    ],
    [
      "Stands",
      [
        traits?.leastCelsius !== null &&
        traits?.leastCelsius !== undefined &&
        traits.mostCelsius !== null &&
        traits.mostCelsius !== undefined
          ? `${traits.leastCelsius} to ${traits.mostCelsius} °C`
          : "",
        traits?.outdoors === "yes" ? "outdoors" : traits?.outdoors === "no" ? "indoors only" : "",
      ].filter((x) => x !== ""),
    ],
    ["Kit", profile.kit ? [profile.kit] : []],
  ];
  return rows.filter(([, said]) => said.length > 0);
}

/** What a kind of box can do and does, for reading. */
export function ProfileFacts({ profile }: { profile: Profile }) {
  const settings = useSettings();
  return (
    <Box
      as="dl"
      display="grid"
      gridTemplateColumns={{ base: "minmax(0, 1fr)", sm: "8.5rem minmax(0, 1fr)" }}
      columnGap="3"
      rowGap="1"
      fontSize="sm"
      mt="1"
    >
      {profileRows(profile, settings).map(([title, said]) => (
        <Box key={title} display="contents">
          <chakra.dt color="muted">{title}</chakra.dt>
          <chakra.dd>
            {said.map((s) => (
              <Box key={s}>{title === "Other MAC addresses" || title === "Ports" ? s : capital(s)}</Box>
            ))}
          </chakra.dd>
        </Box>
      ))}
    </Box>
  );
}
