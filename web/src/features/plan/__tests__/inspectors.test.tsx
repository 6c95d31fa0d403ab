import { ChakraProvider } from "@chakra-ui/react";
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { fireEvent, render, screen, within } from "@testing-library/react";
import type { ReactElement } from "react";
import { afterEach, describe, expect, it, vi } from "vitest";
import type { Change, Design, Schemas } from "../../../api/client";
import { system } from "../../../ui/theme";
import type { JobTools } from "../../shared/jobTools";
import { BoxInspector } from "../BoxInspector";
import { DeviceInspector } from "../DeviceInspector";
import { GearList } from "../GearList";
import { jobState, jobTools, part } from "../../shared/__tests__/fixtures";
import { design, kept, proof, state } from "./inspectedHome";

type Setting = Design["setUps"][0]["boxes"][0];

/** What the server says that a box could join; the list fills with what was asked. */
function hears(choices: Partial<Schemas["JoinChoices"]>): string[] {
  const asked: string[] = [];
  vi.stubGlobal("fetch", (request: Request) => {
    const { pathname, search } = new URL(request.url);
    if (!pathname.endsWith("/joins")) {
      return Promise.resolve(Response.json([]));
    }
    asked.push(pathname + search);
    return Promise.resolve(
      Response.json({ box: new URLSearchParams(search).get("box"), heard: [], mainNodes: [], kitNodes: [], ...choices }),
    );
  });
  return asked;
}

afterEach(() => vi.unstubAllGlobals());

function tools() {
  const act = vi.fn<(changes: Change[]) => void>();
  const save = vi.fn<JobTools["save"]>().mockResolvedValue(jobState());
  return {
    act,
    save,
    given: jobTools({ act, save }),
  };
}

const show = (element: ReactElement) =>
  render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
      <ChakraProvider value={system}>{element}</ChakraProvider>
    </QueryClientProvider>,
  );

const choose = (label: string | RegExp, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } });

const radio = (setting: Schemas["PartialOfRadioSetting"]): Change => ({ kind: "setRadio", box: "gw", radio: "r5", setting });

const type = (label: string, draft: string) => {
  const field = screen.getByLabelText(label);
  fireEvent.change(field, { target: { value: draft } });
  fireEvent.keyDown(field, { key: "Enter" });
};

function gateway() {
  const { act, given, save } = tools();
  const box = design.site.boxes[0];
  if (box) {
    show(<BoxInspector box={box} setting={design.setUps[0]?.boxes[0]} state={state} tools={given} />);
  }
  return Object.assign(act, { save });
}

describe("BoxInspector", () => {
  it.each<[string, () => void, Change]>([
    ["mode", () => choose("Mode", "bridge"), { kind: "setMode", box: "gw", mode: "bridge" }],
    ["DHCP server", () => fireEvent.click(screen.getByLabelText("DHCP server on")), { kind: "switchDhcpServer", box: "gw", on: false }],
    ["Wi-Fi", () => fireEvent.click(screen.getByLabelText("Wi-Fi 5 GHz on")), radio({ on: false })],
    [
      "a box out of use",
      () => fireEvent.click(screen.getByRole("button", { name: "Take it out of use" })),
      { kind: "takeOutOfUse", id: "gw" },
    ],
    [
      "a guest network",
      () => fireEvent.click(screen.getByRole("button", { name: "Add a guest network" })),
      {
        kind: "setGuest",
        box: "gw",
        guest: { name: "home-guests", security: "wpa2", lan: "192.168.30.1/24", pool: "192.168.30.20-192.168.30.199" },
      },
    ],
    ["security", () => choose("Security, 5 GHz", "wpa3"), radio({ security: "wpa3" })],
    [
      "a reservation",
      () => fireEvent.click(screen.getByRole("button", { name: /^Remove 192.168.8.5 for/ })),
      { kind: "removeReservation", box: "gw", mac: "00:00:5e:00:53:01" },
    ],
    [
      "a forward",
      () => fireEvent.click(screen.getByRole("button", { name: /^Remove tcp 443/ })),
      { kind: "removeForward", box: "gw", protocol: "tcp", outsidePort: 443 },
    ],
    ["translation", () => fireEvent.click(screen.getByLabelText("NAT")), { kind: "setNat", box: "gw", on: false }],
    [
      "ports on request",
      () => fireEvent.click(screen.getByLabelText("Devices may ask it to open ports")),
      { kind: "setPortRequests", box: "gw", on: true },
    ],
    [
      "a public address passed to a port",
      () => choose("Public address", "1"),
      { kind: "setPassing", box: "gw", passing: { kind: "port", port: "lan1", to: null } },
    ],
    [
      "a public address passed to a router",
      () => choose("Public address", "3"),
      { kind: "setPassing", box: "gw", passing: { kind: "macAddress", port: null, to: "00:00:5e:00:53:99" } },
    ],
    [
      "the line's login",
      () => fireEvent.click(screen.getByLabelText("The provider's login is typed in")),
      { kind: "setLine", box: "gw", line: { login: true } },
    ],
    ["a width", () => choose("Width, 5 GHz", "w40"), radio({ widthMhz: 40 })],
    ["protected frames", () => choose("Protected frames, 5 GHz", "required"), radio({ protectsFrames: "required" })],
    [
      "a further name",
      () => fireEvent.click(screen.getByRole("button", { name: "Add a further name, 5 GHz", hidden: true })),
      radio({ furtherNames: [kept, { name: "home-old", security: "wpa2", password: "key" }] }),
    ],
    [
      "one taken off",
      () => fireEvent.click(screen.getByRole("button", { name: 'Take "kept" off', hidden: true })),
      radio({ furtherNames: [] }),
    ],
    ["its security", () => choose('Security of "kept"', "wpa3"), radio({ furtherNames: [{ ...kept, security: "wpa3" }] })],
    ["a hidden name", () => fireEvent.click(screen.getByLabelText("Hidden name")), radio({ hidden: true })],
    ["a WDS partner", () => fireEvent.click(screen.getByLabelText("Main")), radio({ wdsPeers: ["main"] })],
    [
      "no gateway handed out",
      () => fireEvent.click(screen.getByLabelText("Hands out no gateway")),
      { kind: "setServerGateway", box: "gw", gateway: null, leftOut: true },
    ],
    [
      "a route",
      () => fireEvent.click(screen.getByRole("button", { name: /^Remove 192.168.20.0/, hidden: true })),
      { kind: "removeRoute", box: "gw", to: "192.168.20.0/24" },
    ],
    [
      "a cable pulled",
      () => fireEvent.click(screen.getByRole("button", { name: /^Unplug the cable/ })),
      { kind: "unpatch", cable: "line" },
    ],
  ])("sends one change for %s", (_, gesture, change) => {
    const act = gateway();
    gesture();
    expect(act).toHaveBeenCalledExactlyOnceWith([change]);
  });

  it.each<[string, string, Change]>([
    ["Lease, minutes", "1440", { kind: "setLeaseTime", box: "gw", minutes: 1440 }],
    [
      "DNS servers handed out",
      "192.168.8.5, 192.168.8.1",
      { kind: "setDnsServers", box: "gw", dnsServers: ["192.168.8.5", "192.168.8.1"], leftOut: false },
    ],
    ["Domain", "home.arpa", { kind: "setServerDomain", box: "gw", domain: "home.arpa" }],
    ["VLAN tag", "7", { kind: "setLine", box: "gw", line: { tag: 7 } }],
    ["Channel, 5 GHz", "36", radio({ channel: 36 })],
    ["Further name 1, 5 GHz", "old", radio({ furtherNames: [{ ...kept, name: "old" }] })],
    ["DMZ host", "192.168.8.3", { kind: "setDmz", box: "gw", to: "192.168.8.3" }],
  ])("saves %s once it is typed", (label, draft, change) => {
    const { save } = gateway();
    type(label, draft);
    expect(save).toHaveBeenCalledExactlyOnceWith([change]);
  });

  it("keeps a lease time that is no number in its field, with the reason", async () => {
    const { save } = gateway();
    type("Lease, minutes", "a day");
    expect(await screen.findByText(/A whole number of minutes/)).toBeInTheDocument();
    expect(save).not.toHaveBeenCalled();
  });

  it("adds a route, and keeps one that the router refuses", async () => {
    const { save } = gateway();
    save.mockRejectedValueOnce(new Error("No host can have it."));
    fireEvent.change(screen.getByLabelText("New route to"), { target: { value: "192.168.40.0/24" } });
    fireEvent.change(screen.getByLabelText("By way of"), { target: { value: "192.168.8.9" } });
    fireEvent.click(screen.getByRole("button", { name: "Add the route", hidden: true }));
    expect(await screen.findByText("No host can have it.")).toBeInTheDocument();
    expect(screen.getByLabelText("New route to")).toHaveValue("192.168.40.0/24");
    expect(save).toHaveBeenCalledExactlyOnceWith([{ kind: "addRoute", box: "gw", route: { to: "192.168.40.0/24", via: "192.168.8.9" } }]);
  });

  it("gives an access point a name for guests", () => {
    const { act, given } = tools();
    const box = design.site.boxes[0];
    const point = part<Setting>({
      box: "gw",
      mode: "accessPoint",
      page: { kind: "automatic" },
      radios: design.setUps[0]?.boxes[0]?.radios,
    });
    show(box ? <BoxInspector box={box} setting={point} state={state} tools={given} /> : <p />);
    fireEvent.click(screen.getByRole("button", { name: "Add a name for guests" }));
    expect(act).toHaveBeenCalledExactlyOnceWith([{ kind: "setPointGuest", box: "gw", guest: { name: "home-guests", security: "wpa2" } }]);
  });

  it("lets a router join by radio what the server says that it hears", async () => {
    const asked = hears({ heard: [{ box: "main", radio: "r5", band: "ghz5", name: "attic", security: "wpa2", password: "attic-key" }] });
    const act = gateway();
    await screen.findByRole("option", { name: "attic of Main, 5 GHz", hidden: true });
    choose("Joins by radio", "0");
    const link = {
      radio: "r5",
      box: "main",
      name: "attic",
      security: "wpa2" as const,
      password: "attic-key",
      frames: "threeAddress" as const,
    };
    expect(act).toHaveBeenCalledExactlyOnceWith([{ kind: "setUplink", box: "gw", link }]);
    expect(asked).toEqual(["/api/jobs/1/proof/joins?setUp=planned&box=gw"]);
  });

  it("joins by radio what another box sends, with its key and security", async () => {
    hears({ heard: [{ box: "gw", radio: "r5", band: "ghz5", name: "home", security: "wpa2", password: "key" }] });
    const { act, given } = tools();
    const box = design.site.boxes[1];
    const uplink: Setting["uplink"] = {
      radio: "r5",
      box: "gw",
      name: "home",
      security: "wpa2",
      password: "wrong",
      frames: "threeAddress",
    };
    const setting = part<Setting>({ box: "rep", mode: "repeater", page: { kind: "automatic" }, uplink });
    show(box ? <BoxInspector box={box} setting={setting} state={state} tools={given} /> : <p />);
    fireEvent.click(await screen.findByRole("button", { name: /^Use its password/ }));
    expect(act).toHaveBeenCalledExactlyOnceWith([
      { kind: "setUplink", box: "rep", link: { radio: "r5", box: "gw", name: "home", security: "wpa2", password: "key" } },
    ]);
  });

  it("lets a satellite join another node of its kit, or none", async () => {
    hears({ mainNodes: ["main"], kitNodes: ["main", "gw"] });
    const { act, given } = tools();
    const box = design.site.boxes[1];
    const setting = part<Setting>({
      box: "rep",
      mode: "satellite",
      satellite: { main: "main", by: "main" },
    });
    show(box ? <BoxInspector box={box} setting={setting} state={state} tools={given} /> : <p />);
    const by = screen.getByLabelText("Joins by radio through");
    await within(by).findByRole("option", { name: "Gateway" });
    expect([...by.querySelectorAll("option")].map((o) => o.value)).toEqual(["", "main", "gw"]);
    choose("Joins by radio through", "");
    expect(act).toHaveBeenCalledExactlyOnceWith([{ kind: "setSatellite", box: "rep", node: { by: null } }]);
  });

  it("sorts VLANs on the ports of a managed switch", () => {
    const { save, given } = tools();
    const box = design.site.boxes.find((b) => b.id === "spare");
    const setting = part<Setting>({ box: "spare", mode: "switch", page: { kind: "automatic" } });
    show(box ? <BoxInspector box={box} setting={setting} state={state} tools={given} /> : <p />);
    type("Port 1, tagged", "20, 30");
    expect(save).toHaveBeenCalledExactlyOnceWith([{ kind: "setPortVlans", box: "spare", port: "lan1", untagged: 1, tagged: [20, 30] }]);
  });

  it("plugs a cable in by choosing two free ports", () => {
    const act = gateway();
    expect(screen.getByRole("button", { name: "Plug in" })).toBeDisabled();
    choose("to", "phone");
    fireEvent.click(screen.getByRole("button", { name: "Plug in" }));
    expect(act).toHaveBeenCalledExactlyOnceWith([
      { kind: "patch", a: "gw/lan1", b: "phone", known: { medium: "unknown", lengthMetres: null, pairs: null, run: null } },
    ]);
  });

  it("offers the shelf's box its modes and nothing else", () => {
    const { given } = tools();
    const box = design.site.boxes.find((b) => b.id === "spare");
    show(box ? <BoxInspector box={box} setting={undefined} state={state} tools={given} /> : <p />);
    expect(screen.getByLabelText("Mode")).toHaveDisplayValue("not in use");
    expect(screen.queryByText("Cables")).toBeNull();
  });
});

describe("DeviceInspector", () => {
  it("says why there is no internet and joins another network", () => {
    const { act, given } = tools();
    const device = design.site.devices[0];
    show(device ? <DeviceInspector device={device} state={state} tools={given} /> : <p />);
    expect(screen.getByText("Phone does not get in.")).toBeInTheDocument();
    expect(screen.getByLabelText(/Wi-Fi that it joins/)).toHaveDisplayValue("old name beside Gateway (not sent there)");
    choose(/Wi-Fi that it joins/, JSON.stringify(["gw", "home", "key"]));
    expect(act).toHaveBeenCalledExactlyOnceWith([
      { kind: "joinWifi", device: "phone", wifi: { box: "gw", name: "home", password: "key" } },
    ]);
  });

  it("waits for an address before it makes a device fixed", () => {
    const { act, given } = tools();
    const device = design.site.devices[0];
    show(device ? <DeviceInspector device={device} state={state} tools={given} /> : <p />);
    choose("Its address", "fixed");
    expect(act).not.toHaveBeenCalled();
    expect(screen.getByLabelText("Address and prefix")).toHaveValue("");
  });
});

describe("GearList", () => {
  it("shows every port with what is in it, and what is not in use", () => {
    const chosen = vi.fn();
    show(<GearList design={design} proof={proof} chosen="gw" choose={chosen} />);
    expect(screen.getByRole("button", { name: /^Gateway/, pressed: true })).toHaveTextContent("in the internet line");
    expect(screen.getByRole("button", { name: /^Gateway/ })).toHaveTextContent("2 empty");
    fireEvent.click(screen.getByRole("button", { name: /^Spare/ }));
    expect(chosen).toHaveBeenCalledExactlyOnceWith("box", "spare");
    expect(screen.getByRole("button", { name: /^Phone/ })).toHaveTextContent("internet: no");
  });
});
