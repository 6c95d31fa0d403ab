import { Select } from "./controls";
import { Labelled } from "./pieces";
import { keysOf } from "./words";

interface Props<K extends string> {
  label: string;
  words: Record<K, string>;
  value: K;
  disabled?: boolean;
  onChange: (value: K) => void;
}

/** A choice among what the API names, in words. */
export function WordSelect<K extends string>({ label, words, value, disabled, onChange }: Props<K>) {
  return (
    <Labelled label={label}>
      {(ids) => (
        <Select {...ids} value={value} disabled={disabled} onChange={(e) => onChange(e.target.value as K)}>
          {keysOf(words).map((key) => (
            <option key={key} value={key}>
              {words[key]}
            </option>
          ))}
        </Select>
      )}
    </Labelled>
  );
}
