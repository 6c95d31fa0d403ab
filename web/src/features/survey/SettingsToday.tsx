import { Box } from "@chakra-ui/react";
import type { Correction, JobState, Schemas } from "../../api/client";
import { Button } from "../../ui/controls";
import { DraftInput } from "../../ui/DraftInput";
import { WordSelect } from "../../ui/WordSelect";
import { SecretField } from "../shared/SecretField";
import type { JobTools } from "../shared/jobTools";
import { Section } from "./Section";

const onWords = { on: "on", off: "off" } as const;

/** What stands on the page of a box in use: what was not read yet says so, and is confirmed or typed over. */
export function SettingsToday({ found, state, tools }: { found: Schemas["BoxAsFound"]; state: JobState; tools: JobTools }) {
  const { settings, assumed, elsewhere, box } = found;
  const read = (read: Schemas["PartialOfFoundSettings"]): Correction => ({ kind: "setFound", box, read });
  const hint = (member: string) => (assumed.includes(member) ? "assumed, not read yet" : undefined);
  const address = (member: "lanAddress" | "poolFirst" | "poolLast", label: string) =>
    settings[member] !== null && (
      <DraftInput
        label={label}
        hint={hint(member)}
        fontFamily="mono"
        value={settings[member]}
        save={(draft) => tools.correct([read({ [member]: draft })])}
      />
    );
  return (
    <Section title="How it is set today">
      {address("lanAddress", "Its LAN address, with its mask")}
      {settings.dhcpServer !== null && (
        <WordSelect
          label={`DHCP server${assumed.includes("dhcpServer") ? " (assumed)" : ""}`}
          words={onWords}
          value={settings.dhcpServer ? "on" : "off"}
          onChange={(on) => tools.correctNow([read({ dhcpServer: on === "on" })])}
        />
      )}
      {settings.dhcpServer === true && address("poolFirst", "DHCP pool, first address")}
      {settings.dhcpServer === true && address("poolLast", "DHCP pool, last address")}
      {settings.wifiName !== null && (
        <>
          <DraftInput
            label="Wi-Fi name today"
            hint={hint("wifiName")}
            value={settings.wifiName}
            save={(draft) => tools.correct([read({ wifiName: draft })])}
          />
          <SecretField
            job={state.job.id}
            label="Wi-Fi password today"
            make={false}
            name={`${box} Wi-Fi password today`}
            reference={settings.wifiPassword}
            refer={(wifiPassword) => tools.correct([read({ wifiPassword })])}
          />
        </>
      )}
      {(assumed.length > 0 || elsewhere.length > 0) && (
        <Box gridColumn="1 / -1" fontSize="sm" color="muted" display="grid" gap="1.5" justifyItems="start">
          {assumed.length > 0 && (
            <Button
              onClick={() =>
                tools.correctNow([read(Object.fromEntries(Object.entries(settings).filter(([member]) => assumed.includes(member))))])
              }
            >
              It is set as assumed
            </Button>
          )}
          {elsewhere.map((line) => (
            <span key={line}>{line}</span>
          ))}
        </Box>
      )}
    </Section>
  );
}
