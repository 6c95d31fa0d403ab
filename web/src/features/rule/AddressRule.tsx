import { Box, chakra, Flex } from "@chakra-ui/react";
import { ChevronLeft, ChevronRight } from "lucide-react";
import { useState } from "react";
import type { Change, Design, Proof, Schemas } from "../../api/client";
import { Button, Mono, Select } from "../../ui/controls";
import { useKept } from "../../ui/useKept";
import { useRoom } from "../../ui/useRoom";
import { guestHost, nameOf } from "../shared/designReading";
import type { JobTools } from "../shared/jobTools";
import { crowded } from "../terraces/crowded";
import type { Choice } from "../terraces/choice";
import { poolWords } from "../terraces/readScene";
import { candidatesOf, rulerOf } from "./candidates";
import { forced } from "./forced";
import { GiveAddress } from "./GiveAddress";
import { Pool, type PoolEnds } from "./Pool";
import { MarkSign, RulerMarks } from "./RulerMarks";
import { RulerStrip } from "./RulerStrip";
import { mostShown, stretchOf, stretchOfSubnet, ticks, toAddress, toNumber, windowAt, within, addressAt, xOf, type Stretch } from "./scale";

interface Props {
  design: Design;
  proof: Proof;
  /** What is proven of what is saved. */
  kept: Proof;
  choice: Choice | null;
  choose: (choice: Choice | null) => void;
  tools: JobTools;
}

const guess = { w: 800, h: 100 };
/** From this height of the window on the rule stands open at first. */
const tall = 900;
const bar = { top: 34, height: 24 };
const height = 92;
/** Between the marks of two pools, one above the other. */
const storey = 12;

/** The addresses of one terrace on a ruler: pool, who has what, what is free. */
export function AddressRule({ design, proof, kept, choice, choose, tools }: Props) {
  const [frame, room] = useRoom(guess);
  const width = Math.max(200, room.w);
  const ruler = rulerOf(design, proof, choice);
  const [part, setPart] = useState<{ subnet: string; at: number } | null>(null);
  const [free, setFree] = useState<number | null>(null);
  // On a screen of usual height the drawing needs the room.
  const [open, setOpen] = useKept("altrin-address-rule", !crowded(design) && window.innerHeight >= tall);

  if (!ruler) {
    return <Box color="muted">No router hands out a subnet here, so there is no address rule.</Box>;
  }
  const all = stretchOfSubnet(ruler.subnet);
  const own = ruler.marks.find((m) => m.kind === "router")?.address ?? toAddress(all.first);
  const shown = windowAt(all, part?.subnet === ruler.subnet ? part.at : toNumber(own));
  const frees = ruler.free.map(stretchOf);
  const move = (box: string, ends: PoolEnds): Change[] => [{ kind: "movePool", box, ...ends }];
  const several = proof.facts.rulers.length > 1;
  const candidates = candidatesOf(design, proof, ruler);
  const rise = Math.max(0, ruler.pools.length - 1) * storey;
  const top = bar.top + rise;

  return (
    <chakra.section aria-label="Address rule" px="4" py="2" fontSize="sm">
      <Flex align="baseline" gap="2" wrap="wrap" mb="1">
        <chakra.h2 fontSize="md">Addresses of</chakra.h2>
        {several ? (
          <Select
            aria-label="Subnet"
            width="auto"
            minH="7"
            py="0"
            fontFamily="mono"
            value={key(ruler)}
            onChange={(e) => choose({ kind: "terrace", id: e.target.value.split(" ")[0] ?? "" })}
          >
            {proof.facts.rulers.map((r) => (
              <option key={key(r)} value={key(r)}>
                {r.subnet} at {nameOf(design, r.segment)}
              </option>
            ))}
          </Select>
        ) : (
          <Mono fontWeight="700">{ruler.subnet}</Mono>
        )}
        {all.last - all.first >= mostShown && (
          <Part all={all} shown={shown} ruler={ruler} show={(at) => setPart({ subnet: ruler.subnet, at })} />
        )}
        {!open && <RulerStrip ruler={ruler} shown={shown} nameOf={(owner) => nameOf(design, owner)} />}
        <chakra.span color="muted" flex={open ? "1" : "none"} textAlign="end">
          free: {ruler.free.length === 0 ? "none" : <Mono>{freeWords(ruler.free)}</Mono>}
        </chakra.span>
        <Button variant="quiet" px="2" minH="7" aria-expanded={open} onClick={() => setOpen(!open)}>
          {open ? "Fold" : "Unfold"}
        </Button>
      </Flex>
      {open && (
        <>
          <Box ref={frame} overflow="hidden">
            <chakra.svg
              width={width}
              height={height + rise}
              display="block"
              css={forced}
              role="group"
              aria-label={`Addresses ${toAddress(shown.first)} to ${toAddress(shown.last)}`}
              onClick={(e) => {
                const at = addressAt(shown, width, e.clientX - e.currentTarget.getBoundingClientRect().left);
                const y = e.clientY - e.currentTarget.getBoundingClientRect().top;
                if (y > top && frees.some((s) => s.first <= at && at <= s.last)) {
                  setFree(at);
                }
              }}
            >
              <chakra.rect x="0.5" y={top} width={width - 1} height={bar.height} rx="4" fill="card" stroke="line.strong" />
              {frees.flatMap((s) => {
                const seen = within(s, shown);
                return seen
                  ? [
                      <chakra.rect
                        key={s.first}
                        x={left(seen, shown, width)}
                        y={top + 1}
                        width={right(seen, shown, width) - left(seen, shown, width)}
                        height={bar.height - 2}
                        fill="clay.2"
                      />,
                    ]
                  : [];
              })}
              {ticks(shown, width).map((a) => (
                <g key={a}>
                  <chakra.path d={`M${xOf(shown, width, a)} ${top + bar.height}v6`} stroke="muted" />
                  <chakra.text
                    x={xOf(shown, width, a)}
                    y={top + bar.height + 20}
                    textAnchor={xOf(shown, width, a) < 16 ? "start" : xOf(shown, width, a) > width - 16 ? "end" : "middle"}
                    fontFamily="mono"
                    fontSize="12px"
                    fill="muted"
                  >
                    .{a % 256}
                  </chakra.text>
                </g>
              ))}
              <RulerMarks
                marks={ruler.marks}
                shown={shown}
                width={width}
                top={top}
                height={bar.height}
                nameOf={(owner) => nameOf(design, owner)}
              />
              {free !== null && free >= shown.first && free <= shown.last && (
                <chakra.path
                  d={`M${xOf(shown, width, free)} ${top - 3}v${bar.height + 6}`}
                  stroke="copper"
                  strokeWidth="3"
                  pointerEvents="none"
                />
              )}
              {ruler.pools.map((pool, i) => (
                <Pool
                  key={pool.router}
                  name={nameOf(design, pool.router)}
                  pool={pool}
                  kept={kept.facts.rulers.flatMap((r) => r.pools).find((p) => p.router === pool.router)?.range ?? pool.range}
                  shown={shown}
                  width={width}
                  y={top - 8 - i * storey}
                  foot={top + bar.height}
                  disabled={guestHost(pool.router) !== null}
                  attempt={(ends) => tools.attempt(ends === null ? null : move(pool.router, ends))}
                  save={(ends) => tools.save(move(pool.router, ends))}
                />
              ))}
            </chakra.svg>
          </Box>
          <Flex wrap="wrap" gap="3" align="end" justify="space-between">
            <Legend ruler={ruler} />
            <GiveAddress
              key={key(ruler)}
              candidates={candidates}
              chosen={choice?.id.split("/")[0] ?? null}
              free={frees}
              at={free}
              move={setFree}
              tools={tools}
            />
          </Flex>
        </>
      )}
    </chakra.section>
  );
}

const key = (r: Schemas["RulerFact"]) => `${r.segment} ${r.subnet}`;
const left = (s: Stretch, shown: Stretch, width: number) => xOf(shown, width, s.first - 0.5);
const right = (s: Stretch, shown: Stretch, width: number) => xOf(shown, width, s.last + 0.5);

function freeWords(free: readonly string[]): string {
  const said = free.slice(0, 4).map((range) => {
    const [first, last] = range.split("-");
    return first === last ? `.${first?.split(".")[3] ?? ""}` : poolWords(range);
  });
  return free.length > 4 ? `${said.join(" ")} and ${free.length - 4} more` : said.join(" ");
}

/** What the signs on the ruler mean, and how much of each there is. */
function Legend({ ruler }: { ruler: Schemas["RulerFact"] }) {
  const count = (kind: Schemas["RulerMarkKind"]) => ruler.marks.filter((m) => m.kind === kind).length;
  const clashes = [...new Set(ruler.marks.filter((m) => m.clash).map((m) => m.address))];
  const leased = ruler.pools.filter((p) => p.on).reduce((n, p) => n + p.leased, 0);
  const said: [Schemas["RulerMarkKind"], number, string][] = [
    ["fixed", count("fixed") + count("router"), "fixed"],
    ["reserved", count("reserved"), "reserved"],
    ["example", leased, "leased, places are examples"],
  ];
  return (
    <Flex gap="3" wrap="wrap" color="muted" fontSize="xs">
      {said
        .filter(([, n]) => n > 0)
        .map(([sign, n, word]) => (
          <span key={word}>
            <chakra.svg width="14px" height="20px" display="inline-block" verticalAlign="middle" aria-hidden="true">
              <MarkSign kind={sign} x={7} top={0} height={20} />
            </chakra.svg>{" "}
            {n} {word}
          </span>
        ))}
      {clashes.length > 0 && (
        <chakra.span color="brick" fontWeight="700">
          clash at {clashes.map((a) => `.${a.split(".")[3] ?? ""}`).join(", ")}
        </chakra.span>
      )}
    </Flex>
  );
}

/** Which part of a large subnet is shown: parts with something in them, and the ones beside. */
function Part({ all, shown, ruler, show }: { all: Stretch; shown: Stretch; ruler: Schemas["RulerFact"]; show: (at: number) => void }) {
  const spoken = [...ruler.marks.map((m) => toNumber(m.address)), ...ruler.pools.flatMap((p) => Object.values(stretchOf(p.range)))];
  const parts = [...new Set([...spoken, shown.first].map((a) => windowAt(all, a).first))].sort((a, b) => a - b);
  return (
    <Flex align="center" gap="1">
      <Button
        variant="quiet"
        px="2"
        disabled={shown.first === all.first}
        onClick={() => show(shown.first - 1)}
        aria-label="The part before"
      >
        <ChevronLeft size={16} aria-hidden />
      </Button>
      <Select
        aria-label="Part of the subnet"
        width="auto"
        minH="7"
        py="0"
        fontFamily="mono"
        value={shown.first}
        onChange={(e) => show(Number(e.target.value))}
      >
        {parts.map((p) => (
          <option key={p} value={p}>
            {toAddress(p)} to {`.${toAddress(p + mostShown - 1).split(".")[3] ?? ""}`}
          </option>
        ))}
      </Select>
      <Button variant="quiet" px="2" disabled={shown.last === all.last} onClick={() => show(shown.last + 1)} aria-label="The part after">
        <ChevronRight size={16} aria-hidden />
      </Button>
    </Flex>
  );
}
