import { Box } from "@chakra-ui/react";
import type { Change } from "../../api/client";
import { DraftInput } from "../../ui/DraftInput";
import { Fold } from "../../ui/Fold";
import { Tick } from "../../ui/Tick";
import type { JobTools } from "../shared/jobTools";
import type { BoxSetting } from "../shared/designReading";
import { Kept } from "./Kept";
import { NewRoute } from "./NewRoute";

/** What a router passes on and lets in: NAT, ports on request, the host that gets the rest, ways typed in. Seldom touched, so folded. */
export function PassingFields({ box, setting, tools }: { box: string; setting: BoxSetting; tools: JobTools }) {
  const dmz = (to: string): Change => ({ kind: "setDmz", box, to: to === "" ? null : to });
  const switches: { label: string; on: boolean; make: (on: boolean) => Change }[] = [
    { label: "NAT", on: setting.nat ?? true, make: (on) => ({ kind: "setNat", box, on }) },
    { label: "Devices may ask it to open ports", on: setting.portRequests ?? false, make: (on) => ({ kind: "setPortRequests", box, on }) },
  ];
  return (
    <Fold title="NAT, port forwarding and routes">
      <Box display="grid" gap="1.5" mt="1.5">
        {switches.map(({ label, on, make }) => (
          <Tick key={label} label={label} on={on} set={(on) => tools.act([make(on)])} />
        ))}
        <DraftInput
          label="DMZ host"
          hint="Gets all connections from outside that no port forwarding takes. Only a box that is itself a firewall belongs there."
          value={setting.dmz ?? ""}
          fontFamily="mono"
          save={(draft) => tools.save([dmz(draft)])}
          attempt={(draft) => tools.attempt(draft === null ? null : [dmz(draft)])}
        />
        {setting.routes && setting.routes.length > 0 && (
          <Kept
            title="Routes"
            items={setting.routes.map((r) => ({ text: `${r.to} by ${r.via}`, change: { kind: "removeRoute", box, to: r.to } }))}
            tools={tools}
          />
        )}
        <NewRoute box={box} tools={tools} />
      </Box>
    </Fold>
  );
}
