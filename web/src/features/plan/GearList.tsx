import { Box, chakra, Flex } from "@chakra-ui/react";
import type { Design, Proof } from "../../api/client";
import { answerWords, modeWords } from "../../ui/words";
import { addressText, cableAt, factsOf, nameOf, otherEnd, setUpOf, type Box as Gear } from "../shared/designReading";
import { Mono } from "../../ui/controls";

interface Props {
  design: Design;
  proof: Proof;
  chosen: string | undefined;
  choose: (kind: "box" | "device", id: string) => void;
}

const Row = chakra("button", {
  base: {
    display: "block",
    width: "100%",
    textAlign: "start",
    font: "inherit",
    color: "ink",
    cursor: "pointer",
    rounded: "md",
    borderWidth: "1px",
    borderStyle: "solid",
    borderColor: "line",
    bg: "card",
    px: "3",
    py: "2",
    _hover: { borderColor: "copper" },
    "&[aria-pressed=true]": { borderColor: "copper", bg: "clay.1" },
  },
});

/** Every box with its ports and what is in them, and every device of the customer. */
export function GearList({ design, proof, chosen, choose }: Props) {
  const setUp = setUpOf(design);
  return (
    <>
      <chakra.h2 fontSize="lg" mb="2">
        Gear
      </chakra.h2>
      <Box as="ul" display="grid" gap="2" aria-label="Gear">
        {design.site.boxes.map((box) => {
          const setting = setUp.boxes.find((b) => b.box === box.id);
          return (
            <li key={box.id}>
              <Row aria-pressed={chosen === box.id} onClick={() => choose("box", box.id)}>
                <Flex justify="space-between" gap="2" wrap="wrap">
                  <chakra.span fontWeight="700">{box.name}</chakra.span>
                  <chakra.span color="muted" fontSize="sm">
                    {setting ? modeWords[setting.mode] : "not in use"}
                  </chakra.span>
                </Flex>
                {factsOf(proof, box.id)
                  .filter((f) => f.side !== "wan")
                  .map((f) => (
                    <Box key={f.side} fontSize="sm">
                      <Mono>{addressText(design, f).text}</Mono>
                    </Box>
                  ))}
                {setting && <Ports box={box} design={design} />}
              </Row>
            </li>
          );
        })}
      </Box>
      <chakra.h2 fontSize="lg" mt="4" mb="2">
        The customer&apos;s devices
      </chakra.h2>
      <Box as="ul" display="grid" gap="1.5" aria-label="Devices">
        {design.site.devices.map((device) => {
          const fact = factsOf(proof, device.id)[0];
          const internet = proof.facts.internet.find((i) => i.device === device.id);
          const kind = internet?.answer.kind;
          return (
            <li key={device.id}>
              <Row aria-pressed={chosen === device.id} onClick={() => choose("device", device.id)} py="1.5">
                <Flex justify="space-between" gap="2" wrap="wrap">
                  <span>{device.name}</span>
                  <chakra.span
                    fontSize="sm"
                    color={kind === "yes" ? "moss" : kind === undefined ? "muted" : kind === "unknown" ? "ochre" : "brick"}
                  >
                    {kind
                      ? `internet: ${answerWords[kind]}`
                      : setUp.devices.some((d) => d.device === device.id)
                        ? "not proven"
                        : "not in use"}
                  </chakra.span>
                </Flex>
                {fact && (
                  <Box fontSize="xs" color="muted">
                    <Mono>{addressText(design, fact).text}</Mono>
                  </Box>
                )}
              </Row>
            </li>
          );
        })}
      </Box>
    </>
  );
}

function Ports({ box, design }: { box: Gear; design: Design }) {
  return (
    <Flex as="span" wrap="wrap" gap="1" mt="1.5" fontSize="xs">
      {box.profile.ports.map((port) => {
        const end = `${box.id}/${port.id}`;
        const cable = cableAt(design, end);
        return (
          <chakra.span
            key={port.id}
            px="1.5"
            rounded="sm"
            borderWidth="1px"
            borderStyle="solid"
            borderColor={cable ? "ink" : "line"}
            color={cable ? "ink" : "muted"}
          >
            <Mono>{port.label}</Mono> {cable ? nameOf(design, otherEnd(cable, end).split("/")[0] ?? "") : "empty"}
          </chakra.span>
        );
      })}
    </Flex>
  );
}
