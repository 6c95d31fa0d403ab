import { Box, chakra } from "@chakra-ui/react";
import type { Change, Schemas } from "../../api/client";
import { DraftInput } from "../../ui/DraftInput";
import type { JobTools } from "../stations/useJob";

type Server = Schemas["AddressServerDocument"];

const listed = (draft: string) => draft.split(/[\s,]+/).filter(Boolean);

/** What an address server hands out beside an address: gateway, names, domain, and for how long. Seldom touched, so folded. */
export function HandingFields({ box, server, tools }: { box: string; server: Server; tools: JobTools }) {
  const field = (make: (draft: string) => Change) => ({
    fontFamily: "mono",
    save: (draft: string) => tools.save([make(draft)]),
    attempt: (draft: string | null) => tools.attempt(draft === null ? null : [make(draft)]),
  });
  const lease = (draft: string): Change => ({ kind: "setLeaseTime", box, minutes: draft === "" ? null : Number(draft) });
  const leftOut: { label: string; on: boolean; make: (on: boolean) => Change }[] = [
    { label: "Hands out no gateway", on: server.leavesOutGateway ?? false, make: (on) => ({ kind: "setServerGateway", box, gateway: null, leftOut: on }) },
    { label: "Hands out no name server", on: server.leavesOutNames ?? false, make: (on) => ({ kind: "setServerNames", box, nameServers: [], leftOut: on }) },
  ];
  return (
    <Box as="details" fontSize="sm" mt="1.5">
      <chakra.summary cursor="pointer" minH="6">
        What comes with an address
      </chakra.summary>
      <Box display="grid" gap="1.5" mt="1.5">
        <Box display="grid" gridTemplateColumns="1fr 1fr" gap="2">
          <DraftInput label="Gateway handed out" placeholder="itself" disabled={server.leavesOutGateway ?? false} value={server.gateway ?? ""} {...field((draft) => ({ kind: "setServerGateway", box, gateway: draft === "" ? null : draft, leftOut: false }))} />
          <DraftInput label="Names asked of" placeholder="itself" disabled={server.leavesOutNames ?? false} value={(server.nameServers ?? []).join(", ")} {...field((draft) => ({ kind: "setServerNames", box, nameServers: listed(draft), leftOut: false }))} />
          <DraftInput label="Domain" placeholder="none" value={server.domain ?? ""} {...field((draft) => ({ kind: "setServerDomain", box, domain: draft === "" ? null : draft }))} />
          <DraftInput
            label="Lease, minutes"
            placeholder="not read"
            inputMode="numeric"
            value={server.leaseMinutes?.toString() ?? ""}
            {...field(lease)}
            save={(draft) => (/^\d*$/.test(draft) ? tools.save([lease(draft)]) : Promise.reject(new Error("A whole number of minutes, such as 1440 for a day.")))}
            attempt={(draft) => tools.attempt(draft === null || !/^\d*$/.test(draft) ? null : [lease(draft)])}
          />
        </Box>
        {leftOut.map(({ label, on, make }) => (
          <chakra.label key={label} display="flex" gap="2" alignItems="center" minH="6" cursor="pointer">
            <chakra.input type="checkbox" checked={on} disabled={tools.busy} width="18px" height="18px" accentColor="copper" onChange={(e) => tools.act([make(e.target.checked)])} />
            {label}
          </chakra.label>
        ))}
      </Box>
    </Box>
  );
}
