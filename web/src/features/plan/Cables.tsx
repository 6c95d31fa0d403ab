import { Box, chakra, Flex } from "@chakra-ui/react";
import { useState } from "react";
import type { Design, Schemas } from "../../api/client";
import { Card, Labelled } from "../../ui/pieces";
import { mediumWords } from "../../ui/words";
import { WordSelect } from "../../ui/WordSelect";
import type { JobTools } from "../shared/jobTools";
import { cableAt, endName, freeEnds, notLookedAt, otherEnd } from "../shared/designReading";
import { Button, Select } from "../../ui/controls";

interface Props {
  owner: string;
  ends: string[];
  design: Design;
  tools: JobTools;
}

/** What is plugged into a box or device, and a new cable by choosing two ports. */
export function Cables({ owner, ends, design, tools }: Props) {
  const [from, setFrom] = useState("");
  const [to, setTo] = useState("");
  const [medium, setMedium] = useState<Schemas["Medium"]>("unknown");
  const free = freeEnds(design);
  const mine = free.filter((e) => ends.includes(e));
  const others = free.filter((e) => e.split("/")[0] !== owner);
  const here = mine.includes(from) ? from : (mine[0] ?? "");
  const there = others.includes(to) ? to : "";
  return (
    <Card mt="3" aria-label="Cables" as="section">
      <chakra.h3 fontSize="md">Cables</chakra.h3>
      <Box as="ul" display="grid" gap="1" my="1">
        {ends.map((end) => {
          const cable = cableAt(design, end);
          return cable ? (
            <Flex as="li" key={end} justify="space-between" align="center" gap="2">
              <Box minW="0">
                {endName(design, end)} to {endName(design, otherEnd(cable, end))}
                <chakra.span color="muted" fontSize="sm">
                  {" "}
                  {mediumWords[cable.medium]}
                  {cable.lengthMetres ? `, ${cable.lengthMetres} m` : ""}
                </chakra.span>
              </Box>
              <Button
                variant="quiet"
                flexShrink={0}
                whiteSpace="nowrap"
                aria-label={`Unplug the cable from ${endName(design, end)} to ${endName(design, otherEnd(cable, end))}`}
                onClick={() => tools.act([{ kind: "unpatch", cable: cable.id }])}
              >
                Unplug
              </Button>
            </Flex>
          ) : null;
        })}
      </Box>
      {mine.length === 0 ? (
        <Box color="muted" fontSize="sm">
          Every port is taken.
        </Box>
      ) : (
        <Box display="grid" gridTemplateColumns={{ base: "1fr", md: "1fr 1fr" }} gap="2" alignItems="end">
          <Labelled label="Plug in from">
            {(ids) => (
              <Select {...ids} value={here} onChange={(e) => setFrom(e.target.value)}>
                {mine.map((e) => (
                  <option key={e} value={e}>
                    {endName(design, e)}
                  </option>
                ))}
              </Select>
            )}
          </Labelled>
          <Labelled label="to">
            {(ids) => (
              <Select {...ids} value={there} onChange={(e) => setTo(e.target.value)}>
                <option value="">choose a port</option>
                {others.map((e) => (
                  <option key={e} value={e}>
                    {endName(design, e)}
                  </option>
                ))}
              </Select>
            )}
          </Labelled>
          <WordSelect label="Cable" words={mediumWords} value={medium} onChange={setMedium} />
          <Button
            disabled={there === ""}
            onClick={() => tools.act([{ kind: "patch", a: here, b: there, known: { ...notLookedAt, medium } }])}
          >
            Plug in
          </Button>
        </Box>
      )}
    </Card>
  );
}
