import { ChakraProvider } from "@chakra-ui/react";
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { fireEvent, render, screen, waitFor } from "@testing-library/react";
import { afterEach, beforeEach, expect, it, vi } from "vitest";
import type { Schemas } from "../../../api/client";
import { system } from "../../../ui/theme";
import { MyWay } from "../MyWay";
import { part } from "./fixtures";

const schools: Schemas["SchoolDocument"][] = [
  {
    name: "reset",
    asks: "A further box is reset",
    answers: [
      { value: "always", says: "always", for: "A clean slate." },
      { value: "ifLoginUnknown", says: "only where its login is not known", for: "Keeps what works." },
    ],
  },
  {
    name: "socket",
    asks: "The laptop",
    answers: [
      { value: "true", says: "has an Ethernet socket", for: "By cable." },
      { value: "false", says: "has Wi-Fi only", for: "Over the air." },
    ],
  },
];
const usual = { reset: "always", socket: true } as const;
let view: Schemas["WaysView"];
let put: [string, string[]][];

beforeEach(() => {
  put = [];
  view = part<Schemas["WaysView"]>({ ways: usual, mine: usual, own: [], schools });
  vi.stubGlobal("fetch", async (request: Request) => {
    const path = new URL(request.url).pathname;
    if (request.method === "PUT") {
      const { ways } = (await request.json()) as Schemas["WaysRequest"];
      put.push([path, ways]);
      view = { ...view, own: ways, ways: { ...view.mine, ...Object.fromEntries(ways.map((w) => w.split("=", 2))) } as Schemas["Ways"] };
    }
    return Response.json(view);
  });
});
afterEach(() => vi.unstubAllGlobals());

it("says what speaks for a way, keeps another one in this job, and asks anew for what rests on it", async () => {
  const client = new QueryClient();
  const asks = vi.spyOn(client, "invalidateQueries");
  const forgets = vi.spyOn(client, "resetQueries");
  render(
    <ChakraProvider value={system}>
      <QueryClientProvider client={client}>
        <MyWay job={1} />
      </QueryClientProvider>
    </ChakraProvider>,
  );
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
      ["/api/ways", ["reset=always", "socket=false"]],
      ["/api/jobs/1/ways", []],
    ]),
  );
  await waitFor(() => expect(screen.queryByRole("button", { name: "Back to my usual way" })).toBeNull());
});
