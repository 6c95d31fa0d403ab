import { Box } from "@chakra-ui/react";
import type { Change, Design, Schemas } from "../../api/client";
import { DraftInput } from "../../ui/DraftInput";
import { NumberInput } from "../../ui/NumberInput";
import { bandWords, securityWords } from "../../ui/words";
import { WordSelect } from "../../ui/WordSelect";
import { Fold } from "../../ui/Fold";
import { Tick } from "../../ui/Tick";
import { CountrySelect } from "../shared/CountrySelect";
import { SecretField } from "../shared/SecretField";
import type { JobTools } from "../shared/jobTools";
import { type Box as Gear, setUpOf } from "../shared/designReading";

import { FurtherNames } from "./FurtherNames";

type Radio = Schemas["RadioSettingDocument"];

// Keys that are numbers would be put before all others.
const widths = { chosen: "the box chooses", w20: "20 MHz", w40: "40 MHz", w80: "80 MHz", w160: "160 MHz", w320: "320 MHz" };
const frames = { usual: "by its security", off: "off", optional: "for devices that can", required: "required of all devices" };

/** Name, channel and security of one radio; what is seldom touched is folded. */
export function RadioFields({ box, radio, design, tools }: { box: Gear; radio: Radio; design: Design; tools: JobTools }) {
  const band = box.profile.radios.find((r) => r.id === radio.radio)?.band;
  const change = (setting: Schemas["PartialOfRadioSetting"]): Change => ({ kind: "setRadio", box: box.id, radio: radio.radio, setting });
  const peers = radio.wdsPeers ?? [];
  const others = design.site.boxes.filter(
    (b) => b.id !== box.id && b.profile.radios.some((r) => r.band === band) && setUpOf(design).boxes.some((s) => s.box === b.id),
  );
  const words = band ? bandWords[band] : radio.radio;
  return (
    <Box borderTopWidth="1px" borderTopStyle="solid" borderColor="line" pt="2">
      <Tick label={`Wi-Fi ${words} on`} on={radio.on} set={(on) => tools.act([change({ on })])} />
      <Box display="grid" gridTemplateColumns="1fr 1fr" gap="2" mt="1">
        <DraftInput
          label={`Name, ${words}`}
          value={radio.name}
          disabled={!radio.on}
          save={(draft) => tools.save([change({ name: draft })])}
          attempt={(draft) => tools.attempt(draft === null ? null : [change({ name: draft })])}
        />
        <NumberInput
          label={`Channel, ${words}`}
          placeholder="the box chooses"
          disabled={!radio.on}
          expected="The number of a channel, such as 36."
          value={radio.channel ?? null}
          save={(channel) => tools.save([change({ channel })])}
        />
        <WordSelect
          label={`Security, ${words}`}
          words={securityWords}
          value={radio.security}
          disabled={!radio.on}
          onChange={(security) => tools.act([change({ security })])}
        />
        {radio.on && radio.security !== "open" && (
          <SecretField
            job={tools.id}
            label={`Password, ${words}`}
            name={`${radio.name} key`}
            reference={radio.password ?? null}
            refer={(password) => tools.save([change({ password })])}
          />
        )}
      </Box>
      {radio.on && (
        <Fold title={`More of ${words}`} mt="1.5">
          <Box display="grid" gap="1.5" mt="1">
            <Box display="grid" gridTemplateColumns="1fr 1fr" gap="2">
              <WordSelect
                label={`Width, ${words}`}
                words={widths}
                value={(radio.widthMhz ? `w${radio.widthMhz}` : "chosen") as keyof typeof widths}
                onChange={(width) => tools.act([change({ widthMhz: width === "chosen" ? null : Number(width.slice(1)) })])}
              />
              <WordSelect
                label={`Protected frames, ${words}`}
                words={frames}
                value={radio.protectsFrames ?? "usual"}
                onChange={(now) => tools.act([change({ protectsFrames: now === "usual" ? null : now })])}
              />
            </Box>
            <CountrySelect
              label={`Region, ${words}`}
              hint="as its page says; never another country than the one it stands in"
              none="not read"
              value={radio.region ?? null}
              onChange={(region) => tools.act([change({ region })])}
            />
            <Tick label="Hidden name" on={radio.hidden ?? false} set={(hidden) => tools.act([change({ hidden })])} />
            <FurtherNames radio={radio} words={words} change={change} tools={tools} />
            {others.length > 0 && (
              <Box role="group" aria-label={`WDS, ${words}`}>
                Told the radio address of, for WDS
                {others.map(({ id, name }) => (
                  <Tick
                    key={id}
                    label={name}
                    on={peers.includes(id)}
                    set={(on) => tools.act([change({ wdsPeers: on ? [...peers, id] : peers.filter((p) => p !== id) })])}
                  />
                ))}
              </Box>
            )}
          </Box>
        </Fold>
      )}
    </Box>
  );
}
