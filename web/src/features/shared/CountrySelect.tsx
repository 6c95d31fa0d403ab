import { useQuery } from "@tanstack/react-query";
import { api, unwrap } from "../../api/client";
import { Select } from "../../ui/controls";
import { Labelled } from "../../ui/pieces";

const words = new Intl.DisplayNames("en", { type: "region" });

interface Props {
  label?: string;
  hint?: string;
  /** What stands for no country. */
  none?: string;
  value: string | null;
  onChange: (country: string | null) => void;
}

/** A country by name: the one that a home stands in, whose law decides about channels and power, or the region of a radio. */
export function CountrySelect({
  label = "Country",
  hint = "its law decides about channels and power",
  none = "not noted",
  value,
  onChange,
}: Props) {
  const codes = useQuery({
    queryKey: ["countries"],
    queryFn: ({ signal }) => unwrap(api.GET("/api/countries", { signal })),
    staleTime: Infinity,
  });
  const named = (codes.data ?? (value === null ? [] : [value]))
    .map((code) => ({ code, name: words.of(code) ?? code }))
    .sort((a, b) => a.name.localeCompare(b.name, "en"));
  return (
    <Labelled label={label} hint={hint}>
      {(ids) => (
        <Select {...ids} value={value ?? ""} onChange={(e) => onChange(e.target.value === "" ? null : e.target.value)}>
          <option value="">{none}</option>
          {named.map(({ code, name }) => (
            <option key={code} value={code}>
              {name}
            </option>
          ))}
        </Select>
      )}
    </Labelled>
  );
}
