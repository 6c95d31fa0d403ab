import { Box } from "@chakra-ui/react";
import { useRef } from "react";
import { useSearchParams } from "react-router";
import { Card } from "../../ui/pieces";
import type { JobTools } from "../stations/useJob";
import { BoxInspector } from "./BoxInspector";
import { setUpOf } from "../stations/designReading";
import { DeviceInspector } from "./DeviceInspector";
import { GearList } from "./GearList";
import { VerdictPanel } from "./VerdictPanel";

/** Plan as a list form: what is there, what the chosen thing is set to, and the verdict that follows. */
export default function PlanStation({ tools }: { tools: JobTools }) {
  const [query, setQuery] = useSearchParams();
  const inspector = useRef<HTMLDivElement>(null);
  const state = tools.job.data;
  if (!state) {
    return null;
  }
  const { design } = state;
  const device = design.site.devices.find((d) => d.id === query.get("device"));
  const box = device ? undefined : (design.site.boxes.find((b) => b.id === query.get("box")) ?? design.site.boxes[0]);
  const choose = (kind: "box" | "device", id: string) => {
    query.delete("box");
    query.delete("device");
    query.set(kind, id);
    setQuery(query, { replace: true });
    // On a narrow screen the settings stand below the list: go there.
    if (matchMedia("(max-width: 63.99rem)").matches) {
      requestAnimationFrame(() => inspector.current?.focus());
    }
  };
  const proof = tools.preview?.proof ?? state.proof;
  return (
    <Box
      display="grid"
      gridTemplateColumns={{ base: "minmax(0, 1fr)", lg: "minmax(0, 1fr) minmax(0, 1.05fr) minmax(20rem, 24rem)" }}
      gridTemplateAreas={{ base: `"verdict" "gear" "inspector"`, lg: `"gear inspector verdict"` }}
      alignItems="start"
    >
      <Box gridArea="gear" p="3" minW="0">
        {design.site.boxes.length === 0 ? (
          <Card>No gear yet. The survey is where it is entered; until then, open a design file from the list of jobs.</Card>
        ) : (
          <GearList design={design} proof={state.proof} chosen={device?.id ?? box?.id} choose={choose} />
        )}
      </Box>
      <Box gridArea="inspector" p="3" minW="0" ref={inspector} tabIndex={-1} outline="none">
        {device && <DeviceInspector key={device.id} device={device} design={design} proof={state.proof} tools={tools} />}
        {box && <BoxInspector key={box.id} box={box} setting={setUpOf(design).boxes.find((b) => b.box === box.id)} design={design} tools={tools} />}
      </Box>
      <Box gridArea="verdict" minW="0" bg="card" borderLeftWidth={{ lg: "1px" }} borderBottomWidth={{ base: "1px", lg: "0" }} borderStyle="solid" borderColor="line" minH={{ lg: "calc(100vh - 4.5rem)" }}>
        <VerdictPanel design={tools.preview?.design ?? design} proof={proof} trying={tools.preview?.label} apply={tools.act} busy={tools.busy} />
      </Box>
    </Box>
  );
}
