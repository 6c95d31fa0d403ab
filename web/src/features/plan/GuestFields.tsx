import { Box, chakra } from "@chakra-ui/react";
import type { Change, Schemas } from "../../api/client";
import { Button } from "../../ui/controls";
import { DraftInput } from "../../ui/DraftInput";
import { NumberInput } from "../../ui/NumberInput";
import { securityWords } from "../../ui/words";
import { WordSelect } from "../../ui/WordSelect";
import type { BoxSetting } from "../shared/designReading";
import { SecretField } from "../shared/SecretField";
import type { JobTools } from "../shared/jobTools";

/** The VLAN tag by which guests are on cables too. */
export function GuestTag({ vlan, save }: { vlan: number | null; save: (vlan: number | null) => Promise<unknown> }) {
  return (
    <NumberInput label="Guest VLAN tag" placeholder="none: by radio only" expected="A number from 2 to 4094." value={vlan} save={save} />
  );
}

/** A usual one to begin with; the router says so where it does not fit. */
const usual = (box: string, setting: BoxSetting): Schemas["PartialOfGuestNetwork"] => ({
  name: `${(setting.radios?.[0]?.name ?? box).slice(0, 24)}-guests`,
  security: "wpa2",
  lan: "192.168.30.1/24",
  pool: "192.168.30.20-192.168.30.199",
});

/** A router's network for guests: name, security, address and pool, or a way to add one. */
export function GuestFields({ box, setting, tools }: { box: string; setting: BoxSetting; tools: JobTools }) {
  const guest = setting.guest;
  const change = (parts: Schemas["PartialOfGuestNetwork"]): Change => ({ kind: "setGuest", box, guest: parts });
  if (!guest) {
    return (
      <Box borderTopWidth="1px" borderTopStyle="solid" borderColor="line" pt="2">
        <Button onClick={() => tools.act([change(usual(box, setting))])}>Add a guest network</Button>
      </Box>
    );
  }
  const field = (part: "name" | "lan" | "pool") => ({
    value: guest[part],
    save: (draft: string) => tools.save([change({ [part]: draft })]),
    attempt: (draft: string | null) => tools.attempt(draft === null ? null : [change({ [part]: draft })]),
  });
  return (
    <Box as="fieldset" borderTopWidth="1px" borderTopStyle="solid" borderColor="line" pt="2" display="grid" gap="2">
      <chakra.legend fontWeight="600" fontSize="sm">
        Guest network
      </chakra.legend>
      <DraftInput label="Guest Wi-Fi name" {...field("name")} />
      <DraftInput label="Guest network address" fontFamily="mono" {...field("lan")} />
      <DraftInput label="Guest DHCP pool" fontFamily="mono" {...field("pool")} />
      <GuestTag vlan={guest.vlan ?? null} save={(vlan) => tools.save([change({ vlan })])} />
      <WordSelect
        label="Guest Wi-Fi security"
        words={securityWords}
        value={guest.security}
        onChange={(security) => tools.act([change({ security })])}
      />
      {guest.security !== "open" && (
        <SecretField
          job={tools.id}
          label="Guest Wi-Fi password"
          name="guest key"
          reference={guest.password ?? null}
          refer={(password) => tools.save([change({ password })])}
        />
      )}
      <Button onClick={() => tools.act([{ kind: "removeGuest", box }])}>Remove the guest network</Button>
    </Box>
  );
}
