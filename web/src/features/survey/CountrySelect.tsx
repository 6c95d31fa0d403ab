import { useQuery } from "@tanstack/react-query";
import { api, unwrap } from "../../api/client";
import { Select } from "../../ui/controls";
import { Labelled } from "../../ui/pieces";

const words = new Intl.DisplayNames("en", { type: "region" });

/** The country that a home stands in, by name; its law decides about channels and power. */
export function CountrySelect({ value, onChange }: { value: string | null; onChange: (country: string | null) => void }) {
  const codes = useQuery({
    queryKey: ["countries"],
    queryFn: ({ signal }) => unwrap(api.GET("/api/countries", { signal })),
    staleTime: Infinity,
  });
  const named = (codes.data ?? (value === null ? [] : [value]))
    .map((code) => ({ code, name: words.of(code) ?? code }))
    .sort((a, b) => a.name.localeCompare(b.name, "en"));
  return (
    <Labelled label="Country" hint="its law decides about channels and power">
      {(ids) => (
        <Select {...ids} value={value ?? ""} onChange={(e) => onChange(e.target.value === "" ? null : e.target.value)}>
          <option value="">not noted</option>
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
