import { ChakraProvider } from "@chakra-ui/react";
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { fireEvent, render, screen, waitFor } from "@testing-library/react";
import { MemoryRouter } from "react-router";
import { afterEach, beforeEach, expect, it, vi } from "vitest";
import { jobState, jobTools } from "../../shared/__tests__/fixtures";
import { system } from "../../../ui/theme";
import RunStation from "../RunStation";

const sheets = [
  { id: 2, name: "to a set-up that is gone", keptAt: "2026-11-30T18:00:00Z" },
  { id: 1, name: "the first", keptAt: "2026-11-29T18:00:00Z" },
];
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
  vi.stubGlobal("matchMedia", () => ({ matches: true, addEventListener: vi.fn(), removeEventListener: vi.fn() }));
  vi.stubGlobal(
    "fetch",
    vi.fn((request: Request) => {
      const path = new URL(request.url).pathname;
      return Promise.resolve(
        path.endsWith("/sheets")
          ? new Response(JSON.stringify(sheets), { headers: { "content-type": "application/json" } })
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

it("leads on from a sheet that cannot be played", async () => {
  const state = jobState({ revision: 3, design: { site: { name: "Home", boxes: [], devices: [] }, setUps: [] } });
  render(
    <ChakraProvider value={system}>
      <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
        <MemoryRouter>
          <RunStation tools={jobTools({ job: { data: state, error: null, refetch: vi.fn() } })} />
        </MemoryRouter>
      </QueryClientProvider>
    </ChakraProvider>,
  );
  expect((await screen.findByRole("alert")).textContent).toContain("This run sheet cannot be played.There is no set-up 'one-network'.");
  fireEvent.change(screen.getByLabelText("Shown"), { target: { value: "1" } });
  await waitFor(() => expect(screen.getByText("Plays through from found to planned, and breaks nothing.")).toBeDefined());
});
