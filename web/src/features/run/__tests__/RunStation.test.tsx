import { ChakraProvider } from "@chakra-ui/react";
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { fireEvent, render, screen, waitFor, within } from "@testing-library/react";
import { MemoryRouter } from "react-router";
import { afterEach, beforeEach, expect, it, vi } from "vitest";
import { jobState } from "../../shared/__tests__/fixtures";
import { system } from "../../../ui/theme";
import RunStation from "../RunStation";
import { about } from "../time";

const sheets = [
  { id: 2, name: "to a set-up that is gone", keptAt: "2026-11-30T18:00:00Z" },
  { id: 1, name: "the first", keptAt: "2026-11-29T18:00:00Z" },
];
let run: object = {};
const ways = { reset: "always", password: "first", address: "any", touchesDevices: true, touchesGateway: true, socket: true };
const played = {
  sheet: sheets[1],
  from: "found",
  to: "planned",
  seconds: 20,
  steps: [],
  undone: [],
  left: [],
  whole: true,
};

beforeEach(() => {
  // The browser of these tests has no dialogs.
  HTMLDialogElement.prototype.close = vi.fn();
  Element.prototype.scrollIntoView = vi.fn();
  vi.stubGlobal("matchMedia", () => ({ matches: true, addEventListener: vi.fn(), removeEventListener: vi.fn() }));
  vi.stubGlobal(
    "fetch",
    vi.fn((request: Request) => {
      const path = new URL(request.url).pathname;
      return Promise.resolve(
        path.endsWith("/sheets")
          ? new Response(JSON.stringify(sheets), { headers: { "content-type": "application/json" } })
          : path.endsWith("/run")
            ? new Response(JSON.stringify(run), { headers: { "content-type": "application/json" } })
            : path.endsWith("/sheets/1")
              ? new Response(JSON.stringify(played), { headers: { "content-type": "application/json" } })
              : new Response(JSON.stringify({ title: "There is no set-up 'one-network'.", status: 404 }), {
                  status: 404,
                  headers: { "content-type": "application/problem+json" },
                }),
      );
    }),
  );
});
afterEach(() => vi.unstubAllGlobals());

/** The last request whose address has a text in it. */
const asked = (part: string) =>
  vi
    .mocked(fetch)
    .mock.calls.map(([request]) => (request as Request).url)
    .filter((url) => url.includes(part))
    .at(-1);

const station = (at: string) => {
  const state = jobState({ revision: 3, design: { site: { name: "Home", boxes: [], devices: [] }, setUps: [] } });
  return render(
    <ChakraProvider value={system}>
      <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
        <MemoryRouter initialEntries={[at]}>
          <RunStation state={state} />
        </MemoryRouter>
      </QueryClientProvider>
    </ChakraProvider>,
  );
};

it("leads on from a list of acts that cannot be played", async () => {
  station("/jobs/1/run?sheet=2");
  expect((await screen.findByRole("alert")).textContent).toContain("This run sheet cannot be played.There is no set-up 'one-network'.");
  fireEvent.change(screen.getByLabelText("Shown"), { target: { value: "1" } });
  await waitFor(() => expect(screen.getByText("Plays through from found to planned, and breaks nothing.")).toBeDefined());
});

const end = (name: string, faults: string[] = []) => ({ name, faults });
const step = (known: object) => ({
  id: "save-box-mode",
  number: 1,
  phase: "atTheTable",
  says: "Choose bridge mode at Box",
  where: null,
  acts: [{ says: "Save the page", main: true }],
  lines: [],
  beginsAt: 0,
  takes: { least: 10, usual: 130, most: 600, noted: false },
  why: null,
  cautions: [],
  undo: null,
  offline: [],
  dips: false,
  rest: false,
  breaks: [],
  departs: [],
  if: null,
  otherwise: [],
  ...known,
});
const sheet = (known: object) => ({
  from: "found",
  to: "planned",
  safe: true,
  searched: true,
  tried: 1,
  takes: { least: 60, usual: 250, most: 5400, noted: false },
  window: null,
  verdict: [],
  material: [],
  checksBefore: [],
  checksAfter: [
    { title: "To be proven at the end", items: [{ id: "nat", about: "NAT", says: "One NAT only.", each: ["at Hall gateway"] }] },
  ],
  unsafe: [],
  amiss: [],
  missing: [],
  undone: [],
  steps: [step({}), step({ id: "away-box", number: 2, phase: "window", says: "Take Box out of use", dips: true })],
  least: null,
  ...known,
});

it.each([
  ["no plan", { to: null, ends: [], sheet: null }, "There is nothing to lead to yet"],
  ["a plan that does not work", { to: "planned", ends: [end("planned", ["Double NAT"])], sheet: null }, "Double NAT"],
])("says what to do first with %s", async (_, known, says) => {
  run = { from: "found", ways, ...known };
  station("/jobs/1/run");
  expect(await screen.findByText(new RegExp(says))).toBeDefined();
});

it("tells steps by their part of the evening, and what is unsafe with what would make it safe", async () => {
  run = {
    from: "found",
    to: "planned",
    ways,
    ends: [end("planned")],
    sheet: sheet({
      safe: false,
      searched: false,
      window: { first: 2, last: 2, beginsAt: 130, takes: { least: 60, usual: 120, most: 300, noted: false } },
      verdict: [
        {
          tone: "bad",
          says: "No safe order was found:",
          items: ["Plug it in, rule 7: There is a ring. To make it safe: Keep one end off."],
        },
        { tone: "note", says: "The search stopped after 9 acts were tried.", items: [] },
      ],
    }),
  };
  station("/jobs/1/run?step=away-box");
  expect(within(await screen.findByRole("alert")).getByText("No safe order was found:")).toBeDefined();
  expect(within(screen.getByRole("alert")).getByText(/To make it safe: Keep one end off/)).toBeDefined();
  expect(screen.getByText("The search stopped after 9 acts were tried.")).toBeDefined();
  const parts = within(screen.getByRole("region", { name: "Steps" })).getAllByRole("heading", { level: 2 });
  expect(parts.map((h) => h.textContent)).toEqual(["At the table2 min", "On the live network2 min"]);
  expect(within(screen.getByRole("region", { name: "This step" })).getByRole("heading").textContent).toBe("Take Box out of use");
  expect(screen.getByText("· internet away")).toBeDefined();
  const proven = screen.getByText("To be proven at the end (1)").closest("details");
  expect(proven?.textContent).toContain("NAT. One NAT only.at Hall gateway");
});

it("times a step, whatever is shown meanwhile and however often the page is opened", async () => {
  localStorage.clear();
  run = { from: "found", to: "planned", ways, ends: [end("planned")], sheet: sheet({}) };
  const opened = station("/jobs/1/run?step=save-box-mode");
  fireEvent.click(await screen.findByRole("button", { name: /^Start timer, / }));
  expect(screen.getByRole("button", { name: /^0\d:\d\d left, stop$/ })).toBeDefined();
  fireEvent.click(screen.getByRole("button", { name: /Next step/ }));
  expect(screen.getByRole("button", { name: /^Step 1: 0\d:\d\d left$/ })).toBeDefined();
  expect(screen.getByRole("button", { name: /^Start timer, / })).toBeDefined();
  opened.unmount();
  // Two minutes too late, on a page that is opened anew.
  localStorage.setItem("altrin-timers-1", JSON.stringify({ "save-box-mode": Date.now() - 120_000 }));
  const again = station("/jobs/1/run?step=save-box-mode");
  fireEvent.click(await screen.findByRole("button", { name: /^over by 0[2-9]:\d\d, stop$/ }));
  expect(screen.getByRole("button", { name: /^Start timer, / })).toBeDefined();
  expect(localStorage.getItem("altrin-timers-1")).toBe("{}");
  again.unmount();
  // What someone else wrote there is no timer.
  localStorage.setItem("altrin-timers-1", "[1");
  station("/jobs/1/run?step=save-box-mode");
  expect(await screen.findByRole("button", { name: /^Start timer, / })).toBeDefined();
});

it("asks for the steps of the way of working in which the sheet is, and keeps its files", async () => {
  run = { from: "found", to: "planned", ways: { ...ways, socket: false }, ends: [end("planned")], sheet: sheet({}) };
  const steps = station("/jobs/1/run");
  expect(await screen.findByText("My way of working")).toBeInTheDocument();
  await waitFor(() => expect(asked("/api/jobs/1/run/steps/save-box-mode?")).toContain("from=found&to=planned"));
  expect(screen.getByRole("link", { name: /^Print or save/ }).getAttribute("href")).toContain("part=paper&to=planned");
  steps.unmount();
  station("/jobs/1/run?part=paper");
  expect((await screen.findByRole("link", { name: /Markdown/ })).getAttribute("href")).toBe(
    "/api/jobs/1/run/content?as=markdown&from=found&to=planned",
  );
});

it("keeps the evening as a calendar once it is said when it begins", async () => {
  run = { from: "found", to: "planned", ways, ends: [end("planned")], sheet: sheet({}) };
  station("/jobs/1/run?part=paper");
  const begins = await screen.findByLabelText(/the work begins$/);
  expect(screen.queryByRole("link", { name: "Calendar" })).toBeNull();
  fireEvent.change(begins, { target: { value: "2026-12-04T19:00" } });
  expect(screen.getByRole("link", { name: "Calendar" }).getAttribute("href")).toBe(
    "/api/jobs/1/run/content?as=ics&from=found&to=planned&start=2026-12-04T19%3A00",
  );
});

it.each([
  [119, "1 min 59 s"],
  [150, "3 min"],
  [3570, "1 h"],
  [5400, "1 h 30 min"],
])("says about %i seconds", (seconds, words) => expect(about(seconds)).toBe(words));
