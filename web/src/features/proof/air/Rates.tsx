import { Box, chakra } from "@chakra-ui/react";
import { ChevronDown, ChevronRight } from "lucide-react";
import type { JobState, Schemas } from "../../../api/client";
import { Cell, Head } from "../../../ui/tables";
import { capital, levelBasisWords } from "../../../ui/words";
import { nameOf } from "../../shared/designReading";
import { dbmText, spanText, spanWords, usualText } from "../../shared/airWords";

interface Props {
  rates: Schemas["RateFact"][];
  state: JobState;
  /** The device whose way is shown part by part; null for none. */
  opened: string | null;
  open: (device: string | null) => void;
}

/** How fast each device gets to the internet, and what limits it; one of them part by part. */
export function Rates({ rates, state, opened, open }: Props) {
  const { design } = state;
  const scale = Math.max(1, ...rates.flatMap((r) => [r.down.usual ?? 0, r.up.usual ?? 0])) * 1.15;
  return (
    <Box as="section" aria-labelledby="rates">
      <chakra.h2 id="rates" fontSize="lg" mb="1">
        Expected speed to the internet
      </chakra.h2>
      {rates.length === 0 ? (
        <Box color="muted">No device gets to the internet.</Box>
      ) : (
        <Box overflowX="auto" tabIndex={0} role="region" aria-label="Expected speed, table">
          <chakra.table width="100%">
            <thead>
              <tr>
                <Head scope="col">Device</Head>
                <Head scope="col">Down</Head>
                <Head scope="col">Up</Head>
                <Head scope="col">What limits it</Head>
              </tr>
            </thead>
            <tbody>
              {rates.map((rate) => (
                <RateRows
                  key={rate.from}
                  rate={rate}
                  name={nameOf(design, rate.from)}
                  scale={scale}
                  opened={opened === rate.from}
                  toggle={() => open(opened === rate.from ? null : rate.from)}
                />
              ))}
            </tbody>
          </chakra.table>
        </Box>
      )}
    </Box>
  );
}

interface RowProps {
  rate: Schemas["RateFact"];
  name: string;
  scale: number;
  opened: boolean;
  toggle: () => void;
}

function RateRows({ rate, name, scale, opened, toggle }: RowProps) {
  const Sign = opened ? ChevronDown : ChevronRight;
  return (
    <>
      <tr>
        <Cell>
          <chakra.button
            type="button"
            aria-expanded={opened}
            onClick={toggle}
            bg="transparent"
            font="inherit"
            color="copper"
            textAlign="start"
            cursor="pointer"
            minH="6"
          >
            <Sign size={15} aria-hidden style={{ display: "inline", verticalAlign: "-0.15em" }} /> {name}
          </chakra.button>
        </Cell>
        <Cell whiteSpace="nowrap">
          <Span span={rate.down} scale={scale} exact={rate.measured !== null} />
        </Cell>
        <Cell whiteSpace="nowrap">
          <Span span={rate.up} scale={scale} exact={rate.measured !== null} />
        </Cell>
        <Cell minW="15rem">
          {rate.says}
          {rate.measured && (
            <Box fontSize="sm" fontWeight="600" color={rate.measured.stands === "within" ? "moss" : "ochre"}>
              {rate.measured.stands === "within" ? "✓ measured" : "▲ measured"}; computed {spanWords(rate.measured.computedDown)}
            </Box>
          )}
        </Cell>
      </tr>
      {opened &&
        rate.parts.map((part, i) => (
          <chakra.tr key={`${part.id} ${i}`} fontSize="sm" bg="clay.1">
            <Cell pl="6">
              {capital(part.says)}
              {part.isMeasured && <Box color="muted">as measured over it</Box>}
              {part.repeats && <Box color="muted">on the radio of the hop before, which sends each frame twice</Box>}
              {part.id === rate.limitDown && (
                <Box fontWeight="600" color="ochre">
                  ▲ the slowest part
                </Box>
              )}
            </Cell>
            <Cell whiteSpace="nowrap">
              <Span span={part.down} />
            </Cell>
            <Cell whiteSpace="nowrap">
              <Span span={part.up} />
            </Cell>
            <Cell>{part.level && <Received level={part.level} back={part.back ?? null} />}</Cell>
          </chakra.tr>
        ))}
    </>
  );
}

/** How strongly each end hears the other: the weaker direction counts. */
function Received({ level, back }: { level: Schemas["SignalLevel"]; back: Schemas["SignalLevel"] | null }) {
  return (
    <>
      received at <chakra.span fontFamily="mono">{dbmText(level)}</chakra.span> ± {Math.round(level.spreadDb)} dB
      {back && back.dbm !== level.dbm && (
        <>
          , heard back at <chakra.span fontFamily="mono">{dbmText(back)}</chakra.span>
        </>
      )}
      , {levelBasisWords[level.basis]}
    </>
  );
}

/** What is expected, from where to where it may be, and both as a bar where there is something to compare with. */
function Span({ span, scale, exact = false }: { span: Schemas["RateSpan"]; scale?: number; exact?: boolean }) {
  const may = spanText(span, exact);
  const at = (mbps: number) => `${Math.min(100, (mbps / (scale ?? 1)) * 100)}%`;
  return (
    <>
      <chakra.span fontFamily="mono" fontWeight={span.usual === null ? 400 : 600}>
        {usualText(span, exact)}
      </chakra.span>{" "}
      {may && (
        <chakra.span fontSize="sm" color="muted">
          {may}
        </chakra.span>
      )}
      {scale !== undefined && (
        <Box aria-hidden position="relative" height="6px" width={{ base: "6rem", lg: "9rem" }} bg="clay.1" rounded="sm" mt="0.5">
          <Box
            position="absolute"
            left={at(span.low)}
            right={`calc(100% - ${at(span.high)})`}
            top="1px"
            bottom="1px"
            bg="clay.4"
            borderRadius="2px"
          />
          {span.usual !== null && (
            <Box position="absolute" left={`calc(${at(span.usual)} - 1.5px)`} width="3px" top="0" bottom="0" bg="ink" />
          )}
        </Box>
      )}
    </>
  );
}
