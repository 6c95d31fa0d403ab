import { Box, chakra } from "@chakra-ui/react";
import type { Change, Schemas } from "../../api/client";
import { DraftInput } from "../../ui/DraftInput";
import { bandWords, securityWords } from "../../ui/words";
import { WordSelect } from "../../ui/WordSelect";
import type { JobTools } from "../stations/useJob";
import type { Box as Gear } from "../stations/designReading";

type Radio = Schemas["RadioSettingDocument"];

/** Name and security of one radio. */
export function RadioFields({ box, radio, tools }: { box: Gear; radio: Radio; tools: JobTools }) {
  const band = box.profile.radios.find((r) => r.id === radio.radio)?.band;
  const change = (parts: Partial<Radio>): Change => {
    const next = { ...radio, ...parts };
    return { kind: "setRadio", box: box.id, setting: { radio: next.radio, on: next.on, name: next.name, security: next.security, key: next.key ?? null } };
  };
  const words = band ? bandWords[band] : radio.radio;
  return (
    <Box borderTopWidth="1px" borderTopStyle="solid" borderColor="line" pt="2">
      <chakra.label display="flex" gap="2" alignItems="center" minH="6" cursor="pointer">
        <chakra.input type="checkbox" checked={radio.on} disabled={tools.busy} width="18px" height="18px" accentColor="copper" onChange={(e) => tools.act([change({ on: e.target.checked })])} />
        Wi-Fi {words} on
      </chakra.label>
      <Box display="grid" gridTemplateColumns="1fr 1fr" gap="2" mt="1">
        <DraftInput
          label={`Name, ${words}`}
          value={radio.name}
          disabled={!radio.on}
          save={(draft) => tools.save([change({ name: draft })])}
          attempt={(draft) => tools.attempt(draft === null ? null : [change({ name: draft })])}
        />
        <WordSelect label={`Security, ${words}`} words={securityWords} value={radio.security} disabled={!radio.on || tools.busy} onChange={(security) => tools.act([change({ security })])} />
      </Box>
    </Box>
  );
}
