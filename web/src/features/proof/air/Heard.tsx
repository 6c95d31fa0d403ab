import { Box, chakra } from "@chakra-ui/react";
import { Link } from "react-router";
import type { JobState, Schemas } from "../../../api/client";
import { Cell, Head } from "../../../ui/tables";
import { bandWords, keysOf, levelBasisWords, levelUseColours, levelUseSigns, levelUseWords } from "../../../ui/words";
import { nameOf } from "../../shared/designReading";
import { dbmText } from "../../shared/airWords";

interface Props {
  places: Schemas["PlaceLevels"][];
  limits: Schemas["LevelLimits"];
  state: JobState;
}

/** What is heard best in each place, band by band. */
export function Heard({ places, limits, state }: Props) {
  const { design } = state;
  const bands = keysOf(bandWords).filter((b) => places.some((p) => p.heard.some((h) => h.band === b)));
  return (
    <Box as="section" aria-labelledby="heard">
      <chakra.h2 id="heard" fontSize="lg" mb="1">
        What is heard in each place
      </chakra.h2>
      {bands.length === 0 ? (
        <Box color="muted">
          {places.length === 0 ? "No place is noted. " : "Where the boxes that send stand is not noted. "}
          <Link to="../survey" relative="path">
            Note places and where boxes stand in the survey
          </Link>
        </Box>
      ) : (
        <Box overflowX="auto" tabIndex={0} role="region" aria-label="What is heard, table">
          <chakra.table width="100%">
            <thead>
              <tr>
                <Head scope="col">Place</Head>
                {bands.map((b) => (
                  <Head key={b} scope="col">
                    Best at {bandWords[b]}
                  </Head>
                ))}
              </tr>
            </thead>
            <tbody>
              {places.map((p) => (
                <tr key={p.place}>
                  <Cell>
                    {nameOf(design, p.place)}
                    {p.notKnown > 0 && (
                      <Box fontSize="sm" color="muted">
                        {p.notKnown === 1 ? "one radio: level not known" : `${p.notKnown} radios: level not known`}
                      </Box>
                    )}
                  </Cell>
                  {bands.map((b) => {
                    const best = p.heard.find((h) => h.band === b);
                    return <Cell key={b}>{best && <Signal level={best.level} of={nameOf(design, best.box)} />}</Cell>;
                  })}
                </tr>
              ))}
            </tbody>
          </chakra.table>
        </Box>
      )}
      <Box fontSize="sm" color="muted" mt="1">
        ● calls and video from {limits.callsDbm} dBm on · ◐ web pages · ○ weak, below {limits.pagesDbm} dBm. ± is one standard deviation.
        Levels of two devices differ by 5 to 10 dB: compare before and after with one. Where a phone shows no level, take it from a laptop,
        from the page of the box, or from its light.
      </Box>
    </Box>
  );
}

function Signal({ level, of }: { level: Schemas["SignalLevel"]; of: string }) {
  return (
    <>
      <chakra.span color={levelUseColours[level.use]} fontWeight="700" whiteSpace="nowrap">
        {`${levelUseSigns[level.use]} ${levelUseWords[level.use]}`}
      </chakra.span>{" "}
      <chakra.span fontFamily="mono" whiteSpace="nowrap">
        {dbmText(level)}
      </chakra.span>{" "}
      <chakra.span color="muted" whiteSpace="nowrap">
        ± {Math.round(level.spreadDb)}
      </chakra.span>
      <Box fontSize="sm" color="muted">
        {of}, {levelBasisWords[level.basis]}
        {level.differs && `; computed ${Math.round(level.computedDbm ?? 0)} dBm ± ${Math.round(level.computedSpreadDb ?? 0)}`}
      </Box>
    </>
  );
}
