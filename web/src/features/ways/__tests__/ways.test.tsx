import { ChakraProvider } from "@chakra-ui/react";
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { fireEvent, render, screen, waitFor } from "@testing-library/react";
import type { ReactNode } from "react";
import { MemoryRouter } from "react-router";
import { afterEach, beforeEach, expect, it, vi } from "vitest";
import type { Schemas } from "../../../api/client";
import { ColourModeProvider } from "../../../ui/ColourMode";
import { system } from "../../../ui/theme";
import { MyWay } from "../../shared/MyWay";
import WaysScreen from "../WaysScreen";
import { part } from "../../shared/__tests__/fixtures";

const schools: Schemas["SchoolDocument"][] = [
  {
    name: "reset",
    asks: "A further box is reset",
    answers: [
      { value: "always", says: "always", for: "A clean slate." },
      { value: "ifLoginUnknown", says: "only where its login is not known", for: "Keeps what works." },
    ],
    typed: null,
  },
  {
    name: "dns",
    asks: "DNS servers",
    answers: [
      { value: "any", says: "as they are found", for: "Nothing to type." },
      { value: "own", says: "own choice", for: "Steadier." },
    ],
    typed: { name: "ownDns", asks: "Addresses of your own choice", with: "own" },
  },
  {
    name: "socket",
    asks: "The laptop",
    answers: [
      { value: "true", says: "has an Ethernet socket", for: "By cable." },
      { value: "false", says: "has Wi-Fi only", for: "Over the air." },
    ],
    typed: null,
  },
];
const weights: Schemas["WeightDocument"][] = [
  { name: "radioHop", says: "Radio links between boxes", points: 15, mine: 15 },
  { name: "minute", says: "Minutes of work", points: 1, mine: 1 },
];
const usual = { reset: "always", dns: "any", ownDns: "", socket: true } as const;
let view: Schemas["WaysView"];
let put: [string, string[]][];

beforeEach(() => {
  vi.stubGlobal("matchMedia", () => ({ matches: false, addEventListener: vi.fn(), removeEventListener: vi.fn() }));
  put = [];
  view = part<Schemas["WaysView"]>({ ways: usual, mine: usual, own: [], schools, weights });
  vi.stubGlobal("fetch", async (request: Request) => {
    const path = new URL(request.url).pathname;
    if (request.method === "PUT") {
      const { ways } = (await request.json()) as Schemas["WaysRequest"];
      if (ways.includes("radioHop=20000")) {
        return Response.json({ title: "Points up to 10,000 are expected." }, { status: 422 });
      }
      put.push([path, ways]);
      view = { ...view, own: ways, ways: { ...view.mine, ...Object.fromEntries(ways.map((w) => w.split("=", 2))) } as Schemas["Ways"] };
    }
    return Response.json(view);
  });
});
afterEach(() => vi.unstubAllGlobals());

const open = (what: ReactNode, client = new QueryClient()) =>
  render(
    <MemoryRouter>
      <ChakraProvider value={system}>
        <ColourModeProvider>
          <QueryClientProvider client={client}>{what}</QueryClientProvider>
        </ColourModeProvider>
      </ChakraProvider>
    </MemoryRouter>,
  );

it("says what speaks for a way, keeps another one in this job, and asks anew for what rests on it", async () => {
  const client = new QueryClient();
  const asks = vi.spyOn(client, "invalidateQueries");
  const forgets = vi.spyOn(client, "resetQueries");
  open(<MyWay job={1} />, client);
  const reset = await screen.findByLabelText<HTMLSelectElement>("A further box is reset");
  expect(reset.value).toBe("always");
  expect(screen.getByText("A clean slate.")).toBeInTheDocument();
  expect(screen.getByLabelText<HTMLSelectElement>("The laptop").value).toBe("true");
  expect(screen.queryByRole("button", { name: "Back to my usual way" })).toBeNull();
  fireEvent.change(reset, { target: { value: "ifLoginUnknown" } });
  expect(await screen.findByText("Keeps what works. In this job only: as a rule always.")).toBeInTheDocument();
  expect(screen.getByText("My way of working: another one in this job")).toBeInTheDocument();
  expect(put).toEqual([["/api/jobs/1/ways", ["reset=ifLoginUnknown"]]]);
  // No option of another way is left to be chosen; the sheet is worked out anew.
  await waitFor(() =>
    expect(forgets.mock.calls.map(([of]) => of?.queryKey)).toEqual([
      ["options", 1],
      ["why-not", 1],
    ]),
  );
  expect(asks.mock.calls.map(([of]) => of?.queryKey)).toContainEqual(["run", 1]);
  // A second one is added, and the usual one again is no exception any more; none waits for the answer to the one before.
  fireEvent.change(screen.getByLabelText("The laptop"), { target: { value: "false" } });
  fireEvent.change(await screen.findByLabelText("A further box is reset"), { target: { value: "always" } });
  await waitFor(() =>
    expect(put.slice(1)).toEqual([
      ["/api/jobs/1/ways", ["reset=ifLoginUnknown", "socket=false"]],
      ["/api/jobs/1/ways", ["socket=false"]],
    ]),
  );
  fireEvent.click(await screen.findByRole("button", { name: "Make this my usual way" }));
  await waitFor(() =>
    expect(put.slice(3)).toEqual([
      ["/api/ways", ["reset=always", "dns=any", "ownDns=", "socket=false", "radioHop=15", "minute=1"]],
      ["/api/jobs/1/ways", []],
    ]),
  );
  await waitFor(() => expect(screen.queryByRole("button", { name: "Back to my usual way" })).toBeNull());
});

/** Types into a field and leaves it. */
function type(label: string, text: string) {
  const field = screen.getByLabelText(label);
  fireEvent.change(field, { target: { value: text } });
  fireEvent.blur(field);
}

it("asks what counts how much only where options are weighed, and keeps it in this job", async () => {
  open(<MyWay job={1} weights />);
  expect((await screen.findByLabelText<HTMLInputElement>("Radio links between boxes")).value).toBe("15");
  type("Radio links between boxes", "40.5");
  await waitFor(() => expect(put).toEqual([["/api/jobs/1/ways", ["radioHop=40.5"]]]));
  expect(await screen.findByText("otherwise 15")).toBeInTheDocument();
  type("Minutes of work", "a lot");
  expect(await screen.findByText("A number of points is expected.")).toBeInTheDocument();
  // What the server refuses stays in the field, with the reason.
  type("Radio links between boxes", "20000");
  expect((await screen.findAllByText("Points up to 10,000 are expected.")).length).toBeGreaterThan(0);
  expect(screen.getByLabelText<HTMLInputElement>("Radio links between boxes").value).toBe("20000");
  // As would hold anyway, it is said no more.
  type("Radio links between boxes", "15");
  await waitFor(() => expect(put.at(-1)).toEqual(["/api/jobs/1/ways", []]));
});

it("asks for what is typed beside an answer only where that is the answer", async () => {
  open(<MyWay job={1} />);
  const dns = await screen.findByLabelText<HTMLSelectElement>("DNS servers");
  expect(screen.queryByLabelText("Addresses of your own choice")).toBeNull();
  fireEvent.change(dns, { target: { value: "own" } });
  await screen.findByLabelText("Addresses of your own choice");
  type("Addresses of your own choice", "198.51.100.61");
  await waitFor(() => expect(put.at(-1)).toEqual(["/api/jobs/1/ways", ["dns=own", "ownDns=198.51.100.61"]]));
  expect(await screen.findByText("otherwise none")).toBeInTheDocument();
});

it("holds in every job where it is chosen outside of one", async () => {
  open(<WaysScreen />);
  fireEvent.change(await screen.findByLabelText("A further box is reset"), { target: { value: "ifLoginUnknown" } });
  expect(await screen.findByText("Keeps what works. Usual: always.")).toBeInTheDocument();
  type("Minutes of work", "2");
  await waitFor(() =>
    expect(put).toEqual([
      ["/api/ways", ["reset=ifLoginUnknown"]],
      ["/api/ways", ["reset=ifLoginUnknown", "minute=2"]],
    ]),
  );
  fireEvent.click(screen.getByRole("button", { name: "Back to what is usual" }));
  await waitFor(() => expect(put.at(-1)).toEqual(["/api/ways", []]));
  await waitFor(() => expect(screen.queryByRole("button", { name: "Back to what is usual" })).toBeNull());
});
