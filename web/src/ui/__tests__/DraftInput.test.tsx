import { ChakraProvider } from "@chakra-ui/react";
import { act, fireEvent, render, screen } from "@testing-library/react";
import { describe, expect, it, vi } from "vitest";
import { DraftInput } from "../DraftInput";
import { system } from "../theme";

function show(save: (draft: string) => Promise<unknown>, attempt = vi.fn()) {
  render(
    <ChakraProvider value={system}>
      <DraftInput label="Address" value="192.168.8.1/24" save={save} attempt={attempt} />
    </ChakraProvider>,
  );
  return { field: screen.getByLabelText<HTMLInputElement>("Address"), attempt };
}

const settle = () => act(async () => Promise.resolve());

describe("DraftInput", () => {
  it("saves once on Enter and once on leaving, never twice", async () => {
    const save = vi.fn().mockResolvedValue(undefined);
    const { field } = show(save);
    fireEvent.change(field, { target: { value: " 10.0.0.1/24 " } });
    fireEvent.keyDown(field, { key: "Enter" });
    fireEvent.blur(field);
    await settle();
    expect(save.mock.calls).toEqual([["10.0.0.1/24"]]);
  });

  it("gives a draft up on Escape without saving", () => {
    const save = vi.fn();
    const { field, attempt } = show(save);
    fireEvent.change(field, { target: { value: "10." } });
    expect(attempt).toHaveBeenLastCalledWith("10.");
    fireEvent.keyDown(field, { key: "Escape" });
    expect(field.value).toBe("192.168.8.1/24");
    expect(attempt).toHaveBeenLastCalledWith(null);
    expect(save).not.toHaveBeenCalled();
  });

  it("keeps what was refused, with the reason", async () => {
    const { field } = show(() => Promise.reject(new Error("10.0.0.0 is the network address")));
    fireEvent.change(field, { target: { value: "10.0.0.0/24" } });
    fireEvent.blur(field);
    await settle();
    expect(field.value).toBe("10.0.0.0/24");
    expect(field).toHaveAttribute("aria-invalid", "true");
    expect(screen.getByRole("alert")).toHaveTextContent("network address");
  });

  it("does not save what did not change", async () => {
    const save = vi.fn();
    const { field } = show(save);
    fireEvent.change(field, { target: { value: "192.168.8.1/24" } });
    fireEvent.blur(field);
    await settle();
    expect(save).not.toHaveBeenCalled();
  });
});
