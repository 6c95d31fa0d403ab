import { fireEvent, render, screen } from "@testing-library/react";
import { beforeEach, describe, expect, it, vi } from "vitest";
import { singleKeys, useShortcuts } from "../shortcuts";

const next = vi.fn();
const undo = vi.fn();

function View() {
  useShortcuts([
    { key: ".", does: "next", act: next },
    { key: "Ctrl+z", does: "undo", act: undo },
  ]);
  return <input aria-label="Field" />;
}

beforeEach(() => {
  localStorage.clear();
  vi.clearAllMocks();
  render(<View />);
});

describe("keys", () => {
  it("act from anywhere in the view", () => {
    fireEvent.keyDown(document.body, { key: "." });
    fireEvent.keyDown(document.body, { key: "z", ctrlKey: true });
    expect([next.mock.calls.length, undo.mock.calls.length]).toEqual([1, 1]);
  });

  it("leave a field that is being typed in alone", () => {
    fireEvent.keyDown(screen.getByLabelText("Field"), { key: "." });
    fireEvent.keyDown(screen.getByLabelText("Field"), { key: "z", ctrlKey: true });
    expect([next.mock.calls.length, undo.mock.calls.length]).toEqual([0, 0]);
  });

  it("can be switched off where they are single, and only there", () => {
    singleKeys.set(false);
    fireEvent.keyDown(document.body, { key: "." });
    fireEvent.keyDown(document.body, { key: "z", ctrlKey: true });
    expect([next.mock.calls.length, undo.mock.calls.length]).toEqual([0, 1]);
    singleKeys.set(true);
    fireEvent.keyDown(document.body, { key: "." });
    expect(next).toHaveBeenCalledTimes(1);
  });

  it.each([{ altKey: true }, { ctrlKey: true }])("mean nothing with %j held", (held) => {
    fireEvent.keyDown(document.body, { key: ".", ...held });
    expect(next).not.toHaveBeenCalled();
  });
});
