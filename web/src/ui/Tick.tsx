import { chakra } from "@chakra-ui/react";

/** A switch with its words. */
export function Tick({ label, on, disabled, set }: { label: string; on: boolean; disabled?: boolean; set: (on: boolean) => void }) {
  return (
    <chakra.label display="flex" gap="2" alignItems="center" minH="6" cursor="pointer">
      <chakra.input
        type="checkbox"
        checked={on}
        disabled={disabled}
        width="18px"
        height="18px"
        accentColor="copper"
        onChange={(e) => set(e.target.checked)}
      />
      {label}
    </chakra.label>
  );
}
