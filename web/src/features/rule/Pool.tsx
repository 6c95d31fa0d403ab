import { chakra } from "@chakra-ui/react";
import { useRef, useState, type KeyboardEvent, type PointerEvent } from "react";
import type { Schemas } from "../../api/client";
import { poolWords } from "../terraces/readScene";
import { addressAt, rangeText, stretchOf, toAddress, within, xOf, type Stretch } from "./scale";

interface Props {
  name: string;
  pool: Schemas["PoolFact"];
  /** The range that is kept, while another one is being tried. */
  kept: string;
  shown: Stretch;
  width: number;
  /** Where the bracket's bar runs. */
  y: number;
  foot: number;
  disabled: boolean;
  attempt: (ends: PoolEnds | null) => void;
  save: (ends: PoolEnds) => Promise<unknown>;
}

/** The ends of a pool that were moved; one that is left out stays where it is. */
export type PoolEnds = Partial<Record<"first" | "last", string>>;

const movedEnds = (kept: string, to: Stretch): PoolEnds => {
  const from = stretchOf(kept);
  return { ...(from.first !== to.first && { first: toAddress(to.first) }), ...(from.last !== to.last && { last: toAddress(to.last) }) };
};

const Handle = chakra("g", {
  base: {
    cursor: "ew-resize",
    touchAction: "none",
    outline: "none",
    "& .grip": { fill: "copper", stroke: "card", strokeWidth: "1.5px" },
    "&:focus-visible .grip": { stroke: "focus", strokeWidth: "3px" },
  },
});
const keySteps: Record<string, number> = { ArrowLeft: -1, ArrowDown: -1, ArrowRight: 1, ArrowUp: 1, PageDown: -10, PageUp: 10 };

/** What a server hands out, as a bracket whose ends are moved by pointer or by arrow keys; saved on release, Enter or leaving. */
export function Pool({ name, pool, kept, shown, width, y, foot, disabled, attempt, save }: Props) {
  const [draft, setDraft] = useState<Stretch | null>(null);
  // A pointer may be let go before what it did last was painted.
  const latest = useRef<Stretch | null>(null);
  const now = draft ?? stretchOf(pool.range);
  const seen = within(now, shown);

  const change = (end: "first" | "last", to: number) => {
    const moved = end === "first" ? { first: Math.min(to, now.last), last: now.last } : { first: now.first, last: Math.max(to, now.first) };
    latest.current = moved;
    setDraft(moved);
    attempt(rangeText(moved) === kept ? null : movedEnds(kept, moved));
  };
  const drop = () => {
    latest.current = null;
    setDraft(null);
    attempt(null);
  };
  const commit = () => {
    const last = latest.current;
    latest.current = null;
    if (last && rangeText(last) !== kept) {
      save(movedEnds(kept, last)).then(() => setDraft(null), drop);
    } else if (last) {
      drop();
    }
  };
  const left = xOf(shown, width, (seen ?? now).first - 0.5);
  const right = xOf(shown, width, (seen ?? now).last + 0.5);
  const label = `pool ${poolWords(rangeText(now))} of ${name}${pool.on ? "" : ", off"}`;

  const end = (which: "first" | "last") => {
    const value = now[which];
    if (value < shown.first || value > shown.last) {
      return null;
    }
    const x = which === "first" ? left : right;
    return (
      <Handle
        role="slider"
        tabIndex={0}
        aria-label={`${which === "first" ? "First" : "Last"} address of the pool of ${name}`}
        aria-valuemin={0}
        aria-valuemax={shown.last - shown.first}
        aria-valuenow={value - shown.first}
        aria-valuetext={toAddress(value)}
        aria-disabled={disabled}
        onClick={(e) => e.stopPropagation()}
        onKeyDown={(e: KeyboardEvent) => {
          const by = keySteps[e.key];
          if (by !== undefined && !disabled) {
            e.preventDefault();
            change(which, Math.min(shown.last, Math.max(shown.first, value + by)));
          } else if (e.key === "Enter") {
            commit();
          } else if (e.key === "Escape") {
            drop();
          }
        }}
        onBlur={commit}
        onPointerDown={(e: PointerEvent<SVGGElement>) => {
          if (!disabled && e.button === 0) {
            e.currentTarget.setPointerCapture(e.pointerId);
          }
        }}
        onPointerMove={(e: PointerEvent<SVGGElement>) => {
          if (e.currentTarget.hasPointerCapture(e.pointerId)) {
            const frame = e.currentTarget.ownerSVGElement?.getBoundingClientRect();
            const to = addressAt(shown, width, e.clientX - (frame?.left ?? 0));
            if (to !== value) {
              change(which, to);
            }
          }
        }}
        onPointerUp={commit}
      >
        <rect x={x - 12} y={y - 6} width={24} height={24 + foot - y - 24} fill="transparent" />
        <rect className="grip" x={x - 4.5} y={y - 7} width={9} height={14} rx={3} />
      </Handle>
    );
  };

  return (
    <g opacity={pool.on ? 1 : 0.6}>
      {seen && (
        <>
          <chakra.path
            d={`M${left} ${foot}V${y}H${right}V${foot}`}
            fill="none"
            stroke="copper"
            strokeWidth="2"
            strokeDasharray={pool.on ? undefined : "5 4"}
            pointerEvents="none"
          />
          <chakra.text
            x={Math.min(Math.max((left + right) / 2, 110), width - 110)}
            y={y - 11}
            textAnchor="middle"
            fontSize="12px"
            fontWeight="600"
            fill="copper"
            pointerEvents="none"
          >
            {label}
          </chakra.text>
        </>
      )}
      {end("first")}
      {end("last")}
    </g>
  );
}
