import ICAL from "ical.js";
import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";

// The calendar that the program writes, as approved in its own tests, read by a reader that is not ours.
const approved = JSON.parse(
  readFileSync("../tests/Altrin.Formats.Tests/__snapshots__/pottery-house.calendar.snap", "utf8").replace(/^\uFEFF/, ""),
) as string[];
const calendar = new ICAL.Component(ICAL.parse(approved.join("\r\n")) as unknown[]);
const events = calendar.getAllSubcomponents("vevent").map((e) => new ICAL.Event(e));

describe("the calendar of a run sheet", () => {
  it("has an event for each part of the evening, one after the other from the start", () => {
    const parts = events.filter((e) => !e.summary.includes("internet away"));
    expect(parts.length).toBeGreaterThan(2);
    expect(parts[0]?.startDate.toString()).toBe("2026-12-04T19:00:00");
    for (const [i, part] of parts.entries()) {
      expect(part.duration.toSeconds()).toBeGreaterThan(0);
      expect(parts[i + 1]?.startDate.compare(part.endDate) ?? 0).toBe(0);
    }
    expect(parts.every((p) => p.summary.startsWith("Pottery house: "))).toBe(true);
    // The steps in their order, then what is proven, which has no order.
    const lines = parts.flatMap((p) => p.description.split("\n"));
    const steps = lines.indexOf("To be proven at the end:");
    expect(lines.slice(0, steps).map((l) => Number.parseInt(l, 10))).toEqual(Array.from({ length: steps }, (_, i) => i + 1));
    expect(steps).toBeGreaterThan(parts.length);
    const proven = lines.slice(steps + 1);
    expect(proven.length).toBeGreaterThan(5);
    expect(proven.every((l) => /^[A-Z][^.]*\. \S/.test(l))).toBe(true);
  });

  it("says when the internet is away, within the evening", () => {
    const away = events.find((e) => e.summary.includes("internet away"));
    const [first, last] = [events[0]?.startDate, events.at(-2)?.endDate];
    expect(away && first && away.startDate.compare(first)).toBe(1);
    expect(away && last && away.endDate.compare(last)).toBeLessThanOrEqual(0);
  });

  it("tells every event apart and keeps lines within 75 octets (RFC 5545, section 3.1)", () => {
    expect(new Set(events.map((e) => e.uid)).size).toBe(events.length);
    expect(approved.every((l) => new TextEncoder().encode(l).length <= 75)).toBe(true);
    expect(calendar.getFirstPropertyValue("version")).toBe("2.0");
  });
});
