import { ChakraProvider } from "@chakra-ui/react";
import { fireEvent, render, screen, waitFor } from "@testing-library/react";
import { beforeEach, describe, expect, it, vi } from "vitest";
import type { Design, Proof } from "../../../api/client";
import { system } from "../../../ui/theme";
import { demo } from "../../shared/__tests__/demo";
import type { Choice } from "../../terraces/choice";
import { AddressRule } from "../AddressRule";
import { candidatesOf, rulerOf } from "../candidates";
import { jobTools } from "../../shared/__tests__/fixtures";

vi.stubGlobal(
  "ResizeObserver",
  class {
    observe = vi.fn();
    disconnect = vi.fn();
  },
);
beforeEach(() => {
  localStorage.clear();
  window.innerHeight = 1000;
});

const { design, proof } = demo();
/** The demo's first ruler as a large one. */
const wide: Proof = {
  ...proof,
  facts: {
    ...proof.facts,
    rulers: proof.facts.rulers.map((r) => ({
      ...r,
      subnet: "10.20.0.0/16",
      hosts: "10.20.0.1-10.20.255.254",
      pools: r.pools.map((p) => ({ ...p, range: "10.20.4.0-10.20.4.200" })),
      marks: r.marks.map((m) => ({ ...m, address: m.address.replace("192.168.8", "10.20.0") })),
      free: ["10.20.0.2-10.20.3.255"],
    })),
  },
};

function show(choice: Choice | null = null, of: Proof = proof, at: Design = design) {
  const tools = jobTools();
  const choose = vi.fn();
  render(
    <ChakraProvider value={system}>
      <AddressRule design={at} proof={of} kept={of} choice={choice} choose={choose} tools={tools} />
    </ChakraProvider>,
  );
  return { tools, choose };
}

const end = (which: "First" | "Last") => screen.getByRole("slider", { name: `${which} address of the pool of Hall gateway` });

describe("the address rule", () => {
  it("says what is spoken for, what clashes and what is free", () => {
    show();
    const rule = screen.getByRole("region", { name: "Address rule" });
    expect(rule).toHaveTextContent("free: .2–.19 .200–.254");
    expect(rule).toHaveTextContent("clash at .24");
    expect(rule).toHaveTextContent("1 reserved");
    expect(end("Last")).toHaveAttribute("aria-valuetext", "192.168.8.199");
  });

  it("tries the pool's end while it moves and keeps it on Enter, once", async () => {
    const { tools } = show();
    fireEvent.keyDown(end("Last"), { key: "PageDown" });
    fireEvent.keyDown(end("Last"), { key: "ArrowLeft" });
    expect(tools.attempt).toHaveBeenLastCalledWith([{ kind: "movePool", box: "hall-gateway", last: "192.168.8.188" }]);
    expect(tools.save).not.toHaveBeenCalled();
    fireEvent.keyDown(end("Last"), { key: "Enter" });
    fireEvent.blur(end("Last"));
    expect(tools.save).toHaveBeenCalledExactlyOnceWith([{ kind: "movePool", box: "hall-gateway", last: "192.168.8.188" }]);
    await waitFor(() => expect(end("Last")).toHaveAttribute("aria-valuetext", "192.168.8.199"));
  });

  it("gives the pool up on Escape, and never lets its ends pass each other", () => {
    const { tools } = show();
    for (let i = 0; i < 30; i++) {
      fireEvent.keyDown(end("First"), { key: "PageUp" });
    }
    expect(end("First")).toHaveAttribute("aria-valuetext", "192.168.8.199");
    fireEvent.keyDown(end("First"), { key: "Escape" });
    expect(tools.attempt).toHaveBeenLastCalledWith(null);
    expect(end("First")).toHaveAttribute("aria-valuetext", "192.168.8.20");
    expect(tools.save).not.toHaveBeenCalled();
  });

  it("steps from free address to free address and gives it to whom is chosen", () => {
    const { tools } = show({ kind: "box", id: "studio-point" });
    const field = screen.getByRole("textbox", { name: "Address to give" });
    expect(field).toHaveValue("192.168.8.2");
    for (let i = 0; i < 18; i++) {
      fireEvent.keyDown(field, { key: "ArrowUp" });
    }
    expect(field).toHaveValue("192.168.8.200");
    fireEvent.click(screen.getByRole("button", { name: "Give it" }));
    expect(tools.act).toHaveBeenCalledWith([
      {
        kind: "setPageAddress",
        box: "studio-point",
        address: { kind: "fixed", address: "192.168.8.200/24", gateway: "192.168.8.1", dnsServers: ["192.168.8.1"] },
      },
    ]);
  });

  it("waits with half an address", () => {
    const { tools } = show();
    fireEvent.change(screen.getByRole("textbox", { name: "Address to give" }), { target: { value: "192.168." } });
    expect(screen.getByRole("button", { name: "Give it" })).toBeDisabled();
    fireEvent.keyDown(screen.getByRole("textbox", { name: "Address to give" }), { key: "Enter" });
    expect(tools.act).not.toHaveBeenCalled();
  });

  it("shows a large subnet part by part", () => {
    show(null, wide);
    expect(screen.queryByRole("slider")).toBeNull();
    fireEvent.change(screen.getByRole("combobox", { name: "Part of the subnet" }), {
      target: { value: String(10 * 2 ** 24 + 20 * 2 ** 16 + 4 * 256) },
    });
    expect(end("Last")).toHaveAttribute("aria-valuetext", "10.20.4.200");
    fireEvent.click(screen.getByRole("button", { name: "The part before" }));
    expect(screen.queryByRole("slider")).toBeNull();
  });

  it("folds to a strip that says the same in one line, and stays so", () => {
    show();
    fireEvent.click(screen.getByRole("button", { name: "Fold" }));
    expect(screen.queryByRole("slider")).toBeNull();
    expect(screen.getByRole("img")).toHaveAccessibleName(/^pool \.20–\.199 of Hall gateway, \d+ in use, 1 clash$/);
    expect(localStorage.getItem("altrin-address-rule")).toBe("off");
  });

  it.each([
    [800, 0],
    [900, 2],
  ])("leaves the room to the drawing in a window of %i px: %i ends to move", (height, ends) => {
    window.innerHeight = height;
    show();
    expect(screen.queryAllByRole("slider")).toHaveLength(ends);
  });

  it("says so where no router hands out a subnet", () => {
    show(null, { ...proof, facts: { ...proof.facts, rulers: [] } });
    expect(screen.getByText(/no address rule/)).toBeInTheDocument();
  });
});

describe("who can be given an address", () => {
  const ruler = proof.facts.rulers.find((r) => r.segment === "hall-gateway");
  const made = Object.fromEntries((ruler ? candidatesOf(design, proof, ruler) : []).map((c) => [c.key, c.give("192.168.8.9")[0]]));
  it.each([
    ["hall-gateway lan", { kind: "setLanAddress", box: "hall-gateway", address: "192.168.8.9/24" }],
    ["studio-point page", { kind: "setPageAddress", box: "studio-point" }],
    ["loft-router wan", { kind: "setWan", box: "loft-router" }],
    ["printer device", { kind: "setDeviceAddress", device: "printer" }],
  ])("%s", (key, change) => expect(made[key]).toMatchObject(change));

  it("gets the router of the subnet as gateway and DNS server, but for that router's own WAN side", () => {
    const own = { gateway: "192.168.8.1", dnsServers: ["192.168.8.1"] };
    expect(made["printer device"]).toMatchObject({ address: { kind: "fixed", address: "192.168.8.9/24", ...own } });
    const addresses = proof.facts.addresses.map((a) =>
      a.owner === "hall-gateway" && a.side === "wan" ? { ...a, segment: "hall-gateway" } : a,
    );
    const looped = ruler ? candidatesOf(design, { ...proof, facts: { ...proof.facts, addresses } }, ruler) : [];
    const wan = looped.find((c) => c.key === "hall-gateway wan")?.give("192.168.8.9")[0];
    expect(wan).toMatchObject({ kind: "setWan", address: { gateway: null, dnsServers: [] } });
  });

  it.each([
    [null, "hall-gateway"],
    [{ kind: "box", id: "loft-router" }, "loft-router"],
    [{ kind: "terrace", id: "loft-router" }, "loft-router"],
    [{ kind: "device", id: "printer" }, "hall-gateway"],
    [{ kind: "finding", id: "loop(loft-router)" }, "hall-gateway"],
  ])("looks, with %j chosen, at the subnet of %s", (choice, segment) => expect(rulerOf(design, proof, choice)?.segment).toBe(segment));
});
