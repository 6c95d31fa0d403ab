import { Box } from "@chakra-ui/react";
import type { Change, Schemas } from "../../api/client";
import { DraftInput } from "../../ui/DraftInput";
import { NumberInput } from "../../ui/NumberInput";
import { Fold } from "../../ui/Fold";
import { Tick } from "../../ui/Tick";
import type { JobTools } from "../shared/jobTools";

type Server = Schemas["DhcpServerDocument"];

const listed = (draft: string) => draft.split(/[\s,]+/).filter(Boolean);

/** What a DHCP server hands out beside an address: gateway, names, domain, and for how long. Seldom touched, so folded. */
export function HandingFields({ box, server, tools }: { box: string; server: Server; tools: JobTools }) {
  const field = (make: (draft: string) => Change) => ({
    fontFamily: "mono",
    save: (draft: string) => tools.save([make(draft)]),
    attempt: (draft: string | null) => tools.attempt(draft === null ? null : [make(draft)]),
  });
  const lease = (minutes: number | null): Change => ({ kind: "setLeaseTime", box, minutes });
  const leftOut: { label: string; on: boolean; make: (on: boolean) => Change }[] = [
    {
      label: "Hands out no gateway",
      on: server.leavesOutGateway ?? false,
      make: (on) => ({ kind: "setServerGateway", box, gateway: null, leftOut: on }),
    },
    {
      label: "Hands out no DNS server",
      on: server.leavesOutDns ?? false,
      make: (on) => ({ kind: "setDnsServers", box, dnsServers: [], leftOut: on }),
    },
  ];
  return (
    <Fold title="What comes with an address" mt="1.5">
      <Box display="grid" gap="1.5" mt="1.5">
        <Box display="grid" gridTemplateColumns="1fr 1fr" gap="2">
          <DraftInput
            label="Default gateway handed out"
            placeholder="itself"
            disabled={server.leavesOutGateway ?? false}
            value={server.gateway ?? ""}
            {...field((draft) => ({ kind: "setServerGateway", box, gateway: draft === "" ? null : draft, leftOut: false }))}
          />
          <DraftInput
            label="DNS servers handed out"
            placeholder="itself"
            disabled={server.leavesOutDns ?? false}
            value={(server.dnsServers ?? []).join(", ")}
            {...field((draft) => ({ kind: "setDnsServers", box, dnsServers: listed(draft), leftOut: false }))}
          />
          <DraftInput
            label="Domain"
            placeholder="none"
            value={server.domain ?? ""}
            {...field((draft) => ({ kind: "setServerDomain", box, domain: draft === "" ? null : draft }))}
          />
          <NumberInput
            label="Lease, minutes"
            placeholder="not read"
            fontFamily="mono"
            expected="A whole number of minutes, such as 1440 for a day."
            value={server.leaseMinutes ?? null}
            save={(minutes) => tools.save([lease(minutes)])}
            attempt={(minutes) => tools.attempt(minutes === undefined ? null : [lease(minutes)])}
          />
        </Box>
        {leftOut.map(({ label, on, make }) => (
          <Tick key={label} label={label} on={on} set={(on) => tools.act([make(on)])} />
        ))}
      </Box>
    </Fold>
  );
}
