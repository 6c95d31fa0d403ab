import { chakra } from "@chakra-ui/react";
import type { Schemas } from "../../api/client";
import { useRoom } from "../../ui/useRoom";
import { poolWords } from "../terraces/readScene";
import { forced } from "./forced";
import { RulerMarks } from "./RulerMarks";
import { stretchOf, within, xOf, type Stretch } from "./scale";

interface Props {
  ruler: Schemas["RulerFact"];
  shown: Stretch;
  nameOf: (owner: string) => string;
}

const height = 24;
const guess = { w: 200, h: height };

/** The address rule in one line: pools and marks to look at, nothing to move. */
export function RulerStrip({ ruler, shown, nameOf }: Props) {
  const [frame, room] = useRoom(guess);
  const width = Math.max(40, room.w);
  const clashes = new Set(ruler.marks.filter((m) => m.clash).map((m) => m.address)).size;
  const pools = ruler.pools.filter((p) => p.on);
  const said = [
    ...pools.map((p) => `pool ${poolWords(p.range)} of ${nameOf(p.router)}`),
    `${ruler.marks.length} in use`,
    clashes > 0 ? `${clashes} ${clashes === 1 ? "clash" : "clashes"}` : "",
  ];
  return (
    <chakra.div ref={frame} flex="1" minW="10rem" alignSelf="center" overflow="hidden">
      <chakra.svg width={width} height={height} display="block" css={forced} role="img" aria-label={said.filter(Boolean).join(", ")}>
        <chakra.rect x="0.5" y="0.5" width={width - 1} height={height - 1} rx="4" fill="card" stroke="line.strong" />
        {pools.flatMap((pool) => {
          const seen = within(stretchOf(pool.range), shown);
          const left = seen ? xOf(shown, width, seen.first - 0.5) : 0;
          return seen
            ? [
                <chakra.rect
                  key={pool.router}
                  x={left}
                  y={1}
                  width={xOf(shown, width, seen.last + 0.5) - left}
                  height={height - 2}
                  fill="clay.2"
                  stroke="copper"
                />,
              ]
            : [];
        })}
        <RulerMarks marks={ruler.marks} shown={shown} width={width} top={0} height={height} nameOf={nameOf} />
      </chakra.svg>
    </chakra.div>
  );
}
