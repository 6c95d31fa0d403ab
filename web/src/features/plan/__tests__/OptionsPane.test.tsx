import { ChakraProvider } from "@chakra-ui/react";
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, fireEvent, render, screen, waitFor, within } from "@testing-library/react";
import { MemoryRouter } from "react-router";
import { afterEach, describe, expect, it, vi } from "vitest";
import type { Schemas } from "../../../api/client";
import { system } from "../../../ui/theme";
import { demo } from "../../shared/__tests__/demo";
import { jobState, jobTools } from "../../shared/__tests__/fixtures";
import OptionsPane from "../OptionsPane";
import { design, proof } from "./inspectedHome";

const option = (kind: Schemas["RoleKind"], becomes: string, answer: Schemas["AnswerKind"], points: number): Schemas["OptionDocument"] => ({
  kind: answer === "yes" ? "sound" : "willNotWork",
  verdict: answer === "yes" ? "Every need is met." : "A need is not met.",
  boxes: [
    { box: "gw", name: "Gateway", kind: "router", becomes: "router", toBuy: false },
    { box: "rep", name: "Repeater", kind, becomes, toBuy: false },
    ...(answer === "yes"
      ? []
      : [{ box: "point", name: "Access point", kind: "accessPoint" as const, becomes: "access-point mode, Study", toBuy: true }]),
  ],
  needs: [{ need: "calls", asked: "Study covered for calls", answer, why: answer === "yes" ? null : "It is too weak there." }],
  against: [
    { says: "Minutes of work", count: 5.5 },
    { says: "Cables to lay", count: 0 },
    { says: "Boxes in use", count: points },
  ],
  points,
  renumbered: points > 1000 ? ["Printer: 192.168.8.50 becomes 192.168.8.5."] : [],
  departures: points > 1000 ? ["Gateway is changed, which the gateway should not be."] : [],
  notTonight: points > 1000 ? ["Telephone depends on Gateway, which is in bridge mode."] : [],
});

const plan: Schemas["PlanDocument"] = {
  options: [option("repeater", "repeater behind Gateway by radio, Study", "yes", 40), option("unused", "not in use", "no", 1030)],
  proven: 1234,
  restsOn: "as shown",
  isCut: false,
  isRunning: false,
  first: { kind: "plan", sentence: "A plan is needed.", reasons: [] },
  spares: [],
  gateway: [],
  notMet: [
    { need: "way-in", asked: "Recorder reached from outside", why: "The provider does NAT too.", would: ["A public address meets it."] },
  ],
  impossible: [{ about: "tv", what: "Television on the internet", kind: "noBand", says: "It has no socket, and no box a radio for it." }],
  canBecome: [
    { box: "gw", roles: [{ kind: "router", says: "router" }] },
    {
      box: "rep",
      roles: [
        { kind: "repeater", says: "repeater" },
        { kind: "unused", says: "not in use" },
      ],
    },
  ],
};

/** What is asked of the server after the options, by the end of its path; the last answer to the options counts. */
function open(answer: unknown, status = 200, others: Record<string, unknown> = {}) {
  const answers = Array.isArray(answer) ? [...(answer as unknown[])] : [answer];
  vi.stubGlobal("fetch", (request: Request) => {
    const path = new URL(request.url).pathname;
    const other = Object.entries(others).find(([end]) => request.url.includes(end));
    return Promise.resolve(
      other
        ? Response.json(other[1])
        : path.endsWith("/ways")
          ? Response.json({ ways: {}, mine: {}, own: [], schools: [], weights: [] })
          : Response.json(answers.length > 1 ? answers.shift() : answers[0], { status }),
    );
  });
  const tools = jobTools();
  render(
    <MemoryRouter initialEntries={["/jobs/1/plan?options"]}>
      <ChakraProvider value={system}>
        <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
          <OptionsPane state={jobState({ design, proof, setUps: ["found", "planned", "attic-later"], revision: 7 })} tools={tools} />
        </QueryClientProvider>
      </ChakraProvider>
    </MemoryRouter>,
  );
  return tools;
}

afterEach(() => vi.unstubAllGlobals());

describe("Options", () => {
  it("stand side by side, with what speaks against each, and one is made the plan", async () => {
    const tools = open(plan);
    const table = await screen.findByRole("region", { name: "Options, table" });
    const rows = within(table).getAllByRole("row");
    const row = (head: string) => rows.find((r) => within(r).queryByRole("rowheader", { name: head }))?.textContent;
    expect(row("Repeater")).toBe("Repeaterrepeater behind Gateway by radio, Studynot in use");
    // What only another option buys is not needed in this one.
    expect(row("Access point (to buy)")).toBe("Access point (to buy)not neededaccess-point mode, Study");
    expect(row("Study covered for calls")).toBe("Study covered for callsyes no It is too weak there.");
    expect(row("Points")).toBe("Points401,030");
    // What speaks against none is left out.
    expect(row("Cables to lay")).toBeUndefined();
    expect(row("Minutes of work")).toBe("Minutes of work5.55.5");
    expect(screen.getByText("1234 set-ups were proven.")).toBeInTheDocument();
    expect(screen.getByText(/takes the place of the plan that stands; undo brings that back/)).toBeInTheDocument();
    fireEvent.click(screen.getByRole("button", { name: "Make option 2 the plan" }));
    expect(tools.chooseOption).toHaveBeenCalledExactlyOnceWith(
      { number: 2, box: null, as: null, keepAs: null, restsOn: "as shown" },
      expect.any(Function),
    );
    expect(row("Typed addresses that move")).toBe("Typed addresses that movePrinter: 192.168.8.50 becomes 192.168.8.5.");
    expect(row("Ask the provider first")).toBe("Ask the provider firstTelephone depends on Gateway, which is in bridge mode.");
    expect(within(table).getAllByText("Not tonight")).toHaveLength(1);
    expect(screen.getByText("Television on the internet: It has no socket, and no box a radio for it.")).toBeInTheDocument();
    expect(screen.getByRole("heading", { name: "No option meets: Recorder reached from outside" })).toBeInTheDocument();
    expect(screen.getByText("A public address meets it.").tagName).toBe("LI");
    expect(row("Not your way")).toBe("Not your wayGateway is changed, which the gateway should not be.");
  });

  it("show the best so far while the search goes on, and the answer once it ends or is stopped", async () => {
    const running = { ...plan, options: plan.options.slice(1), proven: 17, isRunning: true };
    open([running, { ...plan, proven: 40 }]);
    expect(await screen.findByText("Searching: 17 set-ups are proven, and these are the best so far.")).toBeInTheDocument();
    expect(screen.getByRole("button", { name: "Make option 1 the plan" })).toBeDisabled();
    expect(await screen.findByText("40 set-ups were proven.")).toBeInTheDocument();
    expect(screen.getByRole("button", { name: "Make option 1 the plan" })).toBeEnabled();
    cleanup();
    open(running, 200, { "/options/stop": { ...plan, proven: 18, isCut: true } });
    fireEvent.click(await screen.findByRole("button", { name: "Stop here" }));
    expect(await screen.findByText(/cut short after 18 set-ups/)).toBeInTheDocument();
    expect(screen.getByRole("button", { name: "Search again" })).toBeInTheDocument();
  });

  it("are kept under a name beside the plan, compared with it and removed", async () => {
    const tools = open(plan);
    vi.mocked(tools.keepOption).mockRejectedValueOnce(new Error("A name other than those of the set-ups that stand is expected."));
    fireEvent.click(await screen.findByRole("button", { name: "Keep option 2" }));
    expect(screen.getByRole("button", { name: "Keep" })).toBeDisabled();
    fireEvent.change(screen.getByLabelText("Keep option 2 as"), { target: { value: "planned" } });
    fireEvent.click(screen.getByRole("button", { name: "Keep" }));
    expect(await screen.findByText("A name other than those of the set-ups that stand is expected.")).toBeInTheDocument();
    fireEvent.change(screen.getByLabelText("Keep option 2 as"), { target: { value: " Attic later " } });
    fireEvent.click(screen.getByRole("button", { name: "Keep" }));
    await waitFor(() => expect(screen.queryByLabelText("Keep option 2 as")).toBeNull());
    expect(tools.keepOption).toHaveBeenLastCalledWith({ number: 2, box: null, as: null, keepAs: "Attic later", restsOn: "as shown" });
    expect(screen.getByRole("link", { name: "Compare attic-later with the plan" })).toHaveAttribute(
      "href",
      expect.stringMatching(/compare&before=\d+\.planned&after=\d+\.attic-later$/),
    );
    fireEvent.click(screen.getByRole("button", { name: "Remove attic-later" }));
    expect(tools.correctNow).toHaveBeenCalledExactlyOnceWith([{ kind: "removeSetUp", name: "attic-later" }]);
  });

  it("are drawn one at a time, to be looked at", async () => {
    const moves = vi.fn();
    Element.prototype.scrollIntoView = moves;
    vi.stubGlobal(
      "ResizeObserver",
      class {
        observe = vi.fn();
        disconnect = vi.fn();
      },
    );
    open(plan, 200, { "/options/2/drawing": demo() });
    const draws = await screen.findByRole("button", { name: "Draw option 2" });
    fireEvent.click(draws);
    const drawing = await screen.findByRole("region", { name: "Drawing of option 2" });
    expect(await within(drawing).findByRole("heading", { name: "Option 2" })).toBeInTheDocument();
    expect(draws).toHaveAttribute("aria-pressed", "true");
    expect(moves).toHaveBeenCalledOnce();
    fireEvent.click(draws);
    expect(screen.queryByRole("region", { name: "Drawing of option 2" })).toBeNull();
  });

  it("tell the price of a way that a person has in mind, and make it the plan", async () => {
    const price = [
      { says: "Boxes taken away", more: 1, points: 40 },
      { says: "Minutes of work", more: -2, points: -2 },
    ];
    const asked = { box: "rep", wanted: "unused", option: plan.options[1], because: null, price, isCut: false };
    const tools = open(plan, 200, {
      "why-not?box=rep&as=unused": asked,
      "why-not?box=rep&as=repeater": { ...asked, option: null, because: "Repeater cannot." },
    });
    fireEvent.change(await screen.findByLabelText("A box"), { target: { value: "rep" } });
    fireEvent.change(screen.getByLabelText("What it would be"), { target: { value: "unused" } });
    expect(await screen.findByText("It costs 38 points more than the first option:")).toBeInTheDocument();
    expect(screen.getByText("+40")).toBeInTheDocument();
    fireEvent.click(screen.getByRole("button", { name: "Make this the plan" }));
    expect(tools.chooseOption).toHaveBeenCalledExactlyOnceWith(
      { number: null, box: "rep", as: "unused", keepAs: null, restsOn: "as shown" },
      expect.any(Function),
    );
    fireEvent.change(screen.getByLabelText("What it would be"), { target: { value: "repeater" } });
    expect(await screen.findByText("Repeater cannot.")).toBeInTheDocument();
  });

  it("say when the search was cut short, and when there is no answer", async () => {
    open({ ...plan, isCut: true });
    expect(await screen.findByText(/cut short after 1234 set-ups, and these are the best so far/)).toBeInTheDocument();
  });

  it("say why there are none", async () => {
    open({ type: "urn:altrin:problem:too-long", title: "It took too long.", status: 503, detail: "Try again." }, 503);
    expect(await screen.findByText("The options cannot be worked out.")).toBeInTheDocument();
  });
});
