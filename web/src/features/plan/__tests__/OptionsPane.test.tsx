import { ChakraProvider } from "@chakra-ui/react";
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { fireEvent, render, screen, within } from "@testing-library/react";
import { MemoryRouter } from "react-router";
import { afterEach, describe, expect, it, vi } from "vitest";
import type { Schemas } from "../../../api/client";
import { system } from "../../../ui/theme";
import { jobState, jobTools } from "../../shared/__tests__/fixtures";
import OptionsPane from "../OptionsPane";
import { design, proof } from "./inspectedHome";

const option = (kind: Schemas["RoleKind"], becomes: string, answer: Schemas["AnswerKind"], points: number): Schemas["OptionDocument"] => ({
  kind: answer === "yes" ? "sound" : "willNotWork",
  verdict: answer === "yes" ? "Every need is met." : "A need is not met.",
  boxes: [
    { box: "gw", kind: "router", becomes: "router" },
    { box: "rep", kind, becomes },
  ],
  needs: [{ need: "calls", asked: "Study covered for calls", answer, why: answer === "yes" ? null : "It is too weak there." }],
  against: [
    { says: "Minutes of work", count: 5.5 },
    { says: "Cables to lay", count: 0 },
    { says: "Boxes in use", count: points },
  ],
  points,
});

const plan: Schemas["PlanDocument"] = {
  options: [option("repeater", "repeater behind Gateway by radio, Study", "yes", 40), option("unused", "not in use", "no", 1030)],
  proven: 1234,
  isCut: false,
};

function open(answer: unknown, status = 200) {
  vi.stubGlobal("fetch", () => Promise.resolve(Response.json(answer, { status })));
  const tools = jobTools();
  render(
    <MemoryRouter initialEntries={["/jobs/1/plan?options"]}>
      <ChakraProvider value={system}>
        <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
          <OptionsPane state={jobState({ design, proof, setUps: ["found", "planned"] })} tools={tools} />
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
    expect(row("Study covered for calls")).toBe("Study covered for callsyes no It is too weak there.");
    expect(row("Points")).toBe("Points401,030");
    // What speaks against none is left out.
    expect(row("Cables to lay")).toBeUndefined();
    expect(row("Minutes of work")).toBe("Minutes of work5.55.5");
    expect(screen.getByText(/1234 set-ups were proven\./)).toHaveTextContent(
      "takes the place of the plan that stands; undo brings that back",
    );
    fireEvent.click(screen.getByRole("button", { name: "Make option 2 the plan" }));
    expect(tools.chooseOption).toHaveBeenCalledExactlyOnceWith(2, expect.any(Function));
  });

  it("say when the search was cut short, and when there is no answer", async () => {
    open({ ...plan, isCut: true });
    expect(await screen.findByText(/cut short, and these are the best so far/)).toBeInTheDocument();
  });

  it("say why there are none", async () => {
    open({ type: "urn:altrin:problem:too-long", title: "It took too long.", status: 503, detail: "Try again." }, 503);
    expect(await screen.findByText("The options cannot be worked out.")).toBeInTheDocument();
  });
});
