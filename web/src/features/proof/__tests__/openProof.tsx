import { ChakraProvider } from "@chakra-ui/react";
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { render } from "@testing-library/react";
import { MemoryRouter } from "react-router";
import { vi } from "vitest";
import type { JobState } from "../../../api/client";
import { system } from "../../../ui/theme";
import { demo } from "../../shared/__tests__/demo";
import { jobTools } from "../../shared/__tests__/fixtures";
import ProofStation from "../ProofStation";

export const { design, proof } = demo();
export const state = {
  job: { id: 1, name: "Pottery house", changedAt: "2026-11-25T08:00:00Z", archived: false },
  version: 1,
  revision: 1,
  setUps: ["found", "planned"],
  design,
  proof,
  undo: null,
  redo: null,
} as JobState;

/** The station at an address, with a server that answers what it is told to. */
export function openProof(query: string, answers: Record<string, unknown> = {}, shown = state, tools = jobTools()) {
  const asked: string[] = [];
  vi.stubGlobal("fetch", (request: Request) => {
    const url = new URL(request.url);
    asked.push(url.pathname + url.search);
    const found = Object.entries(answers).find(([path]) => url.pathname.endsWith(path));
    return Promise.resolve(
      found
        ? Response.json(found[1])
        : Response.json({ type: "urn:altrin:problem:bad-value", title: "No", status: 422, detail: "Not that." }, { status: 422 }),
    );
  });
  render(
    <MemoryRouter initialEntries={[`/jobs/1/proof${query}`]}>
      <ChakraProvider value={system}>
        <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
          <ProofStation state={shown} tools={tools} />
        </QueryClientProvider>
      </ChakraProvider>
    </MemoryRouter>,
  );
  return asked;
}
