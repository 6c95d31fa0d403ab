import { type ComponentProps, useRef, useState } from "react";
import { Labelled } from "./pieces";
import { Input } from "./controls";

interface Props extends Omit<ComponentProps<typeof Input>, "value" | "onChange"> {
  label: string;
  hint?: string;
  /** What is saved. */
  value: string;
  /** Saves a draft; rejects with the reason when the server would not take it. */
  save: (draft: string) => Promise<unknown>;
  /** Tries a draft without saving it; null when the draft is given up or saved. */
  attempt?: (draft: string | null) => void;
}

/**
 * A field that is saved when it is left or on Enter, and given up on Escape. Half-typed text is a state of the field and no
 * error; what the server refuses stays in the field with the reason.
 */
export function DraftInput({ label, hint, value, save, attempt, ...input }: Props) {
  const [draft, setDraft] = useState<string | null>(null);
  const [error, setError] = useState<string | null>(null);
  const pending = useRef<string | null>(null);

  const drop = () => {
    setDraft(null);
    setError(null);
    attempt?.(null);
  };

  const commit = async () => {
    if (draft === null || draft.trim() === value) {
      drop();
      return;
    }
    if (pending.current === draft) {
      return;
    }
    pending.current = draft;
    try {
      await save(draft.trim());
      drop();
    } catch (e) {
      setError((e as Error).message);
    } finally {
      pending.current = null;
    }
  };

  return (
    <Labelled label={label} error={error} hint={hint}>
      {(ids) => (
        <Input
          {...ids}
          {...input}
          value={draft ?? value}
          spellCheck={false}
          autoComplete="off"
          aria-invalid={error ? true : undefined}
          onChange={(e) => {
            setDraft(e.target.value);
            attempt?.(e.target.value.trim());
          }}
          onBlur={() => void commit()}
          onKeyDown={(e) => {
            if (e.key === "Enter") {
              void commit();
            } else if (e.key === "Escape") {
              drop();
            }
          }}
        />
      )}
    </Labelled>
  );
}
