import { ChakraProvider } from "@chakra-ui/react";
import { fireEvent, render, screen } from "@testing-library/react";
import { expect, it, vi } from "vitest";
import type { Schemas } from "../../../api/client";
import { part } from "../../shared/__tests__/fixtures";
import { system } from "../../../ui/theme";
import { StepCard } from "../StepCard";
import { StepList } from "../StepList";
import { clock, lasting } from "../time";

const step = (known: Parameters<typeof part<Schemas["PlayedStepDocument"]>>[0] = {}) =>
  part<Schemas["PlayedStepDocument"]>({
    number: 1,
    says: "Open the page of Attic point",
    lines: [],
    beginsAt: 3725,
    takes: { least: 10, usual: 30, most: 120, noted: false },
    then: null,
    refused: null,
    if: null,
    otherwise: [],
    breaks: [],
    departs: [],
    offline: [],
    ...(known as object),
  });

const card = (s: Schemas["PlayedStepDocument"] | undefined, at = 1) =>
  render(
    <ChakraProvider value={system}>
      <StepCard job={1} step={s} at={at} last={2} go={vi.fn()} from="found" name={(id) => `the ${id}`} />
    </ChakraProvider>,
  );

it.each([
  [0, "00:00", "0 s"],
  [59, "00:59", "59 s"],
  [60, "01:00", "1 min"],
  [80, "01:20", "1 min 20 s"],
  [3600, "1:00:00", "60 min"],
  [3725, "1:02:05", "62 min 5 s"],
])("says %i seconds", (seconds, at, long) => expect([clock(seconds), lasting(seconds)]).toEqual([at, long]));

it("tells of each step in the list what is wrong with it", () => {
  const go = vi.fn();
  render(
    <ChakraProvider value={system}>
      <StepList
        at={2}
        go={go}
        follow={false}
        steps={[
          step({ number: 1, refused: "It has no power." }),
          step({
            number: 2,
            breaks: [
              { number: 4, code: "x", text: "" },
              { number: 7, code: "y", text: "" },
            ],
          }),
          step({ number: 3, otherwise: ["the login does not work"] }),
          step({ number: 4 }),
        ]}
      />
    </ChakraProvider>,
  );
  const rows = screen.getAllByRole("button");
  expect(rows.map((r) => (r.textContent ?? "").split(" · ")[1])).toEqual([
    "cannot be done",
    "breaks rule 4 and 7",
    "look which it is",
    undefined,
  ]);
  expect(rows.map((r) => r.getAttribute("aria-current"))).toEqual([null, "step", null, null]);
  expect(rows[0]?.textContent).toContain("1:02:05");
  fireEvent.click(rows[3] as HTMLElement);
  expect(go).toHaveBeenCalledWith(4);
});

it("says how long a step and its box take, and who is without internet meanwhile", () => {
  card(step({ then: { least: 60, usual: 80, most: 180, noted: true }, offline: ["desk", "recorder"] }));
  const text = screen.getByRole("region", { name: "This step" }).textContent;
  expect(text).toContain("About 30 s; then ready after 1 min 20 s (1 min to 3 min, noted of its kind). ");
  expect(text).toContain("Without internet meanwhile: the desk, the recorder.");
});

it("says instead why a step cannot be done", () => {
  card(step({ refused: "Attic point has no power." }));
  expect(screen.getByRole("alert").textContent).toBe("Cannot be done: Attic point has no power.");
  expect(screen.getByRole("region", { name: "This step" }).textContent).not.toContain("About");
});

it("shows values field by field, and what has none as a list", () => {
  card(
    step({
      lines: [
        { what: "Wi-Fi name", value: "rowan", isSecret: false },
        { what: "Wi-Fi password", value: "house-key", isSecret: true },
      ],
    }),
  );
  expect(screen.getByText("rowan").tagName).toBe("SPAN");
  // A reference is never shown as if it were the password.
  expect(screen.queryByText("house-key")).toBeNull();
  expect(screen.getByRole("button", { name: "Show: Wi-Fi password" })).toBeDefined();
});

it("begins with the home as it was found", () => {
  card(undefined, 0);
  expect(screen.getByRole("heading").textContent).toBe("The home as it is in the set-up found");
  expect(screen.getByRole("button", { name: /Back/ })).toHaveProperty("disabled", true);
});
