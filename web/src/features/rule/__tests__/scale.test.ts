import { describe, expect, it } from "vitest";
import { addressAt, nextFree, rangeText, stretchOf, stretchOfSubnet, ticks, toAddress, toNumber, windowAt, within, xOf } from "../scale";

describe("the scale of an address rule", () => {
  it.each(["0.0.0.0", "192.168.8.1", "255.255.255.255", "10.20.30.40"])("reads and writes %s", (address) =>
    expect(toAddress(toNumber(address))).toBe(address),
  );

  it.each([
    ["192.168.8.0/29", 8],
    ["192.168.8.0/24", 256],
    ["192.168.0.0/16", 65536],
    ["0.0.0.0/0", 2 ** 32],
  ])("knows how many addresses %s has", (subnet, count) => {
    const { first, last } = stretchOfSubnet(subnet);
    expect(last - first + 1).toBe(count);
  });

  it.each([
    ["192.168.8.0/29", "192.168.8.3", "192.168.8.0-192.168.8.7"],
    ["192.168.8.0/24", "192.168.8.3", "192.168.8.0-192.168.8.255"],
    ["192.168.0.0/16", "192.168.8.3", "192.168.8.0-192.168.8.255"],
    ["192.168.0.0/16", "10.0.0.1", "192.168.0.0-192.168.0.255"],
    ["192.168.0.0/16", "203.0.113.1", "192.168.255.0-192.168.255.255"],
  ])("shows of %s the part around %s", (subnet, address, expected) =>
    expect(rangeText(windowAt(stretchOfSubnet(subnet), toNumber(address)))).toBe(expected),
  );

  it("finds under the pixel of an address that address", () => {
    for (const subnet of ["192.168.8.0/29", "192.168.8.128/25", "10.0.0.0/24"]) {
      const shown = stretchOfSubnet(subnet);
      for (let a = shown.first; a <= shown.last; a++) {
        expect(addressAt(shown, 733, xOf(shown, 733, a))).toBe(a);
      }
      expect(addressAt(shown, 733, -50)).toBe(shown.first);
      expect(addressAt(shown, 733, 9999)).toBe(shown.last);
    }
  });

  it.each([
    [8, 300],
    [256, 300],
    [256, 860],
    [64, 500],
  ])("numbers %i addresses on %i pixels without crowding", (count, width) => {
    const marks = ticks({ first: 0, last: count - 1 }, width);
    expect(marks.length).toBeGreaterThan(1);
    expect((((marks[1] ?? 0) - (marks[0] ?? 0)) / count) * width).toBeGreaterThanOrEqual(44);
  });

  it("steps from free address to free address and no further", () => {
    const free = [stretchOf("10.0.0.2-10.0.0.3"), stretchOf("10.0.0.9-10.0.0.10")];
    const walk = (from: string, up: boolean) => toAddress(nextFree(free, toNumber(from), up) ?? 0);
    expect([walk("10.0.0.2", true), walk("10.0.0.3", true), walk("10.0.0.10", true)]).toEqual(["10.0.0.3", "10.0.0.9", "10.0.0.10"]);
    expect([walk("10.0.0.10", false), walk("10.0.0.9", false), walk("10.0.0.2", false)]).toEqual(["10.0.0.9", "10.0.0.3", "10.0.0.2"]);
    expect(nextFree([], 5, true)).toBeNull();
  });

  it("cuts what is not shown", () => {
    expect(within({ first: 5, last: 20 }, { first: 10, last: 15 })).toEqual({ first: 10, last: 15 });
    expect(within({ first: 5, last: 9 }, { first: 10, last: 15 })).toBeNull();
  });
});
