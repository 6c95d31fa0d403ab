import { Box, chakra } from "@chakra-ui/react";
import { Link } from "react-router";
import type { JobState, Schemas } from "../../api/client";
import { Button } from "../../ui/controls";
import { bandWords, securityWords } from "../../ui/words";
import { Cell, Head } from "../../ui/tables";
import { momentWords } from "../../ui/moment";
import type { JobTools } from "../shared/jobTools";

interface Props {
  place: Schemas["Place"];
  /** What is noted of it; undefined where nothing is. */
  air: Schemas["PlaceAir"] | undefined;
  state: JobState;
  tools: JobTools;
}

/** What was heard on the air in a place: the home's own networks as they arrive there, and the neighbours'. */
export function PlaceAir({ place, air, state, tools }: Props) {
  const nameOf = (id: string) => state.design.site.boxes.find((b) => b.id === id)?.name ?? id;
  return (
    <Box as="section" aria-label="Wi-Fi heard here">
      <chakra.h3 fontSize="sm" mb="1.5" borderBottomWidth="1px" borderBottomStyle="solid" borderColor="line">
        Wi-Fi heard here
      </chakra.h3>
      {air === undefined ? (
        <Box fontSize="sm" color="muted">
          Not scanned yet. <Link to="?part=readings&show=take">Take a reading</Link> of the networks in reach here, and say that it was
          taken in {place.name}.
        </Box>
      ) : (
        <>
          <Box fontSize="sm" mb="1">
            {air.says}
            <Box color="muted">{air.at ? `Heard ${momentWords(air.at)}.` : "When it was heard is not known."}</Box>
          </Box>
          <Box overflowX="auto">
            <chakra.table width="100%" fontSize="sm" aria-label={`Networks heard in ${place.name}`}>
              <thead>
                <tr>
                  <Head>Network</Head>
                  <Head>Of</Head>
                  <Head>Channel</Head>
                  <Head textAlign="end">Level</Head>
                </tr>
              </thead>
              <tbody>
                {air.rows.map(({ network, box, own }, i) => (
                  <tr key={`${network.radio ?? ""} ${network.name} ${i}`}>
                    <Cell css={{ overflowWrap: "anywhere" }}>
                      {network.name === "" ? <chakra.span color="muted">hides its name</chakra.span> : network.name}
                      {network.security && <Box color="muted">{securityWords[network.security]}</Box>}
                    </Cell>
                    <Cell>{box ? nameOf(box) : own ? "this home, by its name" : "neighbours"}</Cell>
                    <Cell>
                      {network.channel ?? "not told"}
                      {network.band && <Box color="muted">{bandWords[network.band]}</Box>}
                    </Cell>
                    <Cell textAlign="end" whiteSpace="nowrap" fontFamily="mono">
                      {network.levelDbm === null || network.levelDbm === undefined ? "not told" : `${network.levelDbm} dBm`}
                      {(network.eitherDb ?? 0) > 0 && (
                        <Box color="muted" fontFamily="body">
                          ± {network.eitherDb} dB
                        </Box>
                      )}
                    </Cell>
                  </tr>
                ))}
              </tbody>
            </chakra.table>
          </Box>
          <Button variant="quiet" mt="1" onClick={() => tools.correctNow([{ kind: "setPlace", place: place.id, known: { air: null } }])}>
            Forget what was heard here
          </Button>
        </>
      )}
    </Box>
  );
}
