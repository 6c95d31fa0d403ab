import { QueryClientProvider } from "@tanstack/react-query";
import { act, renderHook, waitFor } from "@testing-library/react";
import type { ReactNode } from "react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import type { Change } from "../../../api/client";
import { makeQueryClient } from "../../../queryClient";
import { useJob } from "../useJob";

const state = (version: number) => ({
  revision: version + 100,
  job: { id: 1, name: "Home", changedAt: "2026-01-01T00:00:00Z", archived: false },
  version,
  setUps: ["planned"],
  design: {},
  proof: { setUp: "planned" },
  undo: null,
  redo: null,
});
const change: Change = { kind: "unpatch", cable: "c" };

type Answer = [status: number, body: unknown] | "gone";
let answers: (request: Request) => Answer | Promise<Answer>;
const asked: Request[] = [];

beforeEach(() => {
  asked.length = 0;
  vi.stubGlobal("fetch", async (request: Request) => {
    asked.push(request.clone());
    const answer = await answers(request);
    if (answer === "gone") {
      throw new TypeError("failed to fetch");
    }
    request.signal.throwIfAborted();
    return new Response(JSON.stringify(answer[1]), { status: answer[0], headers: { "content-type": "application/json" } });
  });
});

afterEach(() => vi.unstubAllGlobals());

async function open() {
  const client = makeQueryClient();
  const { result } = renderHook(() => useJob(1, null), {
    wrapper: ({ children }: { children: ReactNode }) => <QueryClientProvider client={client}>{children}</QueryClientProvider>,
  });
  await waitFor(() => expect(result.current.job.data).toBeDefined());
  return result;
}

const posts = () => asked.filter((r) => r.method === "POST");

describe("useJob", () => {
  it("saves on the version that it saw and shows the answer", async () => {
    answers = (r) => (r.method === "GET" ? [200, state(7)] : [200, state(8)]);
    const job = await open();
    await act(() => job.current.tools.save([change]));
    expect(posts()[0]?.headers.get("If-Match")).toBe('"7"');
    expect(posts()[0]?.headers.get("Altrin-Tab")).toBeTruthy();
    await waitFor(() => expect(job.current.job.data?.version).toBe(8));
  });

  it("does a change once more on top of what another user did, and says so", async () => {
    answers = (r) =>
      r.method === "GET"
        ? [200, state(7)]
        : r.headers.get("If-Match") === '"7"'
          ? [
              412,
              {
                type: "urn:altrin:problem:stale",
                title: "changed",
                status: 412,
                detail: "The last change there: x.",
                head: state(9),
                clashes: [],
              },
            ]
          : [200, state(10)];
    const job = await open();
    await act(() => job.current.tools.save([change]));
    expect(posts().map((r) => [r.headers.get("If-Match"), r.headers.get("Altrin-Base")])).toEqual([
      ['"7"', "107"],
      ['"9"', "109"],
    ]);
    await waitFor(() => expect(job.current.status.notice).toContain("changed elsewhere"));
    expect(job.current.job.data?.version).toBe(10);
  });

  it.each([
    [true, "what was set here", 2, 10],
    [false, "what is there", 1, 9],
  ])("asks where both set the same, and %s keeps %s", async (mine, _, sent, version) => {
    const clashes = [{ what: "lease time of gw", setUp: "planned", yours: "60", theirs: "120" }];
    answers = (r) =>
      r.method === "GET"
        ? [200, state(7)]
        : r.headers.get("If-Match") === '"7"'
          ? [
              412,
              {
                type: "urn:altrin:problem:stale",
                title: "changed",
                status: 412,
                detail: "The last change there: x.",
                head: state(9),
                clashes,
              },
            ]
          : [200, state(10)];
    const job = await open();
    let saved: Promise<unknown> | undefined;
    act(() => void (saved = job.current.tools.save([change])));
    await waitFor(() => expect(job.current.status.asking?.clashes).toEqual(clashes));
    expect(posts()).toHaveLength(1);
    await act(async () => {
      job.current.tools.answer(mine);
      await saved;
    });
    expect(posts()).toHaveLength(sent);
    expect(job.current.status.asking).toBeNull();
    await waitFor(() => expect(job.current.job.data?.version).toBe(version));
  });

  it("tells the field why the server would not take it, and keeps the head", async () => {
    answers = (r) =>
      r.method === "GET"
        ? [200, state(7)]
        : [422, { type: "urn:altrin:problem:refused-change", title: "no", status: 422, detail: "10.0.0.0 is the network address." }];
    const job = await open();
    await act(async () => {
      await expect(job.current.tools.save([change])).rejects.toThrow("10.0.0.0 is the network address.");
    });
    expect(job.current.job.data?.version).toBe(7);
  });

  it("lets the newest try win, whichever answers last", async () => {
    const release: (() => void)[] = [];
    answers = async (r) => {
      if (r.method === "GET") {
        return [200, state(7)];
      }
      const turn = release.length;
      await new Promise<void>((go) => release.push(go));
      return [200, { version: 7, label: `try ${turn}`, design: {}, proof: {} }];
    };
    const job = await open();
    act(() => job.current.tools.attempt([change]));
    await waitFor(() => expect(release).toHaveLength(1));
    act(() => job.current.tools.attempt([change]));
    await waitFor(() => expect(release).toHaveLength(2));
    await act(async () => {
      release[1]?.();
      await Promise.resolve();
      release[0]?.();
    });
    await waitFor(() => expect(job.current.preview?.label).toBe("try 1"));
    act(() => job.current.tools.attempt(null));
    expect(job.current.preview).toBeNull();
  });

  it("does not go back to what was read before a save and answered after it", async () => {
    let late: (() => void) | undefined;
    let reads = 0;
    answers = async (r) => {
      if (r.method !== "GET") {
        return [200, state(8)];
      }
      if (reads++ > 0) {
        await new Promise<void>((go) => (late = go));
      }
      return [200, state(7)];
    };
    const job = await open();
    act(() => void job.current.job.refetch());
    await waitFor(() => expect(late).toBeDefined());
    await act(() => job.current.tools.save([change]));
    await waitFor(() => expect(job.current.job.data?.version).toBe(8));
    await act(async () => {
      late?.();
      // As many turns of the loop as the answer needs to get through.
      for (let turns = 0; turns < 20; turns++) {
        await new Promise((turn) => setTimeout(turn, 0));
      }
    });
    expect(job.current.job.data?.version).toBe(8);
  });

  it("takes a second press while the first is on its way for the same, and keeps different ones in order", async () => {
    const waiting: (() => void)[] = [];
    answers = async (r) => {
      if (r.method === "GET") {
        return [200, state(7)];
      }
      await new Promise<void>((go) => waiting.push(go));
      return [200, state(7 + posts().length)];
    };
    const other: Change = { kind: "unpatch", cable: "d" };
    const job = await open();
    act(() => {
      job.current.tools.act([change]);
      job.current.tools.act([change]);
      // A form saves as a button does.
      void job.current.tools.save([change]);
      void job.current.tools.save([other]);
      job.current.tools.act([other]);
    });
    await waitFor(() => expect(job.current.status.busy).toBe(true));
    for (const sent of [1, 2]) {
      await waitFor(() => expect(waiting).toHaveLength(sent));
      act(() => waiting[sent - 1]?.());
    }
    await waitFor(() => expect(job.current.status.busy).toBe(false));
    expect(await Promise.all(posts().map((r) => r.json()))).toEqual([change, other].map((c) => ({ setUp: "planned", changes: [c] })));
    // What was answered can be asked for again.
    act(() => job.current.tools.act([change]));
    await waitFor(() => expect(waiting).toHaveLength(3));
  });

  it("says what is refused, and lets it be pressed again", async () => {
    const refused = (title: string): Answer => [422, { type: "urn:altrin:problem:refused-change", title, status: 422, detail: title }];
    answers = (r) => (r.method === "GET" ? [200, state(7)] : refused(`No ${posts().length}`));
    const job = await open();
    act(() => {
      job.current.tools.act([change]);
      job.current.tools.act([{ kind: "unpatch", cable: "d" }]);
    });
    await waitFor(() => expect(job.current.status.notice).toContain("No 2"));
    act(() => job.current.tools.act([change]));
    await waitFor(() => expect(job.current.status.notice).toContain("No 3"));
  });

  it("hands on the same tools while something is tried and saved", async () => {
    answers = (r) => (r.method === "GET" ? [200, state(7)] : [200, state(8)]);
    const job = await open();
    const { tools } = job.current;
    act(() => tools.attempt([change]));
    await waitFor(() => expect(job.current.preview).not.toBeNull());
    await act(() => tools.save([change]));
    await waitFor(() => expect(job.current.job.data?.version).toBe(8));
    expect(job.current.tools).toBe(tools);
  });

  it("asks before it undoes what another tab did", async () => {
    answers = (r) =>
      r.method === "GET"
        ? [200, state(7)]
        : r.url.includes("evenOthers=true")
          ? [200, state(8)]
          : [409, { type: "urn:altrin:problem:other-tab", title: "other", status: 409, detail: "It was: x.", head: state(7) }];
    const job = await open();
    act(() => job.current.tools.undo());
    await waitFor(() => expect(job.current.status.otherTab).toBe("It was: x."));
    act(() => job.current.tools.undo(true));
    await waitFor(() => expect(job.current.job.data?.version).toBe(8));
    expect(job.current.status.otherTab).toBeNull();
  });

  it.each(["visible", "hidden"] as const)("tries a save again for as long as the server is gone, on a %s page", async (visibility) => {
    vi.useFakeTimers({ shouldAdvanceTime: true });
    vi.spyOn(document, "visibilityState", "get").mockReturnValue(visibility);
    let gone = 2;
    answers = (r) => (r.method === "GET" ? [200, state(7)] : gone-- > 0 ? "gone" : [200, state(8)]);
    const job = await open();
    act(() => job.current.tools.act([change]));
    await act(() => vi.advanceTimersByTimeAsync(4000));
    await waitFor(() => expect(job.current.job.data?.version).toBe(8));
    expect(posts()).toHaveLength(3);
    vi.restoreAllMocks();
    vi.useRealTimers();
  });
});
