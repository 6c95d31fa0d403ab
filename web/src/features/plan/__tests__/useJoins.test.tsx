import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { renderHook, waitFor } from "@testing-library/react";
import type { ReactNode } from "react";
import { afterEach, describe, expect, it, vi } from "vitest";
import { useJoins } from "../useJoins";
import { jobState } from "../../shared/__tests__/fixtures";

const state = jobState({ proof: { setUp: "planned" } });

afterEach(() => vi.unstubAllGlobals());

describe("what a box could join", () => {
  it("is said of that box, and never of the one that was looked at before", async () => {
    const answers: (() => void)[] = [];
    vi.stubGlobal(
      "fetch",
      (request: Request) =>
        new Promise<Response>((answer) => {
          const box = new URL(request.url).searchParams.get("box");
          answers.push(() => answer(Response.json({ box, heard: [], mainNodes: [`main of ${box ?? ""}`], kitNodes: [] })));
        }),
    );
    const client = new QueryClient();
    const wrapper = ({ children }: { children: ReactNode }) => <QueryClientProvider client={client}>{children}</QueryClientProvider>;
    const { result, rerender } = renderHook(({ box }) => useJoins(state, box), { wrapper, initialProps: { box: "a" } });
    expect(result.current).toBeUndefined();
    await waitFor(() => expect(answers).toHaveLength(1));
    answers[0]?.();
    await waitFor(() => expect(result.current?.mainNodes).toEqual(["main of a"]));
    rerender({ box: "b" });
    expect(result.current).toBeUndefined();
    await waitFor(() => expect(answers).toHaveLength(2));
    answers[1]?.();
    await waitFor(() => expect(result.current?.mainNodes).toEqual(["main of b"]));
  });
});
