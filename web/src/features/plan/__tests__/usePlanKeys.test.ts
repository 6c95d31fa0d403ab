import { fireEvent, renderHook } from "@testing-library/react";
import { beforeEach, describe, expect, it, vi } from "vitest";
import { demo } from "../../shared/__tests__/demo";
import { standing } from "../../shared/findings";
import type { Choice } from "../../terraces/choice";
import { usePlanKeys } from "../usePlanKeys";
import { jobTools } from "../../shared/__tests__/fixtures";

const { proof } = demo();
const open = standing(proof);
beforeEach(() => localStorage.clear());

function plan({ choice = null, on = true, trying = false }: { choice?: Choice | null; on?: boolean; trying?: boolean } = {}) {
  const act = vi.fn();
  const choose = vi.fn();
  const tools = jobTools({ act });
  renderHook(() => usePlanKeys({ proof, choice, choose, tools, trying, on, help: vi.fn() }));
  return { act, choose, press: (key: string) => fireEvent.keyDown(document.body, { key }) };
}

describe("the keys of the plan", () => {
  it("go round the problems, forward and back", () => {
    const { choose, press } = plan({ choice: { kind: "finding", id: open[open.length - 1]?.identity ?? "" } });
    press(".");
    press(",");
    expect(choose.mock.calls).toEqual([
      [{ kind: "finding", id: open[0]?.identity }],
      [{ kind: "finding", id: open[open.length - 2]?.identity }],
    ]);
  });

  // The panel of findings comes back in its own time, and a busy machine draws many frames before it does.
  it("bring the focus to a problem however late it is drawn, and once", () => {
    const identity = open[0]?.identity ?? "";
    Element.prototype.scrollIntoView = vi.fn();
    const given = { proof, choice: null as Choice | null, choose: vi.fn(), tools: jobTools(), trying: false, on: true, help: vi.fn() };
    const { rerender } = renderHook((plan: typeof given) => usePlanKeys(plan), { initialProps: given });
    fireEvent.keyDown(document.body, { key: "." });
    rerender({ ...given });
    expect(document.activeElement).toBe(document.body);
    const drawn = document.createElement("div");
    drawn.innerHTML = `<div data-finding="${identity}"><h2><button aria-pressed="true"></button></h2></div>`;
    document.body.append(drawn);
    const chosen = { ...given, choice: { kind: "finding", id: identity } as Choice };
    rerender(chosen);
    const button = drawn.querySelector("button");
    expect(document.activeElement).toBe(button);
    button?.blur();
    rerender({ ...chosen });
    expect(document.activeElement).toBe(document.body);
    drawn.remove();
  });

  it("apply the first cure of the problem that is chosen", () => {
    const second = plan({ choice: { kind: "finding", id: open[1]?.identity ?? "" } });
    second.press("a");
    expect(second.act).toHaveBeenCalledExactlyOnceWith(open[1]?.remedies[0]?.changes);
  });

  it("unplug the cable that is chosen", () => {
    const { act, press } = plan({ choice: { kind: "cable", id: "c" } });
    press("Delete");
    expect(act).toHaveBeenCalledExactlyOnceWith([{ kind: "unpatch", cable: "c" }]);
  });

  it.each<NonNullable<Parameters<typeof plan>[0]>>([{ on: false }, { trying: true }])("change nothing with %j", (state) => {
    const { act, press } = plan({ ...state, choice: { kind: "cable", id: "c" } });
    press("a");
    press("Delete");
    expect(act).not.toHaveBeenCalled();
  });
});
