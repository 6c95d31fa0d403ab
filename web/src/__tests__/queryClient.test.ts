import { expect, test, vi } from "vitest";
import { ProblemError, ServerGone } from "../api/client";
import { makeQueryClient } from "../queryClient";

const problem = (type: string) => new ProblemError({ type: `urn:altrin:problem:${type}`, title: "No.", status: 503 });

// What comes, how often a question and a save are tried where it comes for two minutes.
test.each([
  ["too busy", problem("busy"), 7, 7],
  ["refused", problem("no-job"), 1, 1],
  ["gone", new ServerGone(), 1, 81],
])("%s: asked %i times, saved %i times", async (_, error, asked, saved) => {
  vi.useFakeTimers();
  try {
    const client = makeQueryClient();
    const fetch = vi.fn(() => Promise.reject(error));
    const save = vi.fn(() => Promise.reject(error));
    client.fetchQuery({ queryKey: ["any"], queryFn: fetch }).catch(() => null);
    const mutations = client.getMutationCache();
    mutations
      .build(client, { mutationFn: save })
      .execute(undefined)
      .catch(() => null);
    await vi.advanceTimersByTimeAsync(120_000);
    expect([fetch.mock.calls.length, save.mock.calls.length]).toEqual([asked, saved]);
    client.clear();
  } finally {
    vi.useRealTimers();
  }
});
