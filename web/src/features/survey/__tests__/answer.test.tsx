import { ChakraProvider } from "@chakra-ui/react";
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { fireEvent, render, screen } from "@testing-library/react";
import type { ReactElement } from "react";
import { MemoryRouter } from "react-router";
import { describe, expect, it, vi } from "vitest";
import type { Schemas } from "../../../api/client";
import { system } from "../../../ui/theme";
import { demo } from "../../shared/__tests__/demo";
import { jobState, jobTools } from "../../shared/__tests__/fixtures";
import { Answer } from "../Answer";
import { plan, view } from "./surveyed";

const { design, proof } = demo();
const state = jobState({ job: { id: 7 }, revision: 3, setUps: ["found"], design, proof });

const options = (data: Schemas["PlanDocument"] | undefined, error: Error | null = null) => ({
  data,
  error,
  isPlaceholderData: false,
  refetch: vi.fn(),
});

const show = (element: ReactElement) =>
  render(
    <MemoryRouter>
      <ChakraProvider value={system}>
        <QueryClientProvider client={new QueryClient()}>{element}</QueryClientProvider>
      </ChakraProvider>
    </MemoryRouter>,
  );

describe("What it adds up to", () => {
  it("says the answer, what is not known with how to find out, and why a box is left off", () => {
    const [choose, startPlan] = [vi.fn(), vi.fn()];
    show(<Answer state={state} view={view} options={options(plan)} error={null} tools={jobTools({ startPlan })} choose={choose} />);
    expect(screen.getByRole("heading", { name: "One cable to Study is enough." })).toBeVisible();
    expect(screen.queryByText(/So far/)).toBeNull();
    expect(screen.getByText("Leave it off")).toBeVisible();
    fireEvent.click(screen.getByText("Its label is not read."));
    expect(choose).toHaveBeenCalledWith("hall-gateway");
    expect(screen.getByText("It is a relic.")).toBeVisible();
    fireEvent.click(screen.getByText("Start the plan from what was found"));
    expect(startPlan).toHaveBeenCalledOnce();
  });

  it("offers the comparison once there is a plan", () => {
    show(
      <Answer
        state={{ ...state, setUps: ["found", "planned"] }}
        view={view}
        options={options(plan)}
        error={null}
        tools={jobTools()}
        choose={vi.fn()}
      />,
    );
    const link = screen.getByRole("link", { name: "Compare what was found with the plan" });
    expect(link.getAttribute("href")).toContain("before=3.found&after=3.planned");
    expect(screen.getByRole("link", { name: "See the options" }).getAttribute("href")).toContain("plan?options");
  });

  // What is not known yet stands there before the search has come to anything, and when it fails.
  it.each([
    ["Working out what each box could become", options(undefined)],
    ["So far: the search for options goes on.", options({ ...plan, isRunning: true })],
    ["The options cannot be worked out.", options(undefined, new Error("The server is busy."))],
  ])("says %s", (says, asked) => {
    show(<Answer state={state} view={view} options={asked} error={null} tools={jobTools()} choose={vi.fn()} />);
    expect(screen.getByText(new RegExp(says))).toBeVisible();
    expect(screen.getByText("Its label is not read.")).toBeVisible();
    expect(screen.getByText("It sends on 2.4 GHz only.")).toBeVisible();
  });
});
