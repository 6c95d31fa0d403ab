import { Box, chakra } from "@chakra-ui/react";
import type { JobState, Schemas } from "../../api/client";
import { Card, Labelled } from "../../ui/pieces";
import type { JobTools } from "../shared/jobTools";
import { Cables } from "./Cables";
import { addressText, factsOf, nameOf, setUpOf } from "../shared/designReading";
import { ExpectedRate } from "../shared/ExpectedRate";
import { HostAddressFields } from "../shared/HostAddressFields";
import { Reasons } from "../shared/Reasons";
import { Button, Mono, Select } from "../../ui/controls";

interface Props {
  device: Schemas["DeviceDocument"];
  state: JobState;
  tools: JobTools;
}

/** How one of the customer's devices is set, and where it hangs. */
export function DeviceInspector({ device, state, tools }: Props) {
  const { design, proof } = state;
  const setUp = setUpOf(design);
  const setting = setUp.devices.find((d) => d.device === device.id);
  const fact = factsOf(proof, device.id)[0];
  const internet = proof.facts.internet.find((i) => i.device === device.id);
  const networks = setUp.boxes.flatMap((b) => {
    const sent = (b.radios ?? []).filter((r) => r.on);
    const names = [...sent, ...sent.flatMap((r) => r.furtherNames ?? []), ...(b.guest && sent.length > 0 ? [b.guest] : [])];
    return [...new Map(names.map((r) => [`${r.name} ${r.password}`, { box: b.box, name: r.name, password: r.password ?? null }])).values()];
  });
  const value = (w: { box: string; name: string; password?: string | null }) => JSON.stringify([w.box, w.name, w.password ?? null]);
  const joined = setting?.wifi ?? null;
  const known = joined && networks.some((n) => value(n) === value(joined));
  return (
    <chakra.section aria-label={device.name}>
      <chakra.h2 fontSize="lg">{device.name}</chakra.h2>
      <Box color="muted" fontSize="sm" mb="2">
        {device.mac}
      </Box>
      <Card display="grid" gridTemplateColumns="minmax(0, 1fr)" gap="3">
        {fact && (
          <Box>
            Has <Mono whiteSpace="normal">{addressText(design, fact).text}</Mono>, {addressText(design, fact).how}.
            {internet && (
              <Box color="muted">
                <Reasons answer={internet.answer} about={{ kind: "device", id: device.id }} state={state} />
              </Box>
            )}
            {internet && internet.answer.kind !== "no" && <ExpectedRate state={state} from={device.id} to="internet" />}
          </Box>
        )}
        <HostAddressFields
          legend="Its address"
          address={setting?.address ?? { kind: "automatic" }}
          tools={tools}
          make={(address) => ({ kind: "setDeviceAddress", device: device.id, address })}
        />
        <Labelled label="Wi-Fi that it joins" hint="A cable, where there is one, is preferred.">
          {(ids) => (
            <Select
              {...ids}
              value={joined ? value(joined) : ""}
              onChange={(e) => {
                const parts = e.target.value === "" ? null : (JSON.parse(e.target.value) as [string, string, string | null]);
                tools.act([{ kind: "joinWifi", device: device.id, wifi: parts && { box: parts[0], name: parts[1], password: parts[2] } }]);
              }}
            >
              <option value="">none</option>
              {joined && !known && (
                <option value={value(joined)}>
                  {joined.name} beside {nameOf(design, joined.box)} (not sent there)
                </option>
              )}
              {networks.map((n) => (
                <option key={value(n)} value={value(n)}>
                  {n.name} at {nameOf(design, n.box)}
                </option>
              ))}
            </Select>
          )}
        </Labelled>
      </Card>
      <Cables owner={device.id} ends={[device.id]} design={design} tools={tools} />
      {setting && (
        <Button variant="quiet" mt="2" onClick={() => tools.act([{ kind: "takeOutOfUse", id: device.id }])}>
          Leave it out of this set-up
        </Button>
      )}
    </chakra.section>
  );
}
