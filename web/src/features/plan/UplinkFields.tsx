import { Box, chakra } from "@chakra-ui/react";
import type { Change, JobState, Schemas } from "../../api/client";
import { Button, Select } from "../../ui/controls";
import { NumberInput } from "../../ui/NumberInput";
import { Labelled } from "../../ui/pieces";
import { bandWords, frameWords } from "../../ui/words";
import { WordSelect } from "../../ui/WordSelect";
import { type Box as Gear, type BoxSetting, nameOf } from "../shared/designReading";
import { Fold } from "../../ui/Fold";
import { Tick } from "../../ui/Tick";
import { SecretField } from "../shared/SecretField";
import type { JobTools } from "../shared/jobTools";
import { useJoins } from "./useJoins";

interface Props {
  box: Gear;
  setting: BoxSetting;
  state: JobState;
  tools: JobTools;
}

/** The radio link of a router, which most have none of: folded until there is one. */
export function RouterUplink(props: Props) {
  return props.setting.uplink ? (
    <UplinkFields {...props} />
  ) : (
    <Fold title="Join another box by radio">
      <UplinkFields folded {...props} />
    </Fold>
  );
}

/** The radio link by which a box joins another: which one, how frames cross it, and whether it may join another of the same name. */
export function UplinkFields({ folded = false, ...props }: Props & { folded?: boolean }) {
  const { box, setting, state, tools } = props;
  const { design } = state;
  const link = setting.uplink;
  const set = (parts: Schemas["PartialOfUplink"]): Change => ({ kind: "setUplink", box: box.id, link: parts });
  const heard = useJoins(state, box.id)?.heard;
  const all = heard ?? [];
  const chosen = link ? all.findIndex((h) => h.box === link.box && h.name === link.name && h.radio === link.radio) : -1;
  const join = (at: number) => {
    const to = all[at];
    if (to) {
      const parts = { box: to.box, radio: to.radio, name: to.name, security: to.security, password: to.password };
      tools.act([set(link ? parts : { ...parts, frames: "threeAddress" })]);
    }
  };
  return (
    <Box as="fieldset" borderTopWidth={folded ? "0" : "1px"} borderTopStyle="solid" borderColor="line" pt="2" display="grid" gap="2">
      {!folded && (
        <chakra.legend fontWeight="600" fontSize="sm">
          Radio link
        </chakra.legend>
      )}
      <Labelled label="Joins by radio">
        {(ids) => (
          <Select {...ids} value={link && chosen >= 0 ? chosen.toString() : ""} onChange={(e) => join(Number(e.target.value))}>
            {chosen < 0 && (
              <option value="">{link ? `${link.name} of ${nameOf(design, link.box)}${heard ? " (not sent there)" : ""}` : "no box"}</option>
            )}
            {all.map((h, i) => (
              <option key={`${h.box} ${h.radio} ${h.name}`} value={i}>
                {`${h.name} of ${nameOf(design, h.box)}, ${bandWords[h.band]}`}
              </option>
            ))}
          </Select>
        )}
      </Labelled>
      {link && (
        <>
          {chosen >= 0 && (
            <Button variant="quiet" onClick={() => join(chosen)}>
              Use its password and security
            </Button>
          )}
          {link.security !== "open" && (
            <SecretField
              job={tools.id}
              label="Password that was typed into it"
              name={`${link.name} key`}
              reference={link.password ?? null}
              refer={(password) => tools.save([set({ password })])}
            />
          )}
          <WordSelect label="Frames" words={frameWords} value={link.frames} onChange={(frames) => tools.act([set({ frames })])} />
          {link.frames === "wds" && (
            <NumberInput
              label="Its own channel"
              placeholder="left to chance"
              expected="The number of a channel, such as 36."
              value={link.channel ?? null}
              save={(channel) => tools.save([set({ channel })])}
            />
          )}
          <Tick label="Joins that very radio and no other" on={link.locked ?? false} set={(on) => tools.act([set({ locked: on })])} />
          {setting.mode === "router" && (
            <Button onClick={() => tools.act([{ kind: "removeUplink", box: box.id }])}>Remove the radio link</Button>
          )}
        </>
      )}
    </Box>
  );
}

/** Whose satellite a box is, and which node it joins for want of a cable. */
export function SatelliteFields({ box, setting, state, tools }: Props) {
  const { design } = state;
  const { main = "", by } = setting.satellite ?? {};
  const { mainNodes = [], kitNodes = [] } = useJoins(state, box.id) ?? {};
  const set = (node: Schemas["PartialOfSatelliteMode"]): Change => ({ kind: "setSatellite", box: box.id, node });
  return (
    <Box display="grid" gap="2">
      <Labelled label="Managed by">
        {(ids) => (
          <Select {...ids} value={main} onChange={(e) => tools.act([set({ main: e.target.value, by: e.target.value })])}>
            {!mainNodes.includes(main) && <option value={main}>{main === box.id ? "no box" : nameOf(design, main)}</option>}
            {mainNodes.map((b) => (
              <option key={b} value={b}>
                {nameOf(design, b)}
              </option>
            ))}
          </Select>
        )}
      </Labelled>
      <Labelled label="Joins by radio through">
        {(ids) => (
          <Select {...ids} value={by ?? ""} onChange={(e) => tools.act([set({ by: e.target.value === "" ? null : e.target.value })])}>
            <option value="">no box: by cable only</option>
            {by && !kitNodes.includes(by) && <option value={by}>{nameOf(design, by)}</option>}
            {kitNodes.map((b) => (
              <option key={b} value={b}>
                {nameOf(design, b)}
              </option>
            ))}
          </Select>
        )}
      </Labelled>
    </Box>
  );
}
