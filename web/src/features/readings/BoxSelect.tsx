import type { Design } from "../../api/client";
import { Select } from "../../ui/controls";
import { Labelled } from "../../ui/pieces";

/** A choice among the gear of the survey. */
export function BoxSelect({
  label,
  design,
  value,
  none,
  onChange,
}: {
  label: string;
  design: Design;
  value: string | null;
  none: string;
  onChange: (box: string | null) => void;
}) {
  return (
    <Labelled label={label}>
      {(ids) => (
        <Select {...ids} value={value ?? ""} onChange={(e) => onChange(e.target.value === "" ? null : e.target.value)}>
          <option value="">{none}</option>
          {design.site.boxes.map((b) => (
            <option key={b.id} value={b.id}>
              {b.name}
            </option>
          ))}
        </Select>
      )}
    </Labelled>
  );
}
