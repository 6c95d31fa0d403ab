import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { renderHook, waitFor } from "@testing-library/react";
import type { ReactNode } from "react";
import { afterEach, describe, expect, it, vi } from "vitest";
import type { JobState } from "../../../api/client";
import { demo } from "../../shared/__tests__/demo";
import { useLongWay } from "../useLongWay";

const { design, proof } = demo();
const [first, second] = proof.facts.internet.map((i) => i.device) as [string, string];
const internet = proof.facts.internet.map((i) => (i.device === first ? { ...i, links: ["a"], moreLinks: 2 } : i));
const state = { job: { id: 1 }, version: 1, design, proof: { ...proof, facts: { ...proof.facts, internet } } } as JobState;

afterEach(() => vi.unstubAllGlobals());

describe("the whole way of a device", () => {
  it("is asked for where links are left out, and not for what came with all of them", async () => {
    const asked: string[] = [];
    vi.stubGlobal("fetch", (request: Request) => {
      asked.push(new URL(request.url).search);
      return Promise.resolve(Response.json({ ...internet[0], device: first, links: ["a", "b", "c"], slowest: "b" }));
    });
    const client = new QueryClient();
    const wrapper = ({ children }: { children: ReactNode }) => <QueryClientProvider client={client}>{children}</QueryClientProvider>;
    const { result, rerender } = renderHook(({ id }) => useLongWay(state, { kind: "device", id }), {
      wrapper,
      initialProps: { id: second },
    });
    expect(result.current).toBeUndefined();
    rerender({ id: first });
    await waitFor(() => expect(result.current).toEqual({ links: new Set(["a", "b", "c"]), slowest: "b" }));
    // That of another device is not taken for its own.
    rerender({ id: second });
    expect(result.current).toBeUndefined();
    expect(asked).toEqual([`?setUp=${proof.setUp}&device=${first}`]);
  });
});
