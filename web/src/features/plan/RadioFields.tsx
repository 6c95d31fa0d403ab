import { Box, chakra } from "@chakra-ui/react";
import type { Change, Schemas } from "../../api/client";
import { DraftInput } from "../../ui/DraftInput";
import { bandWords, securityWords } from "../../ui/words";
import { WordSelect } from "../../ui/WordSelect";
import type { JobTools } from "../stations/useJob";
import { type Box as Gear, radioSetting } from "../stations/designReading";

type Radio = Schemas["RadioSettingDocument"];

/** Name and security of one radio. */
export function RadioFields({ box, radio, tools }: { box: Gear; radio: Radio; tools: JobTools }) {
  const band = box.profile.radios.find((r) => r.id === radio.radio)?.band;
  const change = (parts: Partial<Radio>): Change => ({ kind: "setRadio", box: box.id, setting: radioSetting({ ...radio, ...parts }) });
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
        <DraftInput
          label={`Channel, ${words}`}
          placeholder="the box chooses"
          inputMode="numeric"
          value={radio.channel?.toString() ?? ""}
          disabled={!radio.on}
          save={(draft) => (/^\d*$/.test(draft) ? tools.save([change({ channel: draft === "" ? null : Number(draft) })]) : Promise.reject(new Error("The number of a channel, such as 36.")))}
        />
        <WordSelect label={`Security, ${words}`} words={securityWords} value={radio.security} disabled={!radio.on || tools.busy} onChange={(security) => tools.act([change({ security })])} />
      </Box>
    </Box>
  );
}
