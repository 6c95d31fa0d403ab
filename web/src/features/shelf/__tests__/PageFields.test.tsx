import { ChakraProvider } from "@chakra-ui/react";
import { fireEvent, render, screen, within } from "@testing-library/react";
import { expect, it, vi } from "vitest";
import type { Schemas } from "../../../api/client";
import { system } from "../../../ui/theme";
import { PageFields } from "../PageFields";
import type { SettingView } from "../useSettings";

const settings: SettingView[] = [
  { setting: "mode", words: "mode", modes: ["router", "accessPoint"] },
  { setting: "lanAddress", words: "LAN address", modes: ["router"] },
  { setting: "wifiName", words: "Wi-Fi name", modes: ["router", "accessPoint"] },
  { setting: "uplink", words: "radio link", modes: ["repeater"] },
];

function show(traits: Schemas["Traits"]) {
  const set = vi.fn<(parts: Partial<Schemas["Traits"]>) => void>();
  render(
    <ChakraProvider value={system}>
      <PageFields traits={traits} modes={["router", "accessPoint"]} settings={settings} set={set} />
    </ChakraProvider>,
  );
  return set;
}

const traits: Schemas["Traits"] = {
  pages: [
    { area: "LAN", sets: ["lanAddress"], modes: ["router"], restarts: "yes" },
    { area: "wireless", sets: ["wifiName"] },
  ],
  pageSides: ["wifi"],
  effects: [{ mode: "accessPoint", address: "leased", clears: ["wifiName"] }],
};

const choose = (box: HTMLElement, label: string, value: string) =>
  fireEvent.change(within(box).getByLabelText(label), { target: { value } });

it("says what each page sets, and changes one page only", () => {
  const set = show(traits);
  const wireless = screen.getByRole("group", { name: "Page wireless" });
  expect(within(wireless).getByText("Sets Wi-Fi name")).toBeDefined();
  choose(wireless, "Save drops Wi-Fi", "yes");
  expect(set).toHaveBeenLastCalledWith({ pages: [traits.pages?.[0], { area: "wireless", sets: ["wifiName"], dropsWifi: "yes" }] });
  fireEvent.click(within(wireless).getByLabelText("LAN address"));
  expect(set).toHaveBeenLastCalledWith({ pages: [traits.pages?.[0], { area: "wireless", sets: ["lanAddress", "wifiName"] }] });
  // What no mode of it has is not offered.
  expect(within(wireless).queryByLabelText("radio link")).toBeNull();
  fireEvent.click(within(wireless).getByText("Remove this page"));
  expect(set).toHaveBeenLastCalledWith({ pages: [traits.pages?.[0]] });
});

it("notes in which modes a page is there, and none where it is in all", () => {
  const set = show(traits);
  const lan = screen.getByRole("group", { name: "Page LAN" });
  fireEvent.click(within(lan).getByLabelText("Access point"));
  expect(set).toHaveBeenLastCalledWith({ pages: [{ ...traits.pages?.[0], modes: null }, traits.pages?.[1]] });
});

it("notes from where pages open, and what a mode clears", () => {
  const set = show(traits);
  fireEvent.click(screen.getByLabelText("a LAN cable"));
  expect(set).toHaveBeenLastCalledWith({ pageSides: ["cable", "wifi"] });
  const mode = screen.getByLabelText("Setting it to access point clears");
  expect((mode as HTMLSelectElement).value).toBe("these");
  fireEvent.change(mode, { target: { value: "nothing" } });
  expect(set).toHaveBeenLastCalledWith({ effects: [{ mode: "accessPoint", address: "leased", clears: [] }] });
  fireEvent.change(screen.getByLabelText("Setting it to router clears"), { target: { value: "nothing" } });
  expect(set).toHaveBeenLastCalledWith({ effects: [traits.effects?.[0], { mode: "router", address: "unknown", clears: [] }] });
});

it("says what is assumed where nothing is noted", () => {
  const set = show({});
  expect(screen.getByText(/one setting a save is assumed, each with a restart/)).toBeDefined();
  fireEvent.click(screen.getByText("Add a page"));
  expect(set).toHaveBeenLastCalledWith({ pages: [{ area: "", sets: [] }] });
});
