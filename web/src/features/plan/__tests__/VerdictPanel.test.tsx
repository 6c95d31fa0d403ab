import { ChakraProvider } from "@chakra-ui/react";
import { fireEvent, render, screen, within } from "@testing-library/react";
import { describe, expect, it, vi } from "vitest";
import type { Change, Finding, Proof } from "../../../api/client";
import { system } from "../../../ui/theme";
import { VerdictPanel } from "../VerdictPanel";
import { part } from "../../shared/__tests__/fixtures";

const flatten = { label: "Flatten", changes: [{ kind: "setMode", box: "in", mode: "accessPoint" }] as Change[], settles: ["a()", "b()"] };
const move = { label: "Move", changes: [{ kind: "unpatch", cable: "c" }] as Change[], settles: ["b()"] };

const finding = (identity: string, parts: Partial<Finding>): Finding => ({
  code: identity,
  subjects: [],
  severity: "willNotWork",
  what: `What of ${identity}`,
  notice: "Notice",
  remedies: [],
  advice: [],
  causedBy: [],
  identity,
  ...parts,
});

const proof = (findings: Finding[]): Proof =>
  part<Proof>({
    verdict: { kind: "willNotWork", sentence: "Two devices have no internet." },
    findings,
    facts: {
      needs: [
        {
          need: "n",
          about: "kiln",
          asked: "Kiln reached from outside, port 8443",
          answer: { kind: "no", causes: [], outcomes: [] },
          via: [],
          stoppedBy: null,
        },
      ],
    },
  });

function show(findings: Finding[], props: Partial<Parameters<typeof VerdictPanel>[0]> = {}) {
  const apply = vi.fn();
  render(
    <ChakraProvider value={system}>
      <VerdictPanel proof={proof(findings)} trying={undefined} apply={apply} choose={vi.fn()} {...props} />
    </ChakraProvider>,
  );
  return apply;
}

describe("VerdictPanel", () => {
  it("says the verdict in words and the needs with their answers", () => {
    show([]);
    expect(screen.getByRole("heading", { level: 1 })).toHaveTextContent("Will not work");
    expect(screen.getByText("Kiln reached from outside, port 8443").parentElement).toHaveTextContent(/no$/);
  });

  it("offers a cure once, where it comes first, and says what else it settles", () => {
    show([finding("a()", { remedies: [flatten] }), finding("b()", { remedies: [flatten, move] })]);
    expect(screen.getAllByRole("button", { name: /Flatten/ })).toHaveLength(1);
    expect(screen.getByRole("button", { name: /Flatten/ })).toHaveTextContent("settles 2 findings");
    expect(screen.getByText(/Also settled by: Flatten/)).toBeInTheDocument();
    expect(screen.getByRole("button", { name: "Move" })).toBeInTheDocument();
  });

  it("puts what follows under its cause", () => {
    show([finding("a()", {}), finding("no-internet(x)", { causedBy: ["a()"] }), finding("no-internet(y)", { causedBy: ["a()", "b()"] })]);
    const item = screen.getByText("What of a()").closest("li");
    expect(item && within(item).getByText("Why, and 2 more that follow")).toBeInTheDocument();
    expect(screen.getByRole("list", { name: "Findings" }).children).toHaveLength(1);
  });

  it("folds no cure away that only a finding which follows has", () => {
    show([
      finding("a()", { remedies: [flatten] }),
      finding("need-not-met(x)", { causedBy: ["a()"], remedies: [flatten, move] }),
      finding("no-internet(y)", { causedBy: ["a()"], remedies: [flatten] }),
    ]);
    expect(screen.getByRole("button", { name: "Move" }).closest("details")).toBeNull();
    expect(screen.getByText("What of need-not-met(x)").closest("details")).toBeNull();
    // What an other cure settles already stays folded.
    expect(screen.getByText("What of no-internet(y)").closest("details")).not.toBeNull();
    expect(screen.getByText("Why, and 1 more that follows")).toBeInTheDocument();
  });

  it("applies the changes of a cure as they came", () => {
    const apply = show([finding("a()", { remedies: [flatten] })]);
    fireEvent.click(screen.getByRole("button", { name: /Flatten/ }));
    expect(apply).toHaveBeenCalledExactlyOnceWith(flatten.changes);
  });

  it.each([{ trying: "Loft router gets 10.0.0.1/24" }])("applies nothing while something else is tried", (props) => {
    show([finding("a()", { remedies: [flatten] })], props);
    expect(screen.getByRole("button", { name: /Flatten/ })).toBeDisabled();
  });

  it("says that a proof is of something not kept yet", () => {
    show([], { trying: "Loft router gets 10.0.0.1/24" });
    expect(screen.getByRole("region", { name: "Verdict" })).toHaveTextContent("If you keep it: Loft router gets 10.0.0.1/24");
  });
});
