import { Box, chakra } from "@chakra-ui/react";
import type { Change, Schemas } from "../../api/client";
import { Button } from "../../ui/controls";
import { DraftInput } from "../../ui/DraftInput";
import { securityWords } from "../../ui/words";
import { WordSelect } from "../../ui/WordSelect";
import { GuestTag } from "./GuestFields";
import type { BoxSetting } from "../shared/designReading";
import { SecretField } from "../shared/SecretField";
import type { JobTools } from "../shared/jobTools";

/** An access point's further name for guests, or a way to add one. Whether they are kept apart is the box's habit. */
export function PointGuestFields({ box, setting, tools }: { box: string; setting: BoxSetting; tools: JobTools }) {
  const guest = setting.guestName;
  const change = (parts: Schemas["PartialOfGuestName"]): Change => ({ kind: "setPointGuest", box, guest: parts });
  if (!guest) {
    return (
      <Box borderTopWidth="1px" borderTopStyle="solid" borderColor="line" pt="2">
        <Button
          onClick={() => tools.act([change({ name: `${(setting.radios?.[0]?.name ?? box).slice(0, 24)}-guests`, security: "wpa2" })])}
        >
          Add a name for guests
        </Button>
      </Box>
    );
  }
  return (
    <Box as="fieldset" borderTopWidth="1px" borderTopStyle="solid" borderColor="line" pt="2" display="grid" gap="2">
      <chakra.legend fontWeight="600" fontSize="sm">
        Guest Wi-Fi name
      </chakra.legend>
      <Box display="grid" gridTemplateColumns="1fr 1fr" gap="2">
        <DraftInput
          label="Guest Wi-Fi name"
          value={guest.name}
          save={(draft) => tools.save([change({ name: draft })])}
          attempt={(draft) => tools.attempt(draft === null ? null : [change({ name: draft })])}
        />
        <WordSelect
          label="Guest Wi-Fi security"
          words={securityWords}
          value={guest.security}
          onChange={(security) => tools.act([change({ security })])}
        />
      </Box>
      {guest.security !== "open" && (
        <SecretField
          job={tools.id}
          label="Guest Wi-Fi password"
          name="guest key"
          reference={guest.password ?? null}
          refer={(password) => tools.save([change({ password })])}
        />
      )}
      <GuestTag vlan={guest.vlan ?? null} save={(vlan) => tools.save([change({ vlan })])} />
      <Button onClick={() => tools.act([{ kind: "removePointGuest", box }])}>Remove the guest Wi-Fi name</Button>
    </Box>
  );
}
