import { ChakraProvider } from "@chakra-ui/react";
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { render, screen } from "@testing-library/react";
import { MemoryRouter, Route, Routes } from "react-router";
import { afterEach, expect, it, vi } from "vitest";
import { system } from "../../../ui/theme";
import JobScreen from "../JobScreen";

function open(address: string) {
  render(
    <ChakraProvider value={system}>
      <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
        <MemoryRouter initialEntries={[address]}>
          <Routes>
            <Route path="/jobs/:id/:station" element={<JobScreen />} />
          </Routes>
        </MemoryRouter>
      </QueryClientProvider>
    </ChakraProvider>,
  );
}

const ways = () => screen.getAllByRole("link").map((l) => [l.textContent, l.getAttribute("href")]);

afterEach(() => vi.unstubAllGlobals());

it("leads on from an address of a job that is no page of it", () => {
  vi.stubGlobal("fetch", vi.fn().mockResolvedValue(new Response("{}", { status: 404 })));
  open("/jobs/7/anything-else");
  expect(screen.getByRole("alert").textContent).toContain("This job has no such page.");
  expect(ways()).toEqual([
    ["Plan of this job", "/jobs/7/plan"],
    ["All jobs", "/"],
  ]);
});

it("leads back to the list from a job that does not open", async () => {
  const problem = { title: "There is no such job.", status: 404 };
  vi.stubGlobal(
    "fetch",
    vi.fn().mockImplementation(() => Promise.resolve(new Response(JSON.stringify(problem), { status: 404 }))),
  );
  open("/jobs/7/plan");
  expect((await screen.findByRole("alert")).textContent).toContain("This job cannot be opened.");
  expect(ways()).toEqual([["All jobs", "/"]]);
});
