import { chakra } from "@chakra-ui/react";
import type { Schemas } from "../../api/client";
import { toNumber, xOf, type Stretch } from "./scale";

interface Props {
  marks: readonly Schemas["RulerMark"][];
  shown: Stretch;
  width: number;
  top: number;
  height: number;
  nameOf: (owner: string) => string;
}

const words: Record<Schemas["RulerMarkKind"], string> = {
  router: "router's own",
  fixed: "fixed",
  reserved: "reserved",
  example: "leased, an example",
};

/** Who has which address: the router a block, fixed a pin, reserved a peg, leased a stroke, a clash a split. */
export function RulerMarks({ marks, shown, width, top, height, nameOf }: Props) {
  return (
    <>
      {marks
        .filter((m) => toNumber(m.address) >= shown.first && toNumber(m.address) <= shown.last)
        .map((mark) => {
          const x = xOf(shown, width, toNumber(mark.address));
          return (
            <g key={`${mark.owner} ${mark.side} ${mark.kind} ${mark.address}`}>
              <title>{`${mark.address} ${nameOf(mark.owner)}, ${words[mark.kind]}${mark.clash ? ", clash" : ""}`}</title>
              <MarkSign kind={mark.kind} x={x} top={top} height={height} />
              {mark.clash && (
                <chakra.path
                  d={`M${x + 3} ${top - 5}l-7 ${height / 2 + 4}h8l-4 ${height / 2 + 7}`}
                  fill="none"
                  stroke="brick"
                  strokeWidth="3"
                  strokeLinejoin="round"
                />
              )}
            </g>
          );
        })}
    </>
  );
}

/** One sign for each way of having an address: a block, a pin, a peg, a stroke. */
export function MarkSign({ kind, x, top, height }: { kind: Schemas["RulerMarkKind"]; x: number; top: number; height: number }) {
  switch (kind) {
    case "router":
      return <chakra.rect x={x - 4} y={top + 4} width="8" height={height - 8} rx="1.5" fill="ink" />;
    case "fixed":
      return <chakra.circle cx={x} cy={top + height / 2} r="5" fill="ink" />;
    case "reserved":
      return <chakra.path d={`M${x} ${top + 3}l5 6v${height - 14}h-10v-${height - 14}z`} fill="moss" />;
    case "example":
      return <chakra.path d={`M${x} ${top + 4}v${height - 8}`} stroke="muted" strokeWidth="2.5" />;
  }
}
