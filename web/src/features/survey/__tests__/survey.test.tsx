import { ChakraProvider } from "@chakra-ui/react";
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { fireEvent, render, screen, waitFor, within } from "@testing-library/react";
import type { ReactElement } from "react";
import { MemoryRouter } from "react-router";
import { afterEach, describe, expect, it, vi } from "vitest";
import type { Correction, Schemas } from "../../../api/client";
import { system } from "../../../ui/theme";
import { demo } from "../../shared/__tests__/demo";
import { profileRows } from "../../shelf/ProfileFacts";
import { SecretField } from "../../shared/SecretField";
import type { JobTools } from "../../shared/jobTools";
import { BoxSheet } from "../BoxSheet";
import { CountrySelect } from "../../shared/CountrySelect";
import { QuickField } from "../QuickField";
import { SettingsToday } from "../SettingsToday";
import { StoredHere } from "../StoredHere";
import { PlaceSheet } from "../ThingSheets";
import { jobState, jobTools } from "../../shared/__tests__/fixtures";
import { plan, view } from "./surveyed";

const { design, proof } = demo();
const state = jobState({ job: { id: 7 }, revision: 3, setUps: ["found"], design, proof });
const answers: Record<string, unknown> = {};

/** What is there by the making of the demo home. */
function there<T>(item: T | undefined): T {
  if (item === undefined) {
    throw new Error("The demo home has changed.");
  }
  return item;
}

/** Answers by the end of the address; anything else is not there. */
function serve() {
  const asked: { method: string; path: string; body: unknown }[] = [];
  vi.stubGlobal("fetch", async (request: Request) => {
    const path = new URL(request.url).pathname;
    asked.push({ method: request.method, path, body: request.body ? ((await request.json()) as unknown) : null });
    const key = Object.keys(answers).find((k) => path.endsWith(k));
    return new Response(
      JSON.stringify(key === undefined ? { type: "urn:altrin:problem:not-found", title: "Not there.", status: 404 } : answers[key]),
      { status: key === undefined ? 404 : 200, headers: { "content-type": "application/json" } },
    );
  });
  return asked;
}

afterEach(() => {
  vi.unstubAllGlobals();
  Object.keys(answers).forEach((k) => Reflect.deleteProperty(answers, k));
});

const show = (element: ReactElement) =>
  render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
      <ChakraProvider value={system}>
        <MemoryRouter>{element}</MemoryRouter>
      </ChakraProvider>
    </QueryClientProvider>,
  );

describe("The country of a home", () => {
  it("is picked by its name", async () => {
    answers["/api/countries"] = ["AT", "AX", "NZ"];
    serve();
    const picked = vi.fn();
    show(<CountrySelect value="NZ" onChange={picked} />);
    await screen.findByRole("option", { name: "Austria" });
    const field = screen.getByLabelText<HTMLSelectElement>("Country");
    expect([...field.options].map((o) => o.text)).toEqual(["not noted", "Åland Islands", "Austria", "New Zealand"]);
    expect(field.value).toBe("NZ");
    fireEvent.change(field, { target: { value: "AT" } });
    fireEvent.change(field, { target: { value: "" } });
    expect(picked.mock.calls).toEqual([["AT"], [null]]);
  });
});

describe("A quick line", () => {
  const field = (enter: JobTools["enter"], next = vi.fn()) => {
    show(<QuickField list="places" label="Places" example="Kitchen" state={state} tools={jobTools({ enter })} first={false} next={next} />);
    return screen.getByLabelText<HTMLInputElement>("Places");
  };

  it("is read while it is typed and taken on Enter, without waiting for the answer", async () => {
    answers["/survey/read"] = [
      {
        line: 1,
        parts: [
          { text: "Hall", means: "a name" },
          { text: "4x", means: null },
        ],
        error: "'4x' is not understood",
        column: 7,
      },
    ] satisfies Schemas["QuickLine"][];
    serve();
    const enter = vi.fn().mockReturnValue(new Promise(() => undefined));
    const input = field(enter);
    fireEvent.change(input, { target: { value: "Hall, 4x" } });
    expect(await screen.findByText("a name")).toBeVisible();
    // What is still being typed is no error.
    expect(screen.queryByText("'4x' is not understood")).toBeNull();
    fireEvent.keyDown(input, { key: "Enter" });
    expect(enter).toHaveBeenCalledWith("places", "Hall, 4x");
    expect(input.value).toBe("");
  });

  it("comes back line by line with the reason where it is refused, and is corrected there beside what is typed meanwhile", async () => {
    serve();
    const enter = vi.fn().mockRejectedValueOnce(new Error("'huge' is not understood here")).mockResolvedValue(undefined);
    const input = field(enter);
    fireEvent.paste(input, { clipboardData: { getData: () => "Hall, huge\nStudy, 3x3" } });
    expect(await screen.findByText("'huge' is not understood here")).toBeVisible();
    fireEvent.change(input, { target: { value: "Attic" } });
    const back = screen.getByLabelText<HTMLTextAreaElement>("Not added yet");
    expect(back.value).toBe("Hall, huge\nStudy, 3x3");
    fireEvent.change(back, { target: { value: "Hall, 2x4\nStudy, 3x3" } });
    fireEvent.click(screen.getByText("Add it"));
    expect(enter).toHaveBeenLastCalledWith("places", "Hall, 2x4\nStudy, 3x3");
    expect(input.value).toBe("Attic");
    expect(screen.queryByRole("alert")).toBeNull();
  });

  it("offers what may be meant, and one digit picks it", async () => {
    answers["/survey/read"] = [
      {
        line: 1,
        parts: [
          { text: "Box", means: "a name" },
          { text: "hub", means: "one of several kinds" },
        ],
        error: "'hub' may be one of two kinds",
        column: 6,
        offers: [
          { says: "Fibre gateway", line: "Box, Fibre gateway" },
          { says: "Desk switch", line: "Box, Desk switch" },
        ],
      },
    ] satisfies Schemas["QuickLine"][];
    serve();
    const enter = vi.fn().mockRejectedValueOnce(new Error("'hub' may be one of two kinds")).mockResolvedValue(undefined);
    const input = field(enter);
    fireEvent.change(input, { target: { value: "Box, hub" } });
    fireEvent.keyDown(input, { key: "Enter" });
    const second = await screen.findByRole("button", { name: "2 Desk switch" });
    expect(screen.getByRole("button", { name: "1 Fibre gateway" })).toHaveFocus();
    fireEvent.keyDown(second, { key: "9" });
    expect(enter).toHaveBeenCalledTimes(1);
    fireEvent.keyDown(second, { key: "2" });
    expect(enter).toHaveBeenLastCalledWith("places", "Box, Desk switch");
    expect(screen.queryByRole("alert")).toBeNull();
    expect(input).toHaveFocus();
  });

  it("goes on to the next list when it is empty, and takes a pasted list as it is", () => {
    serve();
    const [enter, next] = [vi.fn().mockResolvedValue(undefined), vi.fn()];
    const input = field(enter, next);
    fireEvent.keyDown(input, { key: "Enter" });
    expect(next).toHaveBeenCalledOnce();
    fireEvent.paste(input, { clipboardData: { getData: () => "Hall\nStudy" } });
    expect(enter).toHaveBeenCalledWith("places", "Hall\nStudy");
  });
});

describe("A key", () => {
  it("is shown only when asked for, and typed without being kept in the page", async () => {
    answers["/secrets"] = [{ reference: "wifi-key", state: "held", uses: [] }];
    answers["/shown"] = { value: "tamu4-riwe7" };
    const asked = serve();
    const refer = vi.fn().mockResolvedValue(undefined);
    show(<SecretField job={7} label="Wi-Fi password" name="wifi key" reference="wifi-key" refer={refer} />);
    fireEvent.click(await screen.findByRole("button", { name: "Show: Wi-Fi password" }));
    expect(await screen.findByText("tamu4-riwe7")).toBeVisible();
    expect(asked.find((a) => a.path.endsWith("/shown"))?.method).toBe("POST");
    fireEvent.click(screen.getByRole("button", { name: "Hide: Wi-Fi password" }));
    expect(screen.queryByText("tamu4-riwe7")).toBeNull();
    fireEvent.click(screen.getByRole("button", { name: "None: Wi-Fi password" }));
    expect(refer).toHaveBeenCalledWith(null);
  });

  it("that is typed gives its reference on and is forgotten", async () => {
    answers["/secrets"] = { reference: "wifi-key" };
    const asked = serve();
    const refer = vi.fn().mockResolvedValue(undefined);
    show(<SecretField job={7} label="Wi-Fi password" name="wifi key" reference={null} refer={refer} />);
    const input = screen.getByLabelText<HTMLInputElement>("Wi-Fi password");
    fireEvent.change(input, { target: { value: "kiln-and-wheel" } });
    fireEvent.keyDown(input, { key: "Enter" });
    await waitFor(() => expect(refer).toHaveBeenCalledWith("wifi-key"));
    await waitFor(() => expect(input.value).toBe(""));
    expect(asked.find((a) => a.method === "POST")?.body).toEqual({ value: "kiln-and-wheel", name: "wifi key" });
    fireEvent.click(screen.getByRole("button", { name: "Make one: Wi-Fi password" }));
    await waitFor(() => expect(asked.filter((a) => a.method === "POST").at(-1)?.body).toEqual({ value: null, name: "wifi key" }));
  });
});

describe("Corrections", () => {
  // One gesture, one member: whatever else the page read earlier is not sent back.
  it.each<[string, string, Correction]>([
    ["Name", "Gateway", { kind: "setBox", box: "hall-gateway", known: { name: "Gateway" } }],
    ["Firmware version", "5", { kind: "setLabel", box: "hall-gateway", label: { firmware: "5" } }],
  ])("of a box send what was typed under %s and nothing else", async (label, draft, correction) => {
    const correct = vi.fn<JobTools["correct"]>().mockResolvedValue(state);
    show(<BoxSheet box={there(design.site.boxes[0])} state={state} view={view} plan={plan} tools={jobTools({ correct, id: 1 })} />);
    const input = screen.getByLabelText(label);
    fireEvent.change(input, { target: { value: draft } });
    fireEvent.blur(input);
    await waitFor(() => expect(correct).toHaveBeenCalledExactlyOnceWith([correction]));
  });

  it("of a place keep its other numbers, and text that is no number stays in its field", async () => {
    const correct = vi.fn<JobTools["correct"]>().mockResolvedValue(state);
    const place = there(design.site.places?.[0]);
    show(<PlaceSheet place={place} state={state} view={view} tools={jobTools({ correct })} />);
    const input = screen.getByLabelText<HTMLInputElement>("West to east, in metres");
    fireEvent.change(input, { target: { value: "wide" } });
    fireEvent.blur(input);
    expect(await screen.findByText("Metres such as 4.5 are expected.")).toBeVisible();
    expect(correct).not.toHaveBeenCalled();
    fireEvent.change(input, { target: { value: "4,5" } });
    fireEvent.blur(input);
    await waitFor(() => expect(correct).toHaveBeenCalledWith([{ kind: "setPlace", place: place.id, known: { lengthMetres: 4.5 } }]));
  });
});

describe("How a box is set today", () => {
  const found: Schemas["BoxAsFound"] = {
    box: "hall-gateway",
    settings: {
      lanAddress: "192.168.8.1/24",
      dhcpServer: true,
      poolFirst: "192.168.8.20",
      poolLast: "192.168.8.199",
      wifiName: "Lantern",
      wifiPassword: null,
    },
    assumed: ["poolFirst", "poolLast"],
    elsewhere: ["planned has the pool 192.168.8.50-192.168.8.99."],
  };

  it("says what is assumed and what the plan has, and takes what was read", async () => {
    const correct = vi.fn<JobTools["correct"]>().mockResolvedValue(state);
    const correctNow = vi.fn<JobTools["correctNow"]>();
    show(<SettingsToday found={found} state={state} tools={jobTools({ correct, correctNow })} />);
    expect(screen.getAllByText("assumed, not read yet")).toHaveLength(2);
    expect(screen.getByText("planned has the pool 192.168.8.50-192.168.8.99.")).toBeVisible();
    const input = screen.getByLabelText("DHCP pool, first address");
    fireEvent.change(input, { target: { value: "192.168.8.30" } });
    fireEvent.blur(input);
    await waitFor(() =>
      expect(correct).toHaveBeenCalledExactlyOnceWith([{ kind: "setFound", box: "hall-gateway", read: { poolFirst: "192.168.8.30" } }]),
    );
    // What is confirmed is what was assumed, and nothing else.
    fireEvent.click(screen.getByText("It is set as assumed"));
    expect(correctNow).toHaveBeenCalledWith([
      { kind: "setFound", box: "hall-gateway", read: { poolFirst: "192.168.8.20", poolLast: "192.168.8.199" } },
    ]);
  });

  it("hides the pool of a server that is off", () => {
    show(
      <SettingsToday
        found={{ ...found, settings: { ...found.settings, dhcpServer: false }, assumed: [], elsewhere: [] }}
        state={state}
        tools={jobTools()}
      />,
    );
    expect(screen.queryByLabelText("DHCP pool, first address")).toBeNull();
    expect(screen.queryByText("It is set as assumed")).toBeNull();
  });
});

describe("What a spare box holds", () => {
  const box = there(design.site.boxes.find((b) => b.id === "old-router"));
  const holding = (stored: typeof box.stored) => {
    const [correct, correctNow] = [vi.fn().mockResolvedValue(undefined), vi.fn()];
    show(<StoredHere box={{ ...box, stored }} state={state} tools={jobTools({ correct, correctNow })} />);
    return { correct, correctNow };
  };

  it("is asked in one question, and in detail for its last home only", () => {
    const { correctNow } = holding(undefined);
    expect(screen.queryByLabelText("Set to")).toBeNull();
    fireEvent.change(screen.getByLabelText("It was left with"), { target: { value: "lastHome" } });
    expect(correctNow).toHaveBeenCalledExactlyOnceWith([{ kind: "setStored", box: box.id, stored: { state: "lastHome" } }]);
  });

  it("is noted value by value", async () => {
    const { correct, correctNow } = holding({ state: "lastHome", mode: "router", dhcpServer: true });
    const address = screen.getByLabelText("Its address there, with its mask");
    fireEvent.change(address, { target: { value: "192.168.1.2/24" } });
    fireEvent.keyDown(address, { key: "Enter" });
    fireEvent.blur(address);
    await waitFor(() =>
      expect(correct).toHaveBeenCalledExactlyOnceWith([{ kind: "setStored", box: box.id, stored: { address: "192.168.1.2/24" } }]),
    );
    expect(screen.getByLabelText<HTMLSelectElement>("DHCP server on").value).toBe("yes");
    fireEvent.change(screen.getByLabelText("Set to"), { target: { value: "unknown" } });
    expect(correctNow).toHaveBeenCalledExactlyOnceWith([{ kind: "setStored", box: box.id, stored: { mode: null } }]);
  });
});

describe("The air in a place", () => {
  const place = there(design.site.places?.[0]);

  it("is shown with whose each network is and how exact its level is, and can be forgotten", () => {
    const correctNow = vi.fn();
    const air: Schemas["PlaceAir"] = {
      place: place.id,
      at: "2026-05-04T16:30Z",
      says: "Of neighbours: 2.4 GHz channel 6: 1, strongest -61 dBm.",
      rows: [
        {
          network: { name: "house", radio: null, band: "ghz5", channel: 44, levelDbm: -48, eitherDb: 3, security: "wpa2" },
          box: "hall-gateway",
          own: true,
        },
        { network: { name: "house", radio: null, eitherDb: 0 }, box: null, own: true },
        { network: { name: "", radio: null, band: "ghz2", channel: 6, levelDbm: -61, eitherDb: 0 }, box: null, own: false },
      ],
    };
    const heard = { ...place, air: { at: air.at, networks: [] } };
    show(<PlaceSheet place={heard} state={state} view={{ ...view, air: [air] }} tools={jobTools({ correctNow })} />);
    const cells = screen.getAllByRole("row").map((row) =>
      within(row)
        .queryAllByRole("cell")
        .map((c) => c.textContent),
    );
    expect(cells.slice(1)).toEqual([
      ["houseWPA2", "Hall gateway", "445 GHz", "-48 dBm± 3 dB"],
      ["house", "this home, by its name", "not told", "not told"],
      ["hides its name", "neighbours", "62.4 GHz", "-61 dBm"],
    ]);
    fireEvent.click(screen.getByRole("button", { name: "Forget what was heard here" }));
    expect(correctNow).toHaveBeenCalledExactlyOnceWith([{ kind: "setPlace", place: heard.id, known: { air: null } }]);
  });

  it("says how to come by it where it was not looked at", () => {
    show(<PlaceSheet place={place} state={state} view={view} tools={jobTools()} />);
    expect(screen.getByRole("link", { name: "Take a reading" }).getAttribute("href")).toContain("part=readings");
  });
});

describe("The facts of a kind", () => {
  it("leave out what was not found out", () => {
    const old = there(design.site.boxes.find((b) => b.id === "old-router"));
    const settings = [{ setting: "wdsPeers" as const, words: "WDS peers", modes: ["router" as const] }];
    const rows = new Map(profileRows(old.profile, settings));
    expect(rows.get("Reset")).toEqual(["pin hole, held 30 s", "nothing comes back by itself"]);
    expect(rows.get("Pages")).toContain("WDS: WDS peers; as router; a save restarts it; and drops Wi-Fi");
    expect(rows.get("In each mode")).toEqual(["Router: keeps its address; clears nothing"]);
    expect(rows.get("By itself")).toContain("uses a leased address untried");
    expect(rows.has("Kit")).toBe(false);
    expect(new Map(profileRows(there(design.site.boxes.find((b) => b.id === "studio-point")).profile, settings)).has("Lights")).toBe(false);
  });
});
