import { fireEvent, screen, waitFor, within } from "@testing-library/react";
import { describe, expect, it } from "vitest";
import type { Schemas } from "../../../api/client";
import { jobTools } from "../../shared/__tests__/fixtures";
import { openProof } from "./openProof";
import { dbmText, spanText, usualText } from "../../shared/airWords";

const level = (dbm: number, more: Partial<Schemas["SignalLevel"]> = {}): Schemas["SignalLevel"] => ({
  dbm,
  spreadDb: 6.7,
  basis: "walls",
  differs: false,
  use: dbm >= -67 ? "calls" : dbm >= -78 ? "web" : "weak",
  ...more,
});
const exactly = (mbps: number) => ({ low: mbps, usual: mbps, high: mbps });
const kept: Schemas["SpeedMeasure"] = {
  id: "",
  box: "studio-point",
  by: "cable",
  runs: 3,
  down: { median: 141, least: 138, most: 143 },
  up: null,
  from: null,
  port: null,
  to: null,
  place: "studio",
  stoodIn: "studio",
  setUp: "found",
  at: null,
};

const said: Schemas["SpeedAndAir"] = {
  rates: [
    {
      from: "wheel-tablet",
      to: ":internet",
      down: { low: 30, usual: 60, high: 110 },
      up: { low: 0, usual: null, high: 50 },
      limitDown: "mains",
      limitUp: "wifi:wheel-tablet",
      says: "The slowest part is the mains wiring.",
      measured: { speed: "speed-loft", computedDown: { low: 90, usual: 94, high: 110 }, computedUp: exactly(50), stands: "farBelow" },
      parts: [
        {
          id: "wifi:wheel-tablet",
          kind: "wifi",
          says: "the Wi-Fi of Studio access point",
          down: exactly(110),
          up: exactly(54),
          level: level(-41.3, { basis: "measured" }),
          back: level(-45),
          repeats: false,
          isMeasured: false,
        },
        {
          id: "mains",
          kind: "mains",
          says: "the mains wiring",
          down: exactly(60),
          up: exactly(60),
          level: null,
          back: null,
          repeats: true,
          isMeasured: true,
        },
      ],
    },
  ],
  radios: [
    {
      box: "studio-point",
      radio: "r24",
      band: "ghz2",
      channel: 6,
      widthMhz: 20,
      names: ["pottery"],
      beacons: 0.025,
      alone: 0.85,
      busy: 0.42,
      aloneAtLeast: 0.85,
      busyAtLeast: 0.42,
      mayDisturb: [],
      disturbers: [
        { box: "loft-router", name: "pottery-loft", channel: 6, levelDbm: -70, covers: 1, takes: 1, busyPercent: null },
        { box: null, name: "", channel: 6, levelDbm: -58, covers: 0.5, takes: 0.1, busyPercent: 33 },
      ],
      scannedIn: "studio",
    },
    {
      box: "loft-router",
      radio: "r24",
      band: "ghz2",
      channel: null,
      widthMhz: null,
      names: ["pottery-loft"],
      beacons: 0.025,
      alone: 0.97,
      busy: 0.97,
      aloneAtLeast: 0.61,
      busyAtLeast: 0.61,
      mayDisturb: [],
      disturbers: [],
      scannedIn: null,
    },
    {
      box: "studio-point",
      radio: "r5",
      band: "ghz5",
      channel: 44,
      widthMhz: null,
      names: ["pottery"],
      beacons: 0.004,
      alone: 0.99,
      busy: 0.99,
      aloneAtLeast: 0.99,
      busyAtLeast: 0.5,
      mayDisturb: [{ box: "loft-router", name: "pottery-loft", channel: 36, levelDbm: -70, covers: 1, takes: 1, busyPercent: null }],
      disturbers: [],
      scannedIn: null,
    },
  ],
  shares: [
    {
      box: "studio-point",
      radio: "r24",
      eachMbps: 8.4,
      withoutSlowestMbps: 31,
      isUneven: true,
      devices: [
        { device: "kiln-controller", aloneMbps: 12, part: 0.7 },
        { device: "wheel-tablet", aloneMbps: 60, part: 0.15 },
        { device: "printer", aloneMbps: 60, part: 0.15 },
      ],
    },
  ],
  places: [
    {
      place: "studio",
      heard: [
        {
          box: "studio-point",
          radio: "r5",
          band: "ghz5",
          name: "pottery",
          level: level(-43, { differs: true, computedDbm: -30.2, computedSpreadDb: 6.7 }),
        },
        { box: "hall-gateway", radio: "r24", band: "ghz2", name: "pottery", level: level(-74) },
      ],
      notKnown: 1,
    },
    { place: "kitchen", heard: [], notKnown: 3 },
  ],
  levels: { callsDbm: -67, pagesDbm: -78, movingDbm: -70 },
  walks: [
    {
      name: "pottery",
      from: "hall",
      to: "studio",
      box: "hall-gateway",
      levelDbm: -68,
      does: "stays",
      finds: "studio-point",
      says: "From Hall to Studio a device mostly stays with Hall gateway.",
    },
    {
      name: "pottery-loft",
      from: "loft-room",
      to: "studio",
      box: "loft-router",
      levelDbm: -88,
      does: "cutOff",
      finds: "studio-point",
      says: "Loft router is lost.",
    },
  ],
  limits: [{ device: "kiln-controller", bands: ["ghz2"], newestSecurity: "wpa2", oldest: true }],
  held: [
    {
      kept: {
        ...kept,
        id: "speed-studio",
        by: "cable",
        port: "lan1",
        up: { median: 47, least: 46, most: 48 },
        at: "2026-05-04T16:40Z",
      },
      computed: {
        from: ":laptop",
        to: ":internet",
        down: { low: 30, usual: 60, high: 150 },
        up: exactly(50),
        limitDown: "mains",
        limitUp: "mains",
        says: "",
        parts: [],
        measured: null,
      },
      whyNot: null,
      stands: "within",
    },
    {
      kept: {
        ...kept,
        id: "speed-loft",
        by: "ghz5",
        from: "wheel-tablet",
        runs: 1,
        down: { median: 8.26, least: 8.26, most: 8.26 },
        to: "printer",
      },
      computed: null,
      whyNot: "Studio access point stands elsewhere now.",
      stands: null,
    },
  ],
  names: [
    {
      name: "pottery",
      groups: 2,
      senders: [
        {
          box: "hall-gateway",
          radio: "r24",
          band: "ghz2",
          security: "wpa2",
          password: "home-key",
          guest: false,
          segment: "hall-gateway",
          group: 1,
        },
        {
          box: "studio-point",
          radio: "r24",
          band: "ghz2",
          security: "wpa3",
          password: null,
          guest: true,
          segment: "hall-gateway",
          group: 2,
        },
      ],
    },
  ],
  bands: [
    {
      band: "ghz2",
      lowMhz: 2400,
      highMhz: 2484,
      channels: Array.from({ length: 13 }, (_, i) => ({ channel: i + 1, mhz: 2412 + 5 * i })),
      networks: [
        { box: "studio-point", name: "pottery", channel: 6, widthMhz: 20, lowMhz: 2427, highMhz: 2447, levelDbm: null, heard: false },
        { box: null, name: "mill lane 7", channel: 11, widthMhz: 20, lowMhz: 2452, highMhz: 2472, levelDbm: -58, heard: true },
      ],
    },
  ],
};

const none: Schemas["ChannelPlan"] = { radios: [], places: [], changes: [], isBest: true };

describe("Speed and air", () => {
  it("tells speeds with what they rest on, and a way part by part", async () => {
    openProof("?part=air", { "/proof/speed": said });
    const rates = await screen.findByRole("region", { name: "Expected speed, table" });
    expect(rates).toHaveTextContent("60 Mb/s 30 to 110");
    expect(rates).toHaveTextContent("not known 0 to 50");
    expect(rates).not.toHaveTextContent("Studio access point");
    const opener = screen.getByRole("button", { name: "Wheel tablet" });
    expect(opener).toHaveAttribute("aria-expanded", "false");
    fireEvent.click(opener);
    expect(rates).toHaveTextContent("received at -41 dBm ± 7 dB, heard back at -45 dBm, measured");
    expect(rates).toHaveTextContent("▲ measured; computed 94 Mb/s (90 to 110)");
    expect(rates).toHaveTextContent("as measured over it");
    expect(rates).toHaveTextContent("on the radio of the hop before, which sends each frame twice");
    expect(within(rates).getAllByText("▲ the slowest part")).toHaveLength(1);
    fireEvent.click(opener);
    expect(rates).not.toHaveTextContent("received at");
  });

  it("tells what is heard, who shares the air, and which name only looks like one network", async () => {
    openProof("?part=air", { "/proof/speed": said });
    const heard = await screen.findByRole("region", { name: "What is heard, table" });
    expect(within(heard).getAllByRole("columnheader")).toHaveLength(3);
    expect(heard.parentElement).toHaveTextContent("calls and video from -67 dBm on · ◐ web pages · ○ weak, below -78 dBm");
    expect(heard).toHaveTextContent("● calls -43 dBm ± 7");
    expect(heard).toHaveTextContent("computed -30 dBm ± 7");
    expect(heard).toHaveTextContent("◐ web -74 dBm");
    expect(heard).toHaveTextContent("3 radios: level not known");
    const radios = screen.getByRole("region", { name: "Radios, table" });
    expect(radios).toHaveTextContent("42 % while all are busy");
    expect(radios).toHaveTextContent(
      "a neighbour that hides its name on channel 6, -58 dBm, over 50 % of it; finds it busy 33 % of the time",
    );
    expect(radios).toHaveTextContent("neighbours as heard in Studio");
    expect(radios).toHaveTextContent("not known: it chooses its channel");
    expect(radios).toHaveTextContent("61 to 97 %");
    expect(radios).toHaveTextContent("99 %50 to 99 % while all are busy");
    expect(radios).toHaveTextContent("on channel 36, -70 dBm, over 100 % of it; only if wider than 20 MHz: width not noted");
    expect(radios).toHaveTextContent("8.4 Mb/s for each of 3Kiln controller takes 70 % of the time; without it each gets 31 Mb/s");
    expect(screen.getByRole("region", { name: "Wi-Fi names, table" })).toHaveTextContent("only looks like one: 2 groups");
    expect(screen.getByText(/WPA2, password "home-key", group 1/)).toBeInTheDocument();
    expect(screen.getByText(/WPA3, password not noted, for guests, group 2/)).toBeInTheDocument();
    const moving = screen.getByRole("region", { name: "Moving about" });
    expect(moving).toHaveTextContent("◇ Stays: From Hall to Studio a device mostly stays with Hall gateway.");
    expect(moving).toHaveTextContent("▲ Cut off: Loft router is lost.");
    expect(moving).toHaveTextContent("Kiln controller knows 2.4 GHz only; knows no newer security than WPA2; is of the 11 Mb/s class");
    expect(
      screen.getByRole("img", { name: /^2.4 GHz: Studio access point, channel 6, 20 MHz; neighbour mill lane 7/ }),
    ).toBeInTheDocument();
  });

  it("tells measured speeds beside what is computed, and forgets one", async () => {
    const tools = jobTools();
    openProof("?part=air", { "/proof/speed": said }, undefined, tools);
    const measured = await screen.findByRole("region", { name: "Measured speeds, table" });
    expect(measured).toHaveTextContent("Laptop in Studiocable at Studio access point; 4 May 2026");
    expect(measured).toHaveTextContent("141 Mb/s138 to 143, 3 runs47 Mb/s46 to 48✓ as computedcomputed 60 Mb/s (30 to 150)");
    expect(measured).toHaveTextContent("Wheel tablet in StudioWi-Fi 5 GHz at Studio access point, to Printer8.3 Mb/sone runnot measured");
    expect(measured).toHaveTextContent("says nothing of the home as it is: Studio access point stands elsewhere now.");
    fireEvent.click(screen.getByRole("button", { name: "Forget 8.3 Mb/s at Studio access point" }));
    expect(tools.correctNow).toHaveBeenCalledWith([{ kind: "remove", id: "speed-loft" }]);
  });

  it("plans channels beside what is set, and sets them in one act", async () => {
    const changes: Schemas["ChannelPlan"]["changes"] = [{ kind: "setRadio", box: "loft-router", radio: "r24", setting: { channel: 11 } }];
    const radio = {
      box: "loft-router",
      radio: "r24",
      band: "ghz2" as const,
      widthMhz: null,
      plannedMhz: 20,
      stays: null,
      radar: false,
      moves: false,
    };
    const plan: Schemas["ChannelPlan"] = {
      radios: [
        { ...radio, channel: 6, planned: 11, now: 0.42, then: 0.975, moves: true },
        {
          ...radio,
          box: "studio-point",
          band: "ghz5",
          channel: null,
          planned: 52,
          plannedMhz: 80,
          now: null,
          then: 0.99,
          radar: true,
          moves: true,
        },
        { ...radio, box: "hall-gateway", channel: 1, planned: 1, now: 0.9, then: 0.9, stays: "its kit chooses the channel" },
      ],
      places: [
        { place: "studio", nowMbps: 40, thenMbps: 90 },
        { place: "kitchen", nowMbps: 90, thenMbps: 90 },
      ],
      changes,
      isBest: false,
    };
    const tools = jobTools();
    openProof("?part=air", { "/proof/speed": said, "/proof/channels": plan }, undefined, tools);
    const table = await screen.findByRole("region", { name: "Channel plan, table" });
    expect(table).toHaveTextContent("Loft router 2.4 GHz6→ 11, 20 MHz42 % → 98 %");
    expect(table).toHaveTextContent("chooses itself→ 52, 80 MHz▲ radar comes first");
    expect(table).toHaveTextContent("planned around: its kit chooses the channel1as today90 % → 90 %");
    expect(screen.getByText(/While all are busy: Studio 40 → 90 Mb\/s$/)).toBeInTheDocument();
    expect(screen.getByText(/there may be a better plan/)).toBeInTheDocument();
    fireEvent.click(screen.getByRole("button", { name: "Set these channels" }));
    expect(tools.act).toHaveBeenCalledWith(changes);
  });

  it("says what to note where nothing is known", async () => {
    openProof("?part=air", {
      "/proof/speed": { ...said, rates: [], radios: [], places: [], names: [], bands: [], walks: [], limits: [], held: [] },
      "/proof/channels": none,
    });
    expect(await screen.findByText("No device gets to the internet.")).toBeInTheDocument();
    expect(screen.getByText(/No place is noted/)).toBeInTheDocument();
    expect(screen.getByRole("link", { name: /in the survey/ })).toHaveAttribute("href", expect.stringMatching(/survey$/));
    await waitFor(() => expect(screen.getAllByText("No radio sends.")).toHaveLength(2));
    expect(screen.getByText(/nothing is known of where anyone sends/)).toBeInTheDocument();
    expect(screen.getByText(/finds what serves it: it decides itself, usually near -70 dBm/)).toBeInTheDocument();
    expect(screen.getByRole("link", { name: "Note runs of a speed test" })).toHaveAttribute(
      "href",
      expect.stringMatching(/survey\?part=readings&show=speed$/),
    );
  });

  it.each([
    [exactly(94.15), "94 Mb/s", ""],
    [{ low: 4.26, usual: 6.04, high: 411 }, "6 Mb/s", "4.3 to 410"],
    [{ low: 0, usual: null, high: 1432 }, "not known", "0 to 1450"],
  ])("writes %o as %s", (span, usual, may) => {
    expect([usualText(span), spanText(span)]).toEqual([usual, may]);
    expect(dbmText(level(-66.6))).toBe("-67 dBm");
  });
});
