import { Box, chakra, Flex } from "@chakra-ui/react";
import type { Design, Proof, Schemas } from "../../api/client";
import { Button } from "../../ui/controls";
import { DraftInput } from "../../ui/DraftInput";
import { Card } from "../../ui/pieces";
import { capital, mediumWords } from "../../ui/words";
import { WordSelect } from "../../ui/WordSelect";
import { cableAt, endName, setUpOf } from "../shared/designReading";
import type { JobTools } from "../shared/jobTools";
import { rate } from "../terraces/readScene";
import { Cables } from "./Cables";

/** One port: what is in it, and a cable from it. */
export function PortInspector({ id, design, tools, run }: { id: string; design: Design; tools: JobTools; run: () => void }) {
  const [owner = "", portId] = id.split("/");
  const port = design.site.boxes.find((b) => b.id === owner)?.profile.ports.find((p) => p.id === portId);
  const cable = cableAt(design, id);
  return (
    <chakra.section aria-label={capital(endName(design, id))}>
      <chakra.h2 fontSize="lg">{capital(endName(design, id))}</chakra.h2>
      {port && (
        <Box color="muted" fontSize="sm">
          {port.role === "wan" ? "WAN side" : "LAN side"} · {port.speedMbps ? `up to ${rate(port.speedMbps)}` : "rate not looked at"}
        </Box>
      )}
      {!cable && (
        <Button mt="2" variant="main" onClick={run}>
          Run a cable from here
        </Button>
      )}
      <Cables owner={owner} ends={[id]} design={design} tools={tools} />
    </chakra.section>
  );
}

/** One cable: what it is made of, how long it is, what it carries. */
export function CableInspector({
  id,
  design,
  proof,
  tools,
  choose,
}: {
  id: string;
  design: Design;
  proof: Proof;
  tools: JobTools;
  choose: (end: string) => void;
}) {
  const cable = setUpOf(design).cables.find((c) => c.id === id);
  if (!cable) {
    return <Box color="muted">This cable is not there any more.</Box>;
  }
  const fact = proof.facts.links.find((l) => l.id === id);
  const set = (known: Schemas["PartialOfCableFacts"]) => [{ kind: "setCable" as const, cable: id, known }];
  return (
    <chakra.section aria-label="Cable">
      <chakra.h2 fontSize="lg">Cable</chakra.h2>
      <Flex wrap="wrap" gap="1.5" my="2">
        {[cable.from, cable.to].map((end) => (
          <Button key={end} onClick={() => choose(end)}>
            {capital(endName(design, end))}
          </Button>
        ))}
      </Flex>
      <Card display="grid" gap="3">
        <WordSelect label="Made of" words={mediumWords} value={cable.medium} onChange={(medium) => tools.act(set({ medium }))} />
        <DraftInput
          label="Length in metres"
          hint="Empty where it was not measured."
          inputMode="decimal"
          value={cable.lengthMetres ? String(cable.lengthMetres) : ""}
          save={(draft) => {
            const metres = draft === "" ? null : Number(draft.replace(",", "."));
            return Number.isNaN(metres)
              ? Promise.reject(new Error(`"${draft}" is not a number of metres.`))
              : tools.save(set({ lengthMetres: metres }));
          }}
        />
        <Box fontSize="sm">
          {fact?.atMostMbps
            ? `Carries at most ${rate(fact.atMostMbps)} by its ports and its kind; what arrives is measured.`
            : fact
              ? "What it carries is not known: look at its kind and its ports."
              : "It joins nothing that is in use."}
        </Box>
        <Button onClick={() => tools.act([{ kind: "unpatch", cable: id }])}>Unplug it</Button>
      </Card>
    </chakra.section>
  );
}
