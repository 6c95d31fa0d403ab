import type { Design } from "../../api/client";
import { Select } from "../../ui/controls";
import { Labelled } from "../../ui/pieces";

/** A choice among the places of the home. */
export function PlaceSelect({
  label,
  design,
  value,
  disabled,
  onChange,
}: {
  label: string;
  design: Design;
  value: string | null;
  disabled?: boolean;
  onChange: (place: string | null) => void;
}) {
  return (
    <Labelled label={label}>
      {(ids) => (
        <Select {...ids} value={value ?? ""} disabled={disabled} onChange={(e) => onChange(e.target.value === "" ? null : e.target.value)}>
          <option value="">not noted</option>
          {(design.site.places ?? []).map((p) => (
            <option key={p.id} value={p.id}>
              {p.name}
            </option>
          ))}
        </Select>
      )}
    </Labelled>
  );
}
