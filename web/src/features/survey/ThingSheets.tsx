import { Box, chakra, Flex } from "@chakra-ui/react";
import { Link } from "react-router";
import type { Correction, JobState, Schemas } from "../../api/client";
import { DraftInput } from "../../ui/DraftInput";
import { NumberInput } from "../../ui/NumberInput";
import { Select } from "../../ui/controls";
import { Labelled } from "../../ui/pieces";
import { Tick } from "../../ui/Tick";
import { bandWords, deviceWords, generationWords, keysOf, knownWords, placeWords, wallWords } from "../../ui/words";
import { WordSelect } from "../../ui/WordSelect";
import type { JobTools } from "../shared/jobTools";
import { Taking } from "./BoxSheet";
import { Section } from "./Section";
import { PlaceAir } from "./PlaceAir";
import { known, metres } from "./corrections";
import { setUpOf } from "../shared/designReading";
import { HostAddressFields } from "../shared/HostAddressFields";
import { PlaceSelect } from "../shared/PlaceSelect";

/** What is known of one of the customer's devices. */
export function DeviceSheet({
  device,
  state,
  view,
  tools,
}: {
  device: Schemas["DeviceDocument"];
  state: JobState;
  view: Schemas["SurveyView"] | undefined;
  tools: JobTools;
}) {
  const noted = (known: Schemas["PartialOfDevice"]): Correction => ({ kind: "setDevice", device: device.id, known });
  const correct = (parts: Schemas["PartialOfDevice"]) => tools.correct([noted(parts)]);
  const now = (parts: Schemas["PartialOfDevice"]) => tools.correctNow([noted(parts)]);
  const bands = device.bands ?? [];
  const setting = setUpOf(state.design).devices.find((d) => d.device === device.id);
  return (
    <Box display="grid" gap="3">
      <chakra.h2 fontSize="lg">{device.name}</chakra.h2>
      <Section title="What it is">
        <DraftInput label="Name" value={device.name} save={(draft) => correct({ name: draft })} />
        <WordSelect label="What it is" words={deviceWords} value={device.kind} onChange={(kind) => now({ kind })} />
        <DraftInput
          label="MAC address"
          hint={view?.changing.includes(device.id) ? "private: it may change, so a reservation does not hold" : undefined}
          fontFamily="mono"
          value={device.mac ?? ""}
          save={(draft) => correct({ mac: draft === "" ? null : draft })}
        />
        <PlaceSelect label="Usually in" design={state.design} value={device.place ?? null} onChange={(place) => now({ place })} />
        <WordSelect
          label="Has a socket for a cable"
          words={knownWords}
          value={known(device.hasSocket)}
          onChange={(hasSocket) => now({ hasSocket })}
        />
        <chakra.fieldset border="0">
          <chakra.legend fontSize="xs" color="muted">
            Wi-Fi bands that it knows{bands.length === 0 && ", taken to be all"}
          </chakra.legend>
          <Flex gap="3" wrap="wrap">
            {keysOf(bandWords).map((band) => (
              <Tick
                key={band}
                label={bandWords[band]}
                on={bands.includes(band)}
                set={(on) => now({ bands: on ? [...bands, band] : bands.filter((b) => b !== band) })}
              />
            ))}
          </Flex>
        </chakra.fieldset>
        <WordSelect
          label="Generation of its Wi-Fi"
          words={generationWords}
          value={device.generation ?? "unknown"}
          onChange={(generation) => now({ generation })}
        />
        <NumberInput
          label="Streams of its Wi-Fi"
          hint="1 to 8, such as 2 for 2×2; left out, rates are told with more spread"
          expected="A whole number is expected, 1 to 8."
          value={device.streams ?? null}
          save={(streams) => correct({ streams })}
        />
      </Section>
      {setting && (
        <HostAddressFields
          legend="Its address today"
          address={setting.address}
          tools={tools}
          make={(address) => ({ kind: "setDeviceAddress", device: device.id, address })}
        />
      )}
      <Box fontSize="sm">
        <Link to={`../plan?setUp=${state.proof.setUp}&device=${device.id}`} relative="path">
          How it is connected today
        </Link>
      </Box>
      <Taking what={device.name} id={device.id} tools={tools} />
    </Box>
  );
}

/** What is known of a place. */
export function PlaceSheet({
  place,
  state,
  view,
  tools,
}: {
  place: Schemas["Place"];
  state: JobState;
  view: Schemas["SurveyView"] | undefined;
  tools: JobTools;
}) {
  const set = (known: Schemas["PartialOfPlace"]): Correction => ({ kind: "setPlace", place: place.id, known });
  const length = (key: "lengthMetres" | "widthMetres" | "eastMetres" | "northMetres", label: string, hint?: string) => (
    <DraftInput
      label={label}
      hint={hint}
      inputMode="decimal"
      value={place[key]?.toString() ?? ""}
      save={async (draft) => tools.correct([set({ [key]: metres(draft) })])}
    />
  );
  const buildings = state.design.site.buildings ?? [];
  return (
    <Box display="grid" gap="3">
      <chakra.h2 fontSize="lg">{place.name}</chakra.h2>
      <Section title="The place">
        <DraftInput label="Name" value={place.name} save={(draft) => tools.correct([set({ name: draft })])} />
        <WordSelect label="Sort" words={placeWords} value={place.kind ?? "room"} onChange={(kind) => tools.correctNow([set({ kind })])} />
        <NumberInput
          label="Floor"
          hint="the ground floor is 0"
          expected="A whole number is expected; the ground floor is 0."
          value={place.floor ?? 0}
          save={(floor) => tools.correct([set({ floor: floor ?? 0 })])}
        />
        <WordSelect
          label="Walls"
          words={wallWords}
          value={place.walls ?? "unknown"}
          onChange={(walls) => tools.correctNow([set({ walls })])}
        />
        {length("lengthMetres", "West to east, in metres")}
        {length("widthMetres", "South to north, in metres")}
        {length("eastMetres", "Its western wall from the western corner of the plot", "in metres; cable lengths follow from it")}
        {length("northMetres", "Its southern wall from the southern corner of the plot", "in metres")}
        {buildings.length > 0 && (
          <Labelled label="Building">
            {(ids) => (
              <Select
                {...ids}
                value={place.building ?? ""}
                onChange={(e) => tools.correctNow([set({ building: e.target.value === "" ? null : e.target.value })])}
              >
                <option value="">the main house</option>
                {buildings.slice(1).map((b) => (
                  <option key={b.id} value={b.id}>
                    {b.name}
                  </option>
                ))}
              </Select>
            )}
          </Labelled>
        )}
      </Section>
      {view && <PlaceAir place={place} air={view.air.find((a) => a.place === place.id)} state={state} tools={tools} />}
      <Taking what={place.name} id={place.id} tools={tools} />
    </Box>
  );
}
