import { ChakraProvider } from "@chakra-ui/react";
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { fireEvent, render, screen, waitFor, within } from "@testing-library/react";
import type { ReactElement } from "react";
import { MemoryRouter } from "react-router";
import { describe, expect, it } from "vitest";
import type { JobState, Schemas } from "../../../api/client";
import { system } from "../../../ui/theme";
import { demo } from "../../shared/__tests__/demo";
import { jobState, jobTools } from "../../shared/__tests__/fixtures";
import { CablesPart } from "../CablesPart";
import { ServiceSheet } from "../ServiceSheet";

const { design, proof } = demo();

const withSite = (parts: Partial<typeof design.site>): JobState =>
  jobState({ design: { ...design, site: { ...design.site, ...parts } }, proof });

const withService = (parts: Partial<typeof design.site.service>) => withSite({ service: { ...design.site.service, ...parts } });

const show = (element: ReactElement) =>
  render(
    <QueryClientProvider client={new QueryClient()}>
      <ChakraProvider value={system}>
        <MemoryRouter>{element}</MemoryRouter>
      </ChakraProvider>
    </QueryClientProvider>,
  );

const type = (label: string, value: string) => {
  const field = screen.getByLabelText(label);
  fireEvent.change(field, { target: { value } });
  fireEvent.blur(field);
};

describe("The internet service", () => {
  it("saves a fixed address with the provider's side, and neither alone", async () => {
    const tools = jobTools();
    show(<ServiceSheet state={withService({ kind: "publicDynamic" })} view={undefined} plan={undefined} tools={tools} />);
    expect(screen.getByLabelText<HTMLInputElement>("Addresses that it gives at a time").value).toBe("1");
    fireEvent.change(screen.getByLabelText("Address"), { target: { value: "publicFixed" } });
    expect(tools.correctNow).not.toHaveBeenCalled();
    type("The public address and prefix", "203.0.113.7/24");
    expect(tools.correct).not.toHaveBeenCalled();
    type("The provider's side", "203.0.113.1");
    await waitFor(() =>
      expect(tools.correct).toHaveBeenCalledExactlyOnceWith([
        { kind: "setService", service: { kind: "publicFixed", address: "203.0.113.7/24", gateway: "203.0.113.1" } },
      ]),
    );
  });

  it("asks for what a login, a tag and a lock need, and only then", async () => {
    const quiet = show(<ServiceSheet state={withService({ line: {} })} view={undefined} plan={undefined} tools={jobTools()} />);
    expect(["Name to log in with", "Which tag", "Which one"].map((l) => screen.queryByLabelText(l))).toEqual([null, null, null]);
    quiet.unmount();
    const tools = jobTools();
    const asks = { login: true, tagged: true, locked: true, tag: 7 };
    show(<ServiceSheet state={withService({ line: asks })} view={undefined} plan={undefined} tools={tools} />);
    type("Which tag", "many");
    expect(await screen.findByText("A tag from 1 to 4094 is expected.")).toBeVisible();
    expect(tools.correct).not.toHaveBeenCalled();
    type("Name to log in with", "home@isp.example");
    await waitFor(() =>
      expect(tools.correct).toHaveBeenCalledExactlyOnceWith([{ kind: "setService", service: { account: "home@isp.example" } }]),
    );
    fireEvent.change(screen.getByLabelText("A login"), { target: { value: "unknown" } });
    expect(tools.correctNow).toHaveBeenCalledExactlyOnceWith([{ kind: "setService", service: { login: "unknown" } }]);
  });

  it("says what the box at the line can become, and at which price", () => {
    const plan = {
      gateway: [
        { way: "bridge", says: "bridge mode", can: "yes", isFirst: false, more: 114.7, costs: ["Hall gateway: its Wi-Fi stops."] },
        { way: "staysRouter", says: "router, own boxes are access points", can: "yes", isFirst: true, more: 0, costs: [] },
        { way: "dmz", says: "router with a DMZ host", can: "yes", isFirst: false, more: 0, costs: [] },
        { way: "mapping", says: "public-address mapping", can: "no", isFirst: false, more: null, costs: [] },
      ],
    } as Partial<Schemas["PlanDocument"]> as Schemas["PlanDocument"];
    show(<ServiceSheet state={withService({})} view={undefined} plan={plan} tools={jobTools()} />);
    const said = within(screen.getByRole("region", { name: "What the box at the internet line can become" })).getAllByRole("listitem");
    expect(said.map((s) => s.textContent)).toEqual([
      "it canbridge mode: 114.7 points more. Hall gateway: its Wi-Fi stops.",
      "it canrouter, own boxes are access points: the first option",
      "it canrouter with a DMZ host: 0 points more. ",
      "it cannotpublic-address mapping",
    ]);
  });
});

describe("Cables", () => {
  const cable = proof && design.setUps[0]?.cables.find((c) => c.from !== "street" && c.to !== "street");
  const lengths = () => screen.getAllByLabelText(/^Measured length: /);

  it("take a measured length with a comma, and say what no length is", async () => {
    const tools = jobTools();
    show(<CablesPart state={withSite({})} view={undefined} tools={tools} />);
    expect(screen.getAllByRole("row")).toHaveLength(1 + lengths().length);
    const [field] = lengths();
    if (!field || !cable) {
      throw new Error("The demo home has changed.");
    }
    fireEvent.change(field, { target: { value: "long" } });
    fireEvent.blur(field);
    expect(await screen.findByText("Metres such as 4.5 are expected.")).toBeVisible();
    fireEvent.change(field, { target: { value: "4,5" } });
    fireEvent.blur(field);
    await waitFor(() =>
      expect(tools.save).toHaveBeenCalledExactlyOnceWith([{ kind: "setCable", cable: cable.id, known: { lengthMetres: 4.5 } }]),
    );
  });

  it("in the walls join two free sockets", () => {
    const tools = jobTools();
    const sockets: Schemas["Socket"][] = ["a", "b", "c", "d"].map((id) => ({ id, name: `Socket ${id}`, kind: "data", place: null }));
    show(<CablesPart state={withSite({ sockets, runs: [{ id: "r", a: "a", b: "b", medium: "cat6" }] })} view={undefined} tools={tools} />);
    const from = screen.getByLabelText<HTMLSelectElement>("From socket");
    expect([...from.options].map((o) => o.text)).toEqual(["choose", "Socket c", "Socket d"]);
    fireEvent.change(from, { target: { value: "c" } });
    fireEvent.change(screen.getByLabelText("To socket"), { target: { value: "d" } });
    fireEvent.change(screen.getByLabelText("Pairs connected"), { target: { value: "2" } });
    fireEvent.submit(from);
    expect(tools.correctNow).toHaveBeenCalledExactlyOnceWith([
      { kind: "setRun", run: "", known: { a: "c", b: "d", medium: "unknown", pairs: 2 } },
    ]);
  });
});
