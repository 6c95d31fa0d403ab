import { ChakraProvider } from "@chakra-ui/react";
import { act, fireEvent, render, screen } from "@testing-library/react";
import { beforeAll, describe, expect, it, vi } from "vitest";
import { system } from "../../../ui/theme";
import { demo } from "../../shared/__tests__/demo";
import type { Choice } from "../choice";
import { layout, type Drawing } from "../layout";
import { readScene } from "../readScene";
import { Terraces, type Patching } from "../Terraces";

beforeAll(() => {
  vi.stubGlobal("CSS", { escape: (s: string) => s.replace(/[/:]/g, "\\$&") });
});

const { design, proof } = demo();
const drawing = (folded = false) =>
  layout(readScene(design, proof), { room: { w: 880, h: 520 }, least: 0.3, folded: () => folded, compact: folded, rooms: false });

function show({
  choice = null,
  from = null,
  folded = false,
  of = drawing(folded),
}: { choice?: Choice | null; from?: string | null; folded?: boolean; of?: Drawing } = {}) {
  const choose = vi.fn();
  const fold = vi.fn();
  const patching: Patching = { from, start: vi.fn(), finish: vi.fn(), over: vi.fn() };
  render(
    <ChakraProvider value={system}>
      <Terraces
        drawing={of}
        zoom={1}
        least={900}
        choice={choice}
        choose={choose}
        path={{ links: new Set(), slowest: null }}
        changed={new Set()}
        spoken={new Set(["loft-router"])}
        patching={patching}
        fold={fold}
        portName={(id) => `Port ${id}`}
        linkName={(id) => `Cable ${id}`}
      />
    </ChakraProvider>,
  );
  return { choose, fold, patching };
}

const thing = (name: RegExp | string) => screen.getByRole("button", { name });

describe("the terraces", () => {
  it("announce what a box is, both its addresses, how often it translates, and what is wrong with it", () => {
    show();
    expect(thing(/^Loft router, Router, outside lease \.20–\.199, 192\.168\.8\.1\/24, double NAT, finding \d/)).toBeInTheDocument();
    expect(thing(/^Printer, 192\.168\.8\.31, Hall, internet: yes/)).toBeInTheDocument();
    expect(thing(/^Terrace 192\.168\.8\.0\/24, 4 devices/)).toBeInTheDocument();
  });

  it("have one stop for the tabulator, and arrow keys for the rest", () => {
    show();
    const stops = screen.getAllByRole("button").filter((b) => b.getAttribute("tabindex") === "0");
    expect(stops).toHaveLength(1);
    const start = stops[0] as HTMLElement;
    start.focus();
    fireEvent.keyDown(start, { key: "ArrowDown" });
    expect(document.activeElement).not.toBe(start);
    expect(document.activeElement?.getAttribute("tabindex")).toBe("0");
    expect(start.getAttribute("tabindex")).toBe("-1");
  });

  it.each([
    ["box", /^Hall gateway/, { kind: "box", id: "hall-gateway" }],
    ["device", /^Printer/, { kind: "device", id: "printer" }],
    ["port", "Port hall-gateway/lan4", { kind: "port", id: "hall-gateway/lan4" }],
    ["cable", "Cable hall-gateway-lan1-loft-router-wan", { kind: "cable", id: "hall-gateway-lan1-loft-router-wan" }],
    ["terrace", /^Terrace .*4 devices/, { kind: "terrace", id: "hall-gateway" }],
  ] as const)("choose a %s by pressing it and by Enter", (_, name, choice) => {
    const { choose } = show();
    fireEvent.click(thing(name));
    expect(choose).toHaveBeenLastCalledWith(choice);
    fireEvent.keyDown(thing(name), { key: "Enter" });
    expect(choose).toHaveBeenCalledTimes(2);
  });

  it("let go of what is chosen, by pressing it again and by Escape", () => {
    const { choose } = show({ choice: { kind: "box", id: "hall-gateway" } });
    expect(thing(/^Hall gateway/)).toHaveAttribute("aria-pressed", "true");
    fireEvent.click(thing(/^Hall gateway/));
    fireEvent.keyDown(thing(/^Printer/), { key: "Escape" });
    expect(choose.mock.calls).toEqual([[null], [null]]);
  });

  it("end a cable only where one can end", () => {
    const { patching, choose } = show({ from: "hall-gateway/lan4" });
    expect(thing("Port studio-point/lan1").getAttribute("class")).toContain("inviting");
    expect(thing("Port hall-gateway/lan1").getAttribute("class")).not.toContain("inviting");
    fireEvent.click(thing("Port hall-gateway/lan1"));
    expect(choose).toHaveBeenCalledWith({ kind: "port", id: "hall-gateway/lan1" });
    expect(patching.finish).not.toHaveBeenCalled();
    fireEvent.click(thing("Port studio-point/lan1"));
    fireEvent.click(thing(/^Wheel tablet/));
    expect(vi.mocked(patching.finish).mock.calls).toEqual([
      ["hall-gateway/lan4", "studio-point/lan1"],
      ["hall-gateway/lan4", "wheel-tablet"],
    ]);
  });

  it("try a cable out where the arrow keys point, and give it up on Escape", () => {
    const { patching } = show({ from: "hall-gateway/lan4" });
    const port = thing("Port studio-point/lan1");
    act(() => port.focus());
    fireEvent.keyDown(port, { key: "ArrowRight" });
    expect(patching.over).toHaveBeenLastCalledWith("studio-point/lan2");
    fireEvent.keyDown(port, { key: "Escape" });
    expect(patching.start).toHaveBeenCalledWith(null);
  });

  it("show what a finding is about", () => {
    show();
    expect(thing(/^Loft router/).getAttribute("class")).toContain("spoken");
    expect(thing(/^Hall gateway/).getAttribute("class")).not.toContain("spoken");
  });

  it("show what is not in use, to be taken into use", () => {
    const [setUp] = design.setUps;
    const without = {
      ...design,
      setUps: [{ ...setUp, boxes: setUp?.boxes.filter((b) => b.box !== "studio-point") ?? [] }],
    } as typeof design;
    const facts = { ...proof.facts, uplinks: proof.facts.uplinks.filter((u) => u.owner !== "studio-point" && u.to !== "studio-point") };
    const { choose } = show({
      of: layout(readScene(without, { ...proof, facts }), {
        room: { w: 880, h: 520 },
        least: 0.3,
        folded: () => false,
        compact: false,
        rooms: false,
      }),
    });
    fireEvent.click(thing("Studio access point, not in use"));
    expect(choose).toHaveBeenCalledWith({ kind: "box", id: "studio-point" });
  });

  it("fold the devices of a box, and count them then", () => {
    const { fold } = show({ folded: true });
    expect(screen.queryByRole("button", { name: /^Printer/ })).toBeNull();
    fireEvent.click(thing("Show the 3 devices of Hall gateway"));
    expect(fold).toHaveBeenCalledWith("hall-gateway");
  });
});
