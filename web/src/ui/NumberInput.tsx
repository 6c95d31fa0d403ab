import { type ComponentProps } from "react";
import { DraftInput } from "./DraftInput";

interface Props extends Omit<ComponentProps<typeof DraftInput>, "value" | "save" | "attempt" | "inputMode"> {
  /** What is saved; null for an empty field. */
  value: number | null;
  /** What is to be typed, said of anything that is no whole number. Whether the number is taken is the server's affair. */
  expected: string;
  save: (value: number | null) => Promise<unknown>;
  /** Tries a number without saving it; undefined when the draft is given up, or is none yet. */
  attempt?: (value: number | null | undefined) => void;
}

/** A field for a whole number, or nothing. */
export function NumberInput({ value, expected, save, attempt, ...input }: Props) {
  const read = (draft: string | null): number | null | undefined =>
    draft === "" ? null : draft !== null && /^\d+$/.test(draft) ? Number(draft) : undefined;
  return (
    <DraftInput
      {...input}
      inputMode="numeric"
      value={value?.toString() ?? ""}
      save={(draft) => {
        const number = read(draft);
        return number === undefined ? Promise.reject(new Error(expected)) : save(number);
      }}
      {...(attempt ? { attempt: (draft: string | null) => attempt(read(draft)) } : {})}
    />
  );
}
