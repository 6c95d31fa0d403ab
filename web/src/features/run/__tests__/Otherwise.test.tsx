import { ChakraProvider } from "@chakra-ui/react";
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { fireEvent, render, screen } from "@testing-library/react";
import { expect, it, vi } from "vitest";
import type { Schemas } from "../../../api/client";
import { system } from "../../../ui/theme";
import { Otherwise } from "../Otherwise";

it("works out how it goes on once it is looked at, and says whether that is safe", async () => {
  const branch: Schemas["BranchDocument"] = {
    if: "the login does not work",
    steps: [{ says: "Reset Box", seconds: 60, lines: [] }],
    takes: { least: 60, usual: 120, most: 300, noted: false },
    verdict: [{ tone: "bad", says: "It does not lead all the way to the plan:", items: ["The page opens from nowhere."] }],
  };
  const queryFn = vi.fn(() => Promise.resolve([branch]));
  render(
    <ChakraProvider value={system}>
      <QueryClientProvider client={new QueryClient()}>
        <Otherwise job={1} at={3} ask={{ queryKey: ["otherwise"], queryFn }} />
      </QueryClientProvider>
    </ChakraProvider>,
  );
  const fold = screen.getByText("If it comes out otherwise").closest("details");
  expect(queryFn).not.toHaveBeenCalled();
  fold?.setAttribute("open", "");
  fireEvent(fold ?? document, new Event("toggle"));
  expect((await screen.findByRole("heading")).textContent).toBe("If the login does not work: 1 step from here, about 2 min");
  expect(screen.getByRole("alert").textContent).toBe("It does not lead all the way to the plan:The page opens from nowhere.");
  expect(fold?.textContent).toContain("Reset Box (1 min)");
});
