import { Box } from "@chakra-ui/react";
import type { Change, Design } from "../../api/client";
import { DraftInput } from "../../ui/DraftInput";
import { Tick } from "../../ui/Tick";
import type { JobTools } from "../shared/jobTools";
import { type Box as Gear, type BoxSetting, nameOfMac } from "../shared/designReading";
import { GuestFields } from "./GuestFields";
import { HandingFields } from "./HandingFields";
import { HostAddressFields } from "../shared/HostAddressFields";
import { Kept } from "./Kept";
import { LineFields, PassOn } from "./LineFields";
import { PassingFields } from "./PassingFields";

/** Address, DHCP server, pool and WAN side of a router. */
export function RouterFields({ box: gear, setting, design, tools }: { box: Gear; setting: BoxSetting; design: Design; tools: JobTools }) {
  const box = gear.id;
  const server = setting.dhcpServer;
  const [first = "", last = ""] = server?.pool.split("-") ?? [];
  const lan = (address: string): Change => ({ kind: "setLanAddress", box, address });
  const field = (make: (draft: string) => Change) => ({
    save: (draft: string) => tools.save([make(draft)]),
    attempt: (draft: string | null) => tools.attempt(draft === null ? null : [make(draft)]),
  });
  return (
    <>
      <DraftInput label="LAN address" value={setting.lan ?? ""} fontFamily="mono" {...field(lan)} />
      {server && (
        <Box>
          <Tick label="DHCP server on" on={server.on} set={(on) => tools.act([{ kind: "switchDhcpServer", box, on }])} />
          <Box display="grid" gridTemplateColumns="1fr 1fr" gap="2" mt="1.5">
            <DraftInput
              label="DHCP pool, first"
              value={first}
              fontFamily="mono"
              {...field((draft) => ({ kind: "movePool", box, first: draft }))}
            />
            <DraftInput
              label="DHCP pool, last"
              value={last}
              fontFamily="mono"
              {...field((draft) => ({ kind: "movePool", box, last: draft }))}
            />
          </Box>
          <HandingFields box={box} server={server} tools={tools} />
          {server.reservations && server.reservations.length > 0 && (
            <Kept
              title="Reserved"
              items={server.reservations.map((r) => ({
                text: `${r.address} for ${nameOfMac(design, r.mac)}`,
                change: { kind: "removeReservation", box, mac: r.mac },
              }))}
              tools={tools}
            />
          )}
        </Box>
      )}
      {setting.forwards && setting.forwards.length > 0 && (
        <Kept
          title="Forwarded"
          items={setting.forwards.map((f) => ({
            text: `${f.protocol} ${f.outsidePort} to ${f.to}:${f.insidePort}`,
            change: { kind: "removeForward", box, protocol: f.protocol, outsidePort: f.outsidePort },
          }))}
          tools={tools}
        />
      )}
      {setting.radios && setting.radios.length > 0 && <GuestFields box={box} setting={setting} tools={tools} />}
      <PassingFields box={box} setting={setting} tools={tools} />
      <PassOn box={gear} setting={setting} design={design} tools={tools} />
      <LineFields box={box} setting={setting} tools={tools} />
      {setting.wan && (
        <HostAddressFields
          legend="WAN address"
          address={setting.wan}
          tools={tools}
          make={(address) => ({ kind: "setWan", box, address })}
        />
      )}
    </>
  );
}
