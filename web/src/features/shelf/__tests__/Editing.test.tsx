import { ChakraProvider } from "@chakra-ui/react";
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { fireEvent, render, screen, waitFor } from "@testing-library/react";
import { describe, expect, it, vi } from "vitest";
import { type Problem, ProblemError, type Schemas } from "../../../api/client";
import { system } from "../../../ui/theme";
import { part } from "../../shared/__tests__/fixtures";
import { Editing } from "../Editing";

type Profile = Schemas["ProfileDocument"];
type Put = (profile: string) => Promise<Schemas["ShelfEntry"][]>;

const router = part<Profile>({
  shelfId: "plain-router",
  name: "Plain router",
  kind: "router",
  edition: 3,
  modes: ["router", "accessPoint"],
  ports: [{ id: "lan1", label: "1" }],
  radios: [
    { id: "r24", band: "ghz2", mostNames: 4 },
    { id: "r5", band: "ghz5" },
  ],
  factoryPool: "192.168.1.100-192.168.1.199",
  habits: { checksOffer: true, loopsBack: false },
  traits: { login: "onLabel", bootSeconds: 90, reset: { by: "button", holdSeconds: 10 } },
});

function show({ copy = false, put, taken = [] }: { copy?: boolean; put?: Put; taken?: string[] }) {
  const kept: Profile[] = [];
  const done = vi.fn<(shelfId: string) => void>();
  const keeps: Put = (text) => {
    const profile = JSON.parse(text) as Profile;
    kept.push(profile);
    return Promise.resolve([part<Schemas["ShelfEntry"]>({ profile: { shelfId: profile.shelfId } })]);
  };
  const client = new QueryClient();
  client.setQueryData(["settings"], []);
  render(
    <QueryClientProvider client={client}>
      <ChakraProvider value={system}>
        <Editing profile={router} copy={copy} taken={taken} put={put ?? keeps} done={done} />
      </ChakraProvider>
    </QueryClientProvider>,
  );
  return { kept, done };
}

const type = (label: string, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } });
const press = (name: string) => fireEvent.click(screen.getByRole("button", { name }));

describe("A kind on the shelf", () => {
  const edits: [string, () => void, Partial<Profile>][] = [
    ["nothing", () => undefined, {}],
    ["its name", () => type("Name", "Router of the hall"), { name: "Router of the hall" }],
    ["its factory address", () => type("Page after a reset", "192.168.0.1/24"), { factoryAddress: "192.168.0.1/24" }],
    ["an emptied pool", () => type("DHCP pool after a reset", ""), { factoryPool: null }],
    ["a time", () => type("Starts in, seconds", "120"), { traits: { ...router.traits, bootSeconds: 120 } }],
    ["no time", () => type("Starts in, seconds", ""), { traits: { ...router.traits, bootSeconds: null } }],
    [
      "how long its button is held",
      () => type("Held, in seconds", "15"),
      { traits: { ...router.traits, reset: { by: "button", holdSeconds: 15 } } },
    ],
    ["what it routes", () => type("Routes at most, Mb/s", "300"), { routesMbps: 300 }],
    [
      "how many names a radio sends",
      () => type("Names at 5 GHz at most", "8"),
      { radios: router.radios.map((r) => (r.id === "r5" ? { ...r, mostNames: 8 } : r)) },
    ],
    ["its login", () => type("Login after a reset", "sameForAll"), { traits: { ...router.traits, login: "sameForAll" } }],
    ["a mode", () => fireEvent.click(screen.getByLabelText("Repeater")), { modes: ["router", "accessPoint", "repeater"] }],
    ["a mode less", () => fireEvent.click(screen.getByLabelText("Access point")), { modes: ["router"] }],
    ["a habit", () => type("It has hairpin NAT", "yes"), { habits: { checksOffer: true, loopsBack: true } }],
    ["a habit that is not known", () => type("It has hairpin NAT", "unknown"), { habits: { checksOffer: true } }],
  ];

  it.each(edits)("keeps %s and nothing else", async (_, edit, changed) => {
    const { kept, done } = show({});
    edit();
    press("Keep this edition");
    await waitFor(() => expect(done).toHaveBeenCalledWith("plain-router"));
    expect(kept).toEqual([{ ...router, ...changed }]);
  });

  it("is copied with an id of its own, the first that is free", async () => {
    const { kept, done } = show({ copy: true, taken: ["plain-router", "plain-router-2"] });
    press("Put the copy on the shelf");
    await waitFor(() => expect(done).toHaveBeenCalledWith("plain-router-3"));
    expect(kept).toEqual([{ ...router, shelfId: "plain-router-3", name: "Plain router, another", edition: null }]);
  });

  it("is kept as its text says, which a field typed afterwards replaces", async () => {
    const { kept, done } = show({});
    type("The profile as text", JSON.stringify({ ...router, ports: [] }));
    press("Keep this edition");
    await waitFor(() => expect(done).toHaveBeenCalled());
    expect(kept).toEqual([{ ...router, ports: [] }]);
  });

  it.each([
    [
      "the server's",
      new ProblemError(part<Problem>({ title: "no", errors: [{ pointer: "/name", found: '""', allowed: "at least 1" }] })),
      "/name",
    ],
    ["any other", new Error("no more room"), "no more room"],
  ])("that is refused stays open with %s words", async (_, error, said) => {
    const { done } = show({ put: () => Promise.reject(error) });
    press("Keep this edition");
    expect((await screen.findByRole("alert")).textContent).toContain(said);
    expect(done).not.toHaveBeenCalled();
  });

  it("is left as it was by Cancel", () => {
    const { kept, done } = show({});
    type("Name", "Router of the hall");
    press("Cancel");
    expect(done).toHaveBeenCalledWith("plain-router");
    expect(kept).toEqual([]);
  });
});
