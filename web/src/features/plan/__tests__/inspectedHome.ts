import type { Design, Proof, Schemas } from "../../../api/client";
import { jobState, part } from "../../shared/__tests__/fixtures";

/** A further name of the gateway. */
export const kept: Schemas["FurtherName"] = { name: "kept", security: "wpa2", password: "kept-key" };

/** A gateway, a repeater and spare boxes, with a phone. */
export const design = part<Design>({
  site: {
    boxes: [
      {
        id: "gw",
        name: "Gateway",
        profile: {
          name: "Fibre gateway",
          passes: ["port", "macAddress"],
          modes: ["router", "bridge"],
          ports: [
            { id: "wan", label: "in", role: "wan" },
            { id: "lan1", label: "1", role: "lan" },
            { id: "lan2", label: "2", role: "lan" },
          ],
          radios: [{ id: "r5", band: "ghz5" }],
        },
      },
      {
        id: "rep",
        name: "Repeater",
        profile: {
          name: "Repeater",
          modes: ["repeater", "satellite"],
          kit: "kit",
          ports: [{ id: "lan1", label: "1" }],
          radios: [{ id: "r5", band: "ghz5" }],
        },
      },
      {
        id: "main",
        name: "Main",
        wanMac: "00:00:5e:00:53:99",
        profile: { name: "Node", kit: "kit", modes: ["router"], ports: [], radios: [{ id: "r5", band: "ghz5" }] },
      },
      { id: "spare", name: "Spare", profile: { name: "Switch", modes: ["switch"], ports: [{ id: "lan1", label: "1" }], radios: [] } },
    ],
    devices: [{ id: "phone", name: "Phone", kind: "phone" }],
    needs: [],
  },
  setUps: [
    {
      name: "planned",
      boxes: [
        {
          box: "gw",
          mode: "router",
          wan: { kind: "automatic" },
          lan: "192.168.8.1/24",
          dhcpServer: {
            on: true,
            pool: "192.168.8.20-192.168.8.199",
            reservations: [{ mac: "00:00:5e:00:53:01", address: "192.168.8.5" }],
          },
          routes: [{ to: "192.168.20.0/24", via: "192.168.8.3" }],
          forwards: [{ protocol: "tcp", outsidePort: 443, to: "192.168.8.5", insidePort: 443 }],
          radios: [{ radio: "r5", on: true, name: "home", security: "wpa2", password: "key", furtherNames: [kept] }],
        },
        { box: "main", mode: "router", radios: [{ radio: "r5", on: true, name: "attic", security: "wpa2", password: "attic-key" }] },
      ],
      cables: [{ id: "line", from: "street", to: "gw/wan", medium: "fibre" }],
      devices: [{ device: "phone", address: { kind: "automatic" }, wifi: { box: "gw", name: "old name", password: "key" } }],
    },
  ],
});

/** The phone does not get in. */
export const proof = part<Proof>({
  facts: {
    addresses: [{ owner: "phone", side: "device", segment: "phone", origin: "none", address: null, servers: [] }],
    internet: [
      {
        device: "phone",
        answer: { kind: "no", causes: [{ code: "wifi-not-joined", subjects: ["phone"], text: "Phone does not get in." }], outcomes: [] },
        natBy: [],
      },
    ],
  },
});
export const state = jobState({ design, proof: { ...proof, setUp: "planned" } });
