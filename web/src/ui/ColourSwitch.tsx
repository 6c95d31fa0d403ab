import { chakra } from "@chakra-ui/react";
import { type ColourChoice, useColourMode } from "./ColourMode";
import { Select } from "./controls";

const words: Record<ColourChoice, string> = { system: "Colours: system", light: "Colours: light", dark: "Colours: dark" };

/** Light, dark, or as the system says. */
export function ColourSwitch() {
  const { choice, choose } = useColourMode();
  return (
    <chakra.div width="9.5rem">
      <Select aria-label="Colours" value={choice} onChange={(e) => choose(e.target.value as ColourChoice)}>
        {(Object.keys(words) as ColourChoice[]).map((c) => (
          <option key={c} value={c}>
            {words[c]}
          </option>
        ))}
      </Select>
    </chakra.div>
  );
}
