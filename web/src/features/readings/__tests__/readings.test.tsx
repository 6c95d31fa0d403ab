import { ChakraProvider } from "@chakra-ui/react";
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { fireEvent, render, screen, waitFor } from "@testing-library/react";
import { useState } from "react";
import { MemoryRouter } from "react-router";
import { afterEach, describe, expect, it, vi } from "vitest";
import type { Schemas } from "../../../api/client";
import { system } from "../../../ui/theme";
import { demo } from "../../shared/__tests__/demo";
import type { JobTools } from "../../shared/jobTools";
import { contentOf, isEmpty, momentField } from "../content";
import { SpeedPart } from "../SpeedPart";
import { Taken } from "../Taken";
import { TakePart, type Draft } from "../TakePart";
import { jobState, jobTools } from "../../shared/__tests__/fixtures";

const { design, proof } = demo();
const state = jobState({ job: { id: 7 }, revision: 3, setUps: ["found"], design, proof });

const statement = (id: string, agreement: Schemas["Agreement"], offer: string | null, suggested: boolean): Schemas["Statement"] => ({
  id,
  line: 1,
  found: `Found ${id}.`,
  agreement,
  recorded: `Recorded ${id}.`,
  explanations: agreement === "disagrees" ? [{ text: "The cable is in another port.", findings: ["Two DHCP servers answer."] }] : [],
  offer,
  suggested,
});

const view = (statements: Schemas["Statement"][]): Schemas["ReadingView"] => ({
  reading: {
    lines: 3,
    blocks: [{ kind: "addressTable", first: 1, last: 2 }],
    unread: [{ line: 3, text: "the kettle is on", why: "No address." }],
    unreadCount: 1,
  },
  comparison: { seat: "laptop in port 4", machine: null, statements, outside: null, baseline: [] },
});

/** Answers every reading with the same view, and remembers what was asked. */
function serve(answer: Schemas["ReadingView"] | null) {
  const asked: unknown[] = [];
  vi.stubGlobal("fetch", async (request: Request) => {
    asked.push(await request.json());
    return answer
      ? new Response(JSON.stringify(answer), { status: 200, headers: { "content-type": "application/json" } })
      : new Response(
          JSON.stringify({
            type: "urn:altrin:problem:bad-value",
            title: "A value cannot be taken.",
            detail: "At most 1,000,000 characters are read.",
            status: 422,
          }),
          { status: 422, headers: { "content-type": "application/problem+json" } },
        );
  });
  return asked;
}

afterEach(() => vi.unstubAllGlobals());

const show = (keepReading: JobTools["keepReading"], kept = vi.fn()) => {
  render(
    <QueryClientProvider client={new QueryClient()}>
      <ChakraProvider value={system}>
        <MemoryRouter>
          <Taken
            state={state}
            tools={jobTools({ keepReading })}
            content={{ text: "arp" }}
            name="pasted"
            where={{ seat: "hall-gateway/lan4", place: "hall", at: null }}
            kept={kept}
          />
        </MemoryRouter>
      </ChakraProvider>
    </QueryClientProvider>,
  );
  return kept;
};

describe("Runs of a speed test", () => {
  it("say their other end where that is in the home", async () => {
    const asked: Schemas["ReadingContent"][] = [];
    const seats: Schemas["Seat"][] = [
      { id: "printer", kind: "device", name: "Printer", asks: true },
      { id: "hall-gateway/lan4", kind: "port", name: "laptop in port 4", asks: false },
    ];
    vi.stubGlobal("fetch", async (request: Request) => {
      if (request.method === "POST") {
        asked.push(((await request.json()) as { content: Schemas["ReadingContent"] }).content);
      }
      return new Response(JSON.stringify(request.method === "POST" ? view([]) : seats), {
        status: 200,
        headers: { "content-type": "application/json" },
      });
    });
    render(
      <QueryClientProvider client={new QueryClient()}>
        <ChakraProvider value={system}>
          <SpeedPart state={state} tools={jobTools({})} where={{ seat: "hall-gateway/lan4", place: "hall", at: null }} setWhere={vi.fn()} />
        </ChakraProvider>
      </QueryClientProvider>,
    );
    await screen.findAllByRole("option", { name: "Printer" });
    const add = (down: string) => {
      fireEvent.change(screen.getByLabelText("Down, Mb/s"), { target: { value: down } });
      fireEvent.click(screen.getByRole("button", { name: "Add the run" }));
    };
    add("-5");
    expect(screen.getByRole("alert")).toHaveTextContent("A rate towards the home in Mb/s is expected");
    add("141,5");
    fireEvent.change(screen.getByLabelText("Other end"), { target: { value: "printer" } });
    add("92");
    const ends = screen.getByLabelText("Other end").querySelectorAll("optgroup");
    expect([...ends].map((g) => g.label)).toEqual(["Devices"]);
    await waitFor(() =>
      expect(asked.at(-1)?.runs?.map((r) => [r.downMbps, r.to])).toEqual([
        [141.5, null],
        [92, "printer"],
      ]),
    );
    expect(screen.getAllByRole("row").map((r) => r.querySelectorAll("td")[2]?.textContent)).toEqual([undefined, "internet", "Printer"]);
  });
});

describe("A reading that was taken", () => {
  it("shows what disagrees first, with what would explain it, and what was not read", async () => {
    serve(view([statement("a", "agrees", null, false), statement("b", "disagrees", null, false), statement("c", "unknown", null, false)]));
    show(vi.fn());
    await screen.findByText("Found b.");
    expect(screen.getAllByRole("heading", { level: 3 }).map((h) => h.textContent)).toEqual([
      "Disagrees (1)",
      "Not settled (1)",
      "Agrees (1)",
    ]);
    expect(screen.getByText("The cable is in another port.")).toBeVisible();
    expect(screen.getByText(/Two DHCP servers answer/)).toBeVisible();
    expect(screen.getByText("1 line was not read")).toBeVisible();
    expect(screen.queryByRole("checkbox")).toBeNull();
  });

  it("takes over what is suggested, and what is ticked beside it, in one act", async () => {
    const asked = serve(view([statement("b", "disagrees", "the other address", false), statement("c", "unknown", "a device", true)]));
    const keep = vi.fn<JobTools["keepReading"]>().mockResolvedValue(state);
    const kept = show(keep);
    const [other, device] = (await screen.findAllByRole("checkbox")) as HTMLInputElement[];
    expect([other?.checked, device?.checked]).toEqual([false, true]);
    fireEvent.click(screen.getByLabelText(/the other address/));
    fireEvent.click(screen.getByRole("button", { name: "Accept 2 and keep the reading" }));
    await waitFor(() => expect(kept).toHaveBeenCalledWith(2));
    expect(keep).toHaveBeenCalledWith(
      expect.objectContaining({
        accepted: ["b", "c"],
        content: { text: "arp" },
        seat: "hall-gateway/lan4",
        place: "hall",
        takenAt: null,
        name: "pasted",
      }),
    );
    expect(asked[0]).toEqual({ content: { text: "arp" }, setUp: proof.setUp, seat: "hall-gateway/lan4", place: "hall" });
  });

  it("takes over none or all at a press", async () => {
    serve(view([statement("b", "disagrees", "one", false), statement("c", "unknown", "two", true)]));
    show(vi.fn());
    fireEvent.click(await screen.findByRole("button", { name: "Accept none" }));
    screen.getByRole("button", { name: "Keep the reading" });
    fireEvent.click(screen.getByRole("button", { name: "Accept all" }));
    screen.getByRole("button", { name: "Accept 2 and keep the reading" });
  });

  it("says what the server would not take, and keeps everything", async () => {
    serve(view([statement("c", "unknown", "a device", true)]));
    const kept = show(vi.fn<JobTools["keepReading"]>().mockRejectedValue(new Error("That cannot be taken over.")));
    fireEvent.click(await screen.findByRole("button", { name: /Accept 1/ }));
    expect(await screen.findByRole("alert")).toHaveTextContent("That cannot be taken over.");
    expect(kept).not.toHaveBeenCalled();
    expect(screen.getByRole("checkbox")).toBeChecked();
  });

  it("says why a text is refused", async () => {
    serve(null);
    show(vi.fn());
    expect(await screen.findByRole("alert")).toHaveTextContent("At most 1,000,000 characters are read.");
  });
});

describe("A text", () => {
  const Holding = () => {
    const [draft, setDraft] = useState<Draft>({ content: { text: "" }, file: null });
    return (
      <TakePart
        state={state}
        tools={{} as JobTools}
        where={{ seat: null, place: null, at: null }}
        setWhere={vi.fn()}
        draft={draft}
        setDraft={setDraft}
      />
    );
  };

  it("is read as soon as it is pasted or dropped, and cleared at a press", async () => {
    const asked: unknown[] = [];
    vi.stubGlobal("fetch", async (request: Request) => {
      const seats = new URL(request.url).pathname.endsWith("/seats");
      if (!seats) {
        asked.push(((await request.json()) as { content: unknown }).content);
      }
      return new Response(JSON.stringify(seats ? [] : view([statement("a", "agrees", null, false)])), {
        status: 200,
        headers: { "content-type": "application/json" },
      });
    });
    render(
      <QueryClientProvider client={new QueryClient()}>
        <ChakraProvider value={system}>
          <MemoryRouter>
            <Holding />
          </MemoryRouter>
        </ChakraProvider>
      </QueryClientProvider>,
    );
    const field = screen.getByLabelText<HTMLTextAreaElement>("What the machine printed, as it is");
    fireEvent.change(field, { target: { value: "arp -a" } });
    await screen.findByText("Found a.");
    fireEvent.drop(screen.getByRole("region", { name: "What was printed" }), { dataTransfer: { files: [file([0x61, 0x62])] } });
    await waitFor(() => expect(asked).toEqual([{ text: "arp -a" }, { text: "ab" }]));
    expect(field).toHaveValue("ab");
    fireEvent.click(screen.getByRole("button", { name: "Clear" }));
    expect(field).toHaveValue("");
    await waitFor(() => expect(screen.queryByText("Found a.")).toBeNull());
  });
});

const file = (bytes: number[]) => ({ name: "dropped.txt", arrayBuffer: () => Promise.resolve(new Uint8Array(bytes).buffer) }) as File;

describe("A file", () => {
  it.each([
    ["UTF-8", [0xc3, 0xa4, 0x31], { text: "ä1" }],
    ["UTF-16, little end first", [0xff, 0xfe, 0xe4, 0x00, 0x31, 0x00], { text: "ä1" }],
    ["UTF-16, big end first", [0xfe, 0xff, 0x00, 0xe4, 0x00, 0x31], { text: "ä1" }],
    ["an older encoding", [0xe4, 0x31], { text: "ä1" }],
    ["a capture", [0xd4, 0xc3, 0xb2, 0xa1, 0, 1], { capture: "1MOyoQAB" }],
  ])("in %s is read", async (_, bytes, content) => {
    expect(await contentOf(file(bytes))).toEqual(content);
  });

  it("or text that is empty is nothing to read", () => {
    expect([isEmpty({ text: " \n" }), isEmpty({}), isEmpty({ capture: "AA" }), isEmpty({ runs: [] })]).toEqual([true, true, false, false]);
  });

  it("has a moment that the field for it takes", () => {
    expect(momentField(new Date(2026, 10, 24, 9, 5))).toBe("2026-11-24T09:05");
  });
});
