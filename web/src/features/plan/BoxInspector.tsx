import { Box, chakra } from "@chakra-ui/react";
import type { JobState } from "../../api/client";
import { Card, Labelled } from "../../ui/pieces";
import { modeWords } from "../../ui/words";
import { PlaceSelect } from "../shared/PlaceSelect";
import type { JobTools } from "../shared/jobTools";
import { Cables } from "./Cables";
import type { Box as Gear, BoxSetting } from "../shared/designReading";
import { HostAddressFields } from "../shared/HostAddressFields";
import { PointGuestFields } from "./PointGuestFields";
import { RadioFields } from "./RadioFields";
import { RouterFields } from "./RouterFields";
import { RouterUplink, SatelliteFields, UplinkFields } from "./UplinkFields";
import { VlanFields } from "./VlanFields";
import { Button, Select } from "../../ui/controls";

interface Props {
  box: Gear;
  setting: BoxSetting | undefined;
  state: JobState;
  tools: JobTools;
}

/** What one box is set to, and what is plugged into it. */
export function BoxInspector({ box, setting, state, tools }: Props) {
  const { design } = state;
  return (
    <chakra.section aria-label={box.name}>
      <chakra.h2 fontSize="lg">{box.name}</chakra.h2>
      <Box color="muted" fontSize="sm" mb="2">
        {box.profile.name}
        {box.mac && ` · ${box.mac}`}
      </Box>
      <Card display="grid" gridTemplateColumns="minmax(0, 1fr)" gap="3">
        <Labelled label="Mode">
          {(ids) => (
            <Select
              {...ids}
              value={setting?.mode ?? ""}
              onChange={(e) => tools.act([{ kind: "setMode", box: box.id, mode: e.target.value as BoxSetting["mode"] }])}
            >
              {!setting && <option value="">not in use</option>}
              {box.profile.modes.map((mode) => (
                <option key={mode} value={mode}>
                  {modeWords[mode]}
                </option>
              ))}
            </Select>
          )}
        </Labelled>
        {setting && (design.site.places?.length ?? 0) > 0 && (
          <PlaceSelect
            label="Stands in"
            design={design}
            value={setting.place ?? null}
            onChange={(place) => tools.act([{ kind: "placeBox", box: box.id, place }])}
          />
        )}
        {setting?.mode === "router" && <RouterFields box={box} setting={setting} design={design} tools={tools} />}
        {(setting?.mode === "repeater" || setting?.mode === "wirelessBridge") && (
          <UplinkFields box={box} setting={setting} state={state} tools={tools} />
        )}
        {setting?.mode === "router" && box.profile.radios.length > 0 && (
          <RouterUplink box={box} setting={setting} state={state} tools={tools} />
        )}
        {setting?.mode === "switch" && setting.page && <VlanFields box={box} setting={setting} tools={tools} />}
        {setting?.mode === "satellite" && <SatelliteFields box={box} setting={setting} state={state} tools={tools} />}
        {setting && setting.mode !== "router" && setting.mode !== "bridge" && setting.page && (
          <HostAddressFields
            legend="Management address"
            address={setting.page}
            tools={tools}
            make={(address) => ({ kind: "setPageAddress", box: box.id, address })}
          />
        )}
        {setting?.mode === "bridge" && (
          <Box fontSize="sm">
            It passes the public address on to the next box. Its Wi-Fi is off.
            {setting.page?.address && ` Its page may answer at ${setting.page.address}.`}
          </Box>
        )}
        {setting?.radios?.map((radio) => (
          <RadioFields key={radio.radio} box={box} radio={radio} design={design} tools={tools} />
        ))}
        {setting?.mode === "accessPoint" && (setting.radios?.length ?? 0) > 0 && (
          <PointGuestFields box={box.id} setting={setting} tools={tools} />
        )}
      </Card>
      {setting && <Cables owner={box.id} ends={box.profile.ports.map((p) => `${box.id}/${p.id}`)} design={design} tools={tools} />}
      {setting && (
        <Button variant="quiet" mt="2" onClick={() => tools.act([{ kind: "takeOutOfUse", id: box.id }])}>
          Take it out of use
        </Button>
      )}
    </chakra.section>
  );
}
