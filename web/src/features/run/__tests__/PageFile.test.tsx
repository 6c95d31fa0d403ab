import { ChakraProvider } from "@chakra-ui/react";
import { fireEvent, render, screen, waitFor } from "@testing-library/react";
import { afterEach, beforeEach, expect, it, vi } from "vitest";
import type { Schemas } from "../../../api/client";
import { system } from "../../../ui/theme";
import { PageFile } from "../PageFile";

let body: ReadableStreamDefaultController<Uint8Array>;
let signal: AbortSignal;
const kept = vi.fn();
const send = (text: string) => body.enqueue(new TextEncoder().encode(text));

beforeEach(() => {
  kept.mockClear();
  URL.createObjectURL = (blob) => {
    kept(blob);
    return "blob:1";
  };
  URL.revokeObjectURL = vi.fn();
  vi.stubGlobal(
    "fetch",
    vi.fn((_: string, asked: { signal: AbortSignal }) => {
      signal = asked.signal;
      const stream = new ReadableStream<Uint8Array>({
        start: (c) => {
          body = c;
          signal.addEventListener("abort", () => c.error(signal.reason));
        },
      });
      return Promise.resolve(new Response(stream, { headers: { "content-disposition": 'attachment; filename="sheet.html"' } }));
    }),
  );
  const steps = [{ id: "a" }, { id: "b" }] as Schemas["SheetStepDocument"][];
  render(
    <ChakraProvider value={system}>
      <PageFile address="/page" steps={steps} />
    </ChakraProvider>,
  );
});
afterEach(() => vi.unstubAllGlobals());

const begin = async () => {
  fireEvent.click(screen.getByRole("button", { name: /^Page with ticks/ }));
  expect(await screen.findByText("0 of 2 steps")).toBeDefined();
  send('<p><li id="');
  send('a">');
  expect(await screen.findByText("1 of 2 steps")).toBeDefined();
};

it("says how many steps are worked out, and keeps the page whole", async () => {
  await begin();
  send('<li id="b">é</p>');
  body.close();
  expect(await screen.findByRole("button", { name: /^Page with ticks/ })).toBeDefined();
  expect(await (kept.mock.calls[0]?.[0] as Blob).text()).toBe('<p><li id="a"><li id="b">é</p>');
});

it("is stopped, and nothing is kept", async () => {
  await begin();
  fireEvent.click(screen.getByRole("button", { name: "Stop" }));
  expect(await screen.findByRole("button", { name: /^Page with ticks/ })).toBeDefined();
  expect(signal.aborted).toBe(true);
  expect(screen.queryByRole("alert")).toBeNull();
  expect(kept).not.toHaveBeenCalled();
});

it("says that the page came only in part", async () => {
  await begin();
  body.error(new TypeError("network error"));
  await waitFor(() => expect(screen.getByRole("alert").textContent).toContain("The connection ended before the file did."));
  expect(kept).not.toHaveBeenCalled();
});
