import { ChakraProvider } from "@chakra-ui/react";
import { fireEvent, render, screen } from "@testing-library/react";
import { beforeEach, describe, expect, it, vi } from "vitest";
import type { Finding, Proof } from "../../../api/client";
import { system } from "../../../ui/theme";
import { demo } from "../../shared/__tests__/demo";
import { accepted, following, standing } from "../../shared/findings";
import { VerdictPanel } from "../VerdictPanel";

const { proof } = demo();
beforeEach(() => localStorage.clear());

const word = (f: Finding) => ({ finding: f.identity, severe: true, reason: "The potter wants it.", by: "A. Name" });
const with_ = (change: (f: Finding) => Finding): Proof => ({ ...proof, findings: proof.findings.map(change) });

function show(of: Proof) {
  const apply = vi.fn();
  render(
    <ChakraProvider value={system}>
      <VerdictPanel proof={of} trying={undefined} apply={apply} choose={vi.fn()} />
    </ChakraProvider>,
  );
  return apply;
}

describe("accepting a finding", () => {
  it("needs a reason and a name, says how bad it is, and remembers the name", () => {
    const apply = show(proof);
    const [first] = standing(proof);
    fireEvent.click(screen.getByRole("button", { name: `Accept: ${first?.what}` }));
    const button = screen.getByRole("button", { name: "Accept it" });
    expect(button).toBeDisabled();
    expect(screen.getByText(/a word mends nothing/)).toBeInTheDocument();
    fireEvent.change(screen.getByLabelText("Reason"), { target: { value: " It may. " } });
    fireEvent.change(screen.getByLabelText("Accepted by"), { target: { value: "A. Name" } });
    fireEvent.click(button);
    expect(apply).toHaveBeenCalledExactlyOnceWith([
      { kind: "acceptFinding", finding: first?.identity, severe: true, reason: "It may.", by: "A. Name" },
    ]);
    expect(localStorage.getItem("altrin-my-name")).toBe("A. Name");
    expect(screen.queryByRole("button", { name: "Accept it" })).toBeNull();
  });

  it("takes it out of what is to be settled, shows whose word it is, and can be taken back", () => {
    const [first] = standing(proof);
    const apply = show(with_((f) => (f.identity === first?.identity ? { ...f, accepted: word(f) } : f)));
    expect(screen.getByText("A. Name: The potter wants it.")).toBeInTheDocument();
    fireEvent.click(screen.getByRole("button", { name: `Reopen: ${first?.what}` }));
    expect(apply).toHaveBeenCalledWith([{ kind: "takeBackAcceptance", finding: first?.identity }]);
  });
});

describe("findings in order", () => {
  it("has every one in one place: standing, following one that stands, or accepted", () => {
    const open = standing(proof);
    const places = [...open, ...open.flatMap((f) => following(proof, f)), ...accepted(proof)].map((f) => f.identity);
    expect([...places].sort()).toEqual(proof.findings.map((f) => f.identity).sort());
  });

  it("puts the worst first, and concerns that only advice helps last", () => {
    const bare = with_((f) => (f.code === "split-wifi-name" ? { ...f, remedies: [], advice: ["Ask."] } : f));
    const order = standing(bare);
    expect(order[order.length - 1]?.code).toBe("split-wifi-name");
    expect(order[0]?.severity).toBe("willNotWork");
    const severe = with_((f) => ({ ...f, remedies: [] }));
    expect(standing(severe)[0]?.severity).toBe("willNotWork");
  });
});
