import { Box } from "@chakra-ui/react";
import type { Schemas } from "../../api/client";
import { Fold } from "../../ui/Fold";
import { Tick } from "../../ui/Tick";
import { addressSchoolWords, passwordSchoolWords, resetSchoolWords } from "../../ui/words";
import { WordSelect } from "../../ui/WordSelect";
import { waysOf } from "../shared/useRun";

/** The server says each of them, also where nothing was asked for. */
type Ways = Required<Schemas["Ways"]>;

/** How the installer goes about it: the sheet is worked out anew, and says at which steps it cannot be so. */
export function MyWay({ ways, way, show }: { ways: Ways; way: string | null; show: (way: string) => void }) {
  const set = (name: keyof Ways, value: string | boolean) =>
    show([...waysOf(way).filter((w) => !w.startsWith(`${name}=`)), `${name}=${value}`].join(","));
  return (
    <Fold title="My way of working" mt="3" px="3">
      <Box display="grid" gap="2">
        <Tick label="My laptop has an Ethernet socket or an adapter" on={ways.socket} set={(on) => set("socket", on)} />
        <WordSelect label="A further box is reset" words={resetSchoolWords} value={ways.reset} onChange={(value) => set("reset", value)} />
        <WordSelect
          label="Its admin password is changed"
          words={passwordSchoolWords}
          value={ways.password}
          onChange={(value) => set("password", value)}
        />
        <WordSelect label="Its address is" words={addressSchoolWords} value={ways.address} onChange={(value) => set("address", value)} />
        <Tick label="The gateway may be changed" on={ways.touchesGateway} set={(on) => set("touchesGateway", on)} />
        <Tick label="Customer's devices may be touched" on={ways.touchesDevices} set={(on) => set("touchesDevices", on)} />
        <Box color="muted" fontSize="sm">
          Addresses, gateway and devices are as the plan has them: a step that goes another way says so.
        </Box>
      </Box>
    </Fold>
  );
}
