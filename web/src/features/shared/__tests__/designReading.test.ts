import { describe, expect, it } from "vitest";
import type { Design, Schemas } from "../../../api/client";
import { addressText, endName, freeEnds } from "../designReading";
import { part } from "./fixtures";

const design = part<Design>({
  site: {
    boxes: [
      {
        id: "gw",
        name: "Gateway",
        profile: {
          ports: [
            { id: "wan", label: "in" },
            { id: "lan1", label: "1" },
          ],
        },
      },
      { id: "spare", name: "Spare", profile: { ports: [{ id: "lan1", label: "1" }] } },
    ],
    devices: [{ id: "printer", name: "Printer" }],
  },
  setUps: [{ boxes: [{ box: "gw" }], cables: [{ id: "c", from: "street", to: "gw/wan" }], devices: [] }],
});

describe("designReading", () => {
  it.each([
    ["gw/lan1", "port 1 of Gateway"],
    ["printer", "Printer"],
    ["street", "the internet line"],
    ["gone/lan1", "gone"],
  ])("calls %s %s", (end, name) => expect(endName(design, end)).toBe(name));

  it("offers free ports of boxes in use, devices and the internet line, not the shelf's", () =>
    expect(freeEnds(design)).toEqual(["gw/lan1", "printer", "street"]));

  it.each<[Schemas["AddressFact"]["origin"], string, string]>([
    ["fixed", "192.168.8.5/24", "fixed"],
    ["reserved", "192.168.8.5/24", "reserved by Gateway"],
    ["leased", "192.168.8.5/24", "leased by Gateway, one of 192.168.8.20 to 192.168.8.30"],
    ["selfAssigned", "169.254.x.x", "no DHCP server answers"],
    ["none", "no address", "not connected"],
  ])("words an address that is %s", (origin, text, how) => {
    const fact = part<Schemas["AddressFact"]>({
      owner: "printer",
      origin,
      address: "192.168.8.5",
      prefixLength: 24,
      servers: ["gw"],
      from: "192.168.8.20-192.168.8.30",
    });
    expect(addressText(design, fact)).toEqual({ text, how });
    if (origin === "leased") {
      const ofRange = { text: "one of 192.168.8.20 to 192.168.8.30", how: "leased by Gateway" };
      expect(addressText(design, { ...fact, address: null })).toEqual(ofRange);
    }
  });
});
