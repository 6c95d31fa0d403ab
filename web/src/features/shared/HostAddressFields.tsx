import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import type { Change, Schemas } from "../../api/client";
import { DraftInput } from "../../ui/DraftInput";
import { Labelled } from "../../ui/pieces";
import type { JobTools } from "./jobTools";
import { Select } from "../../ui/controls";

type Address = Schemas["HostAddressDocument"];
type Chosen = Schemas["HostAddress"];

interface Props {
  legend: string;
  address: Address;
  tools: JobTools;
  make: (address: Chosen) => Change;
}

/** Whether a host asks for its address or has one typed by hand. Choosing "by hand" saves once an address is typed. */
export function HostAddressFields({ legend, address, tools, make }: Props) {
  const [typing, setTyping] = useState(false);
  const byHand = typing || address.kind === "fixed";
  const fixed = (parts: Partial<Address>): Change => {
    const next = { ...address, ...parts };
    return make({
      kind: "fixed",
      address: next.address ?? "",
      gateway: next.gateway === "" ? null : (next.gateway ?? null),
      dnsServers: next.dnsServers ?? [],
    });
  };
  const field = (part: (draft: string) => Partial<Address>) => ({
    save: async (draft: string) => {
      await tools.save([fixed(part(draft))]);
      setTyping(false);
    },
    attempt: (draft: string | null) => tools.attempt(draft === null ? null : [fixed(part(draft))]),
  });
  return (
    <chakra.fieldset border="0" minW="0">
      <Box display="grid" gap="2">
        <Labelled label={legend}>
          {(ids) => (
            <Select
              {...ids}
              value={byHand ? "fixed" : "automatic"}
              onChange={(e) => {
                if (e.target.value === "fixed") {
                  setTyping(true);
                } else {
                  setTyping(false);
                  tools.act([make({ kind: "automatic" })]);
                }
              }}
            >
              <option value="automatic">asks for it</option>
              <option value="fixed">typed by hand</option>
            </Select>
          )}
        </Labelled>
        {byHand && (
          <Box display="grid" gridTemplateColumns="1fr 1fr" gap="2">
            <DraftInput
              label="Address and prefix"
              hint={typing && address.kind !== "fixed" ? "such as 192.168.8.2/24" : undefined}
              value={address.address ?? ""}
              fontFamily="mono"
              {...field((draft) => ({ address: draft }))}
            />
            {address.kind === "fixed" && (
              <DraftInput
                label="Default gateway"
                value={address.gateway ?? ""}
                fontFamily="mono"
                {...field((draft) => ({ gateway: draft }))}
              />
            )}
          </Box>
        )}
      </Box>
    </chakra.fieldset>
  );
}
