import { Box, chakra } from "@chakra-ui/react";
import { useId } from "react";
import type { JobState, Schemas } from "../../../api/client";
import { bandWords } from "../../../ui/words";
import { nameOf } from "../../shared/designReading";

const labelWidth = 210;
const width = 960;
const lane = 24;
const head = 30;

/** Who sends where, band by band: a lane for each network, the home's own filled, neighbours hatched. */
export function SpectrumLanes({ bands, state }: { bands: Schemas["Spectrum"][]; state: JobState }) {
  return (
    <Box as="section" aria-labelledby="lanes">
      <chakra.h2 id="lanes" fontSize="lg" mb="1">
        Who sends where
      </chakra.h2>
      {bands.length === 0 ? (
        <Box color="muted">No channel is fixed, and no scan was kept: nothing is known of where anyone sends.</Box>
      ) : (
        <Box display="grid" gap="3" gridTemplateColumns="minmax(0, 1fr)">
          {bands.map((b) => (
            <Band key={b.band} band={b} state={state} />
          ))}
        </Box>
      )}
    </Box>
  );
}

function Band({ band, state }: { band: Schemas["Spectrum"]; state: JobState }) {
  const id = useId();
  const x = (mhz: number) => labelWidth + ((mhz - band.lowMhz) / (band.highMhz - band.lowMhz)) * (width - labelWidth);
  const height = head + band.networks.length * lane + 4;
  // Numbers that would touch are left out.
  const apart = Math.ceil(26 / Math.max(0.1, x(band.channels[1]?.mhz ?? 0) - x(band.channels[0]?.mhz ?? 0)));
  const marks = band.channels.filter((_, i) => i % Math.max(1, apart) === 0);
  const who = (n: Schemas["SpectrumNetwork"]) => (n.box ? nameOf(state.design, n.box) : n.name === "" ? "hides its name" : n.name);
  const says = (n: Schemas["SpectrumNetwork"]) =>
    `${n.box ? "" : "neighbour "}${who(n)}, channel ${n.channel}, ${n.widthMhz} MHz${n.levelDbm === null ? "" : `, ${n.levelDbm} dBm`}`;
  return (
    <Box overflowX="auto" tabIndex={0} role="region" aria-label={`${bandWords[band.band]}, drawing`}>
      <chakra.svg
        viewBox={`0 0 ${width} ${height}`}
        width="100%"
        minW="60rem"
        role="img"
        aria-label={`${bandWords[band.band]}: ${band.networks.map(says).join("; ")}`}
        color="ink"
        fontFamily="body"
      >
        <defs>
          <pattern id={id} width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <line x1="0" y1="0" x2="0" y2="6" stroke="currentColor" strokeWidth="1.5" />
          </pattern>
        </defs>
        <chakra.text x="0" y="19" fontSize="15px" fontWeight="700" fill="ink">
          {bandWords[band.band]}
        </chakra.text>
        {marks.map((m) => (
          <g key={m.channel}>
            <chakra.line x1={x(m.mhz)} x2={x(m.mhz)} y1={head - 6} y2={height} stroke="line" strokeWidth="1" />
            <chakra.text x={x(m.mhz)} y="19" fontSize="13px" textAnchor="middle" fill="muted">
              {m.channel}
            </chakra.text>
          </g>
        ))}
        {band.networks.map((n, i) => {
          const y = head + i * lane;
          const [left, right] = [x(n.lowMhz), x(n.highMhz)];
          return (
            <g key={i}>
              <chakra.text x="0" y={y + 15} fontSize="13px" fontWeight={n.box ? 700 : 400} fill={n.box ? "ink" : "muted"}>
                {short(n.box ? who(n) : n.name === "" ? "(hides its name)" : n.name)}
              </chakra.text>
              <chakra.rect
                x={left}
                y={y + 2}
                width={right - left}
                height={lane - 6}
                rx="3"
                fill={n.box ? "clay.4" : `url(#${id})`}
                stroke={n.box ? "copper" : "line.strong"}
                strokeWidth={n.box ? 2 : 1}
                strokeDasharray={n.box && n.heard ? "5 3" : undefined}
                color="line.strong"
              />
              <chakra.text
                x={right + 6 > width - 90 ? left - 6 : right + 6}
                textAnchor={right + 6 > width - 90 ? "end" : "start"}
                y={y + 15}
                fontSize="13px"
                fill="ink"
              >
                {n.levelDbm === null ? `${n.channel}` : `${n.channel}, ${Math.round(n.levelDbm)} dBm`}
              </chakra.text>
            </g>
          );
        })}
      </chakra.svg>
    </Box>
  );
}

const short = (name: string) => (name.length > 27 ? `${name.slice(0, 26)}…` : name);
