import { ChakraProvider } from "@chakra-ui/react";
import { fireEvent, render, screen, within } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import type { Schemas } from "../../../api/client";
import { system } from "../../../ui/theme";
import { Ladder } from "../Ladder";
import { Moves } from "../Moves";
import { openProof, proof, state } from "./openProof";
import { part } from "../../shared/__tests__/fixtures";

// What the test's document lacks.
beforeEach(() => {
  Element.prototype.scrollIntoView = vi.fn();
  vi.stubGlobal(
    "ResizeObserver",
    class {
      observe = vi.fn();
      disconnect = vi.fn();
    },
  );
});
afterEach(() => {
  vi.unstubAllGlobals();
});

const entry = (owner: string, address: string | null, more: Partial<Schemas["BookEntry"]> = {}): Schemas["BookEntry"] => ({
  owner,
  name: owner,
  side: "device",
  segment: "gw",
  territory: "gw",
  origin: address ? "fixed" : "leased",
  address,
  from: address ? null : "192.168.8.20-192.168.8.199",
  prefixLength: 24,
  servers: address ? [] : ["gw"],
  gateway: "192.168.8.1",
  dnsServers: [],
  mac: null,
  clashes: false,
  ...more,
});

describe("ProofStation", () => {
  it("opens with the verdict, the needs and the internet of each device", () => {
    openProof("");
    expect(screen.getByRole("heading", { level: 1, name: "Will not work" })).toBeInTheDocument();
    expect(screen.getByRole("region", { name: "Ordinary internet, table" })).toHaveTextContent("Kitchen phone");
  });

  it("tells the first reasons, and all of them when they are asked for", async () => {
    const cause = (n: number) => ({ code: "no-lease", subjects: [`x${n}`], text: `Reason ${n}.` });
    const first = proof.facts.internet[0];
    if (!first) {
      throw new Error("the demo home has a device");
    }
    const answer = { kind: "no" as const, causes: [cause(1), cause(2), cause(3)], outcomes: [], moreCauses: 2 };
    const long = { ...first, answer, natBy: ["hall-gateway"], moreNatBy: 4 };
    const asked = openProof(
      "",
      { "/proof/device": { ...long, answer: { ...answer, causes: [1, 2, 3, 4, 5].map(cause), moreCauses: 0 } } },
      { ...state, proof: { ...proof, facts: { ...proof.facts, internet: [long] } } },
    );
    expect(screen.getByRole("region", { name: "Ordinary internet, table" })).toHaveTextContent(", and 4 more");
    expect(screen.queryByText("Reason 4.")).toBeNull();
    fireEvent.click(screen.getByRole("button", { name: "2 more reasons" }));
    expect(await screen.findByText("Reason 5.")).toBeInTheDocument();
    expect(screen.getByText("Reason 1.")).toBeInTheDocument();
    expect(asked).toContain(`/api/jobs/1/proof/device?setUp=${proof.setUp}&device=${first.device}`);
  });

  it("sorts addresses by their numbers", async () => {
    openProof("?part=addresses", { "/proof/addresses": [entry("a", "192.168.8.100"), entry("b", "192.168.8.9"), entry("c", null)] });
    const owners = () =>
      within(screen.getByRole("table"))
        .getAllByRole("row")
        .slice(1)
        .map((r) => r.textContent.slice(0, 1));
    expect(await screen.findByText("192.168.8.9/24")).toBeInTheDocument();
    fireEvent.click(screen.getByRole("button", { name: "Address" }));
    expect(owners()).toEqual(["b", "c", "a"]);
    fireEvent.click(screen.getByRole("button", { name: "Address" }));
    expect(owners()).toEqual(["a", "c", "b"]);
    fireEvent.change(screen.getByLabelText("Show only what contains"), { target: { value: "leased by GW" } });
    expect(owners()).toEqual(["c"]);
    fireEvent.change(screen.getByLabelText("Show only what contains"), { target: { value: "missing" } });
    expect(screen.getByText("Nothing contains that.")).toBeInTheDocument();
  });

  it("asks for the way that was chosen and says why it cannot", async () => {
    const asked = openProof("?part=reach&from=loft-console&to=printer", { "/proof/reach": { classes: [], cells: [] } });
    expect(await screen.findByText("Not that.")).toBeInTheDocument();
    expect(asked).toContain(`/api/jobs/1/proof/path?setUp=${proof.setUp}&from=loft-console&to=printer`);
  });

  it("says how fast a way is, where it is one", async () => {
    const path = { from: "loft-console", to: "loft-phone", sentence: "It gets there.", via: [], stoppedBy: null, links: [] };
    const rate = {
      from: "loft-console",
      to: "loft-phone",
      down: { low: 75, usual: 80, high: 85 },
      up: { low: 0, usual: null, high: 50 },
      limitDown: null,
      limitUp: null,
      says: "As measured.",
      parts: [],
      measured: { speed: "s", computedDown: { low: 1, usual: 2, high: 3 }, computedUp: { low: 1, usual: 2, high: 3 }, stands: "within" },
    };
    const asked = openProof("?part=reach&from=loft-console&to=loft-phone", {
      "/proof/reach": { classes: [], cells: [] },
      "/proof/path": { ...path, answer: { kind: "yes", causes: [], outcomes: [] } },
      "/proof/rate": rate,
    });
    expect(await screen.findByText("Measured: 80 Mb/s (75 to 85) down, 0 to 50 Mb/s up.")).toBeInTheDocument();
    expect(screen.getByText("As measured.")).toBeInTheDocument();
    expect(asked).toContain(`/api/jobs/1/proof/rate?setUp=${proof.setUp}&from=loft-console&to=loft-phone`);
  });

  it("shows what a trial comes to", async () => {
    const difference: Schemas["ProofDifference"] = { verdict: { kind: "willNotWork", sentence: "It breaks." }, moved: [], stayed: 0 };
    openProof("?part=whatIf&trial=off:gw", {
      "/proof/trials": [{ id: "off:gw", kind: "powerOff", label: "gw is off" }],
      "/proof/trial": { trial: { id: "off:gw", kind: "powerOff", label: "gw is off" }, how: "", phases: [{ when: "At once", difference }] },
    });
    expect(await screen.findByRole("heading", { name: "At once" })).toBeInTheDocument();
    expect(screen.getByText("Everything is as it was.")).toBeInTheDocument();
  });
});

const ladder: Schemas["LadderDocument"] = {
  kind: "lease",
  title: "a is leased an address",
  answer: { kind: "yes", causes: [], outcomes: [] },
  stoppedBy: null,
  actors: [
    { id: "a", name: "Laptop" },
    { id: "gw", name: "Gateway" },
  ],
  steps: [
    {
      number: 1,
      afterMs: 0,
      segment: "gw",
      from: "a",
      to: null,
      hears: ["gw"],
      kind: "lease",
      text: "Laptop asks everybody for an address",
      details: [{ label: "53 message", value: "discover" }],
    },
    {
      number: 2,
      afterMs: 43_200_000,
      segment: "gw",
      from: "gw",
      to: "a",
      hears: [],
      kind: "lease",
      text: "Gateway offers 192.168.8.20",
      details: [{ label: "53 message", value: "offer" }],
    },
  ],
  notes: [],
  wires: [],
};

describe("Ladder", () => {
  it("is gone through step by step, with what stands in each", () => {
    const stepTo = vi.fn();
    const shown = (step: number) => (
      <ChakraProvider value={system}>
        <Ladder ladder={ladder} step={step} stepTo={stepTo} />
      </ChakraProvider>
    );
    const { rerender } = render(shown(0));
    expect(screen.getByRole("region", { name: "What stands in it" })).toHaveTextContent("discover");
    expect(screen.getByRole("button", { name: /Step back/ })).toBeDisabled();
    fireEvent.click(screen.getByRole("button", { name: /Next step/ }));
    expect(stepTo).toHaveBeenCalledWith(1);
    rerender(shown(1));
    expect(screen.getByRole("region", { name: "What stands in it" })).toHaveTextContent("offer");
    expect(screen.getByRole("button", { name: /12 h/ })).toHaveAttribute("aria-current", "step");
    expect(screen.getByRole("button", { name: /Next step/ })).toBeDisabled();
  });

  it("stays within its steps", () => {
    render(
      <ChakraProvider value={system}>
        <Ladder ladder={ladder} step={99} stepTo={vi.fn()} />
      </ChakraProvider>,
    );
    expect(screen.getByText("2 of 2")).toBeInTheDocument();
  });
});

describe("Moves", () => {
  it("tells what got worse before what got better", () => {
    const moved = (trend: Schemas["Trend"], about: string): Schemas["Moved"] => ({
      kind: "internet",
      trend,
      about,
      before: "yes",
      after: "no",
      why: null,
      subjects: [],
    });
    render(
      <ChakraProvider value={system}>
        <Moves
          difference={{ verdict: { kind: "works", sentence: "So so." }, moved: [moved("better", "One"), moved("worse", "Two")], stayed: 1 }}
        />
      </ChakraProvider>,
    );
    expect(screen.getAllByRole("heading", { level: 3 }).map((h) => h.textContent)).toEqual(["▼ Got worse", "▲ Got better"]);
    expect(screen.getByText("1 answer about a device or need stayed as they were.")).toBeInTheDocument();
  });
});

describe("A set-up that was not proven", () => {
  it("says so and claims nothing else of it", () => {
    const facts = part<typeof proof.facts>(Object.fromEntries(Object.keys(proof.facts).map((k) => [k, []])));
    const unproven = {
      ...proof,
      facts,
      findings: [],
      verdict: { ...proof.verdict, kind: "notProven" as const, sentence: "This set-up cannot be proven. Undo takes the last change back." },
    };
    const asked = openProof("?part=addresses", {}, { ...state, proof: unproven });
    expect(screen.getByText("Not proven")).toBeTruthy();
    expect(screen.getByText(/Undo takes the last change back/)).toBeTruthy();
    expect(screen.queryByText(/Nothing beyond|No device|Who reaches/)).toBeNull();
    expect(asked).toEqual([]);
  });
});
