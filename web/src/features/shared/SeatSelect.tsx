import type { Schemas } from "../../api/client";
import { Select } from "../../ui/controls";
import { Labelled } from "../../ui/pieces";
import { keysOf, seatWords } from "../../ui/words";

/** Where a person stands: a device, a box, a free port or a name on the air, by kind. */
export function SeatSelect({
  label,
  hint,
  seats,
  value,
  none,
  onChange,
}: {
  label: string;
  hint?: string;
  seats: Schemas["Seat"][];
  value: string | null;
  none?: string;
  onChange: (seat: string | null) => void;
}) {
  return (
    <Labelled label={label} hint={hint}>
      {(ids) => (
        <Select {...ids} value={value ?? ""} onChange={(e) => onChange(e.target.value === "" ? null : e.target.value)}>
          {none !== undefined && <option value="">{none}</option>}
          {keysOf(seatWords)
            .filter((kind) => seats.some((s) => s.kind === kind))
            .map((kind) => (
              <optgroup key={kind} label={seatWords[kind]}>
                {seats
                  .filter((s) => s.kind === kind)
                  .map((s) => (
                    <option key={s.id} value={s.id}>
                      {s.name}
                    </option>
                  ))}
              </optgroup>
            ))}
        </Select>
      )}
    </Labelled>
  );
}
