import { chakra } from "@chakra-ui/react";
import { useMemo, useRef, useState, type KeyboardEvent, type PointerEvent, type RefObject } from "react";
import { same, type Choice, type ChoiceKind } from "./choice";
import { aloneAtLine, type Drawing } from "./layout";
import type { LaidPort, Rect } from "./pieces";
import { said } from "./readScene";
import { nextStop, type Stop } from "./roving";
import { natWords } from "./scene";
import {
  BoxShape,
  BoxText,
  FoldShape,
  FoldText,
  levelClass,
  RadioArcs,
  PortShape,
  PortText,
  UnusedShape,
  UnusedText,
  TerraceGround,
  TerraceHead,
  Thing,
  tokenLabel,
  TokenShape,
  TokenText,
  wirePath,
  type Handle,
} from "./shapes";
import { drawingStyle } from "./style";

export interface Patching {
  /** The free port from which a cable is being run. */
  from: string | null;
  start: (port: string | null) => void;
  finish: (from: string, to: string) => void;
  /** A port that is pointed at while a cable is being run. */
  over: (to: string | null, from?: string) => void;
}

interface Props {
  drawing: Drawing;
  zoom: number;
  /** The street runs at least as wide as the frame. */
  least: number;
  choice: Choice | null;
  choose: (choice: Choice | null) => void;
  /** Links of the way that is shown, and the slowest of them. */
  path: { links: ReadonlySet<string>; slowest: string | null };
  /** Things that just changed, as "kind id". */
  changed: ReadonlySet<string>;
  /** Subjects of the finding that is chosen. */
  spoken: ReadonlySet<string>;
  patching: Patching;
  fold: (box: string) => void;
  portName: (id: string) => string;
  linkName: (id: string) => string;
  svg?: RefObject<SVGSVGElement | null>;
}

const Svg = chakra("svg", { base: drawingStyle });
/** A pointer that moved less than this has clicked. */
const slack = 6;

/** The terraces: what hangs where, which box does NAT, and what is wrong there. Everything on it can be chosen, by pointer and by key. */
export function Terraces({
  drawing,
  zoom,
  least,
  choice,
  choose,
  path,
  changed,
  spoken,
  patching,
  fold,
  portName,
  linkName,
  svg: given,
}: Props) {
  const own = useRef<SVGSVGElement>(null);
  const svg = given ?? own;
  const [at, setAt] = useState<string | null>(null);
  const [rubber, setRubber] = useState<{ from: LaidPort; x: number; y: number } | null>(null);
  const pressed = useRef<{ port: LaidPort; x: number; y: number } | null>(null);
  const w = Math.max(drawing.reach, least);
  const alone = aloneAtLine(drawing);
  const stops = useMemo(() => stopsOf(drawing), [drawing]);
  const current = stops.some((s) => s.key === at) ? at : (stops[0]?.key ?? null);

  const handle = (kind: ChoiceKind | "fold", id: string, label: string, more = "", act?: () => void): Handle => {
    const key = `${kind} ${id}`;
    const isChosen = kind !== "fold" && same(choice, kind, id);
    const owner = id.split("/")[0] ?? id;
    return {
      key,
      label,
      className: [
        more,
        isChosen && "chosen",
        changed.has(key) && "changed",
        (kind === "box" || kind === "device" || kind === "cable") && spoken.has(owner) && "spoken",
      ]
        .filter(Boolean)
        .join(" "),
      tabIndex: key === current ? 0 : -1,
      pressed: isChosen,
      choose: act ?? (() => kind !== "fold" && choose(isChosen ? null : { kind, id })),
      onFocus: () => setAt(key),
    };
  };

  const onKeyDown = (e: KeyboardEvent) => {
    if (e.key === "Escape") {
      if (patching.from) {
        patching.start(null);
      } else {
        choose(null);
      }
      return;
    }
    if (e.altKey || e.ctrlKey || e.metaKey) {
      return;
    }
    const next = nextStop(stops, current, e.key);
    if (next) {
      e.preventDefault();
      setAt(next.key);
      svg.current?.querySelector<SVGGElement>(`[data-key="${CSS.escape(next.key)}"]`)?.focus();
      if (patching.from) {
        const id = next.key.slice(next.key.indexOf(" ") + 1);
        patching.over(inviting(id) ? id : null);
      }
    }
  };

  const place = (e: PointerEvent) => {
    const frame = svg.current?.getBoundingClientRect();
    return { x: (e.clientX - (frame?.left ?? 0)) / zoom, y: (e.clientY - (frame?.top ?? 0)) / zoom };
  };
  const ports = useMemo(() => [...drawing.boxes.flatMap((b) => b.ports), ...(drawing.socket ? [drawing.socket] : [])], [drawing]);
  /** Where a cable can end: empty ports, and devices without a cable. */
  const seats = useMemo(
    () => [
      ...ports.filter((p) => !p.port.cable).map((p) => ({ id: p.port.id, ...pick(p) })),
      ...drawing.tokens.filter((t) => t.token.link?.kind !== "cable").map((t) => ({ id: t.token.id, ...pick(t) })),
    ],
    [ports, drawing],
  );
  const seatAt = (x: number, y: number) => seats.find((p) => x > p.x - 6 && x < p.x + p.w + 6 && y > p.y - 8 && y < p.y + p.h + 8)?.id;
  /** Ends the cable that is being run, where it can end; else chooses. */
  const endOr = (kind: "port" | "device", id: string) => {
    if (patching.from && patching.from !== id && seats.some((s) => s.id === id)) {
      patching.finish(patching.from, id);
    } else {
      choose(same(choice, kind, id) ? null : { kind, id });
    }
  };
  const inviting = (id: string) => patching.from !== null && patching.from !== id && seats.some((s) => s.id === id);

  return (
    <Svg
      ref={svg}
      role="group"
      aria-label="Drawing of the network"
      width={w * zoom}
      height={drawing.h * zoom}
      viewBox={`0 0 ${w} ${drawing.h}`}
      onKeyDown={onKeyDown}
      onPointerMove={(e) => {
        const held = pressed.current;
        if (held && e.buttons === 0) {
          // It was let go outside the drawing.
          pressed.current = null;
          setRubber(null);
          patching.over(null);
        } else if (held) {
          const { x, y } = place(e);
          if (rubber || Math.hypot(x - held.x, y - held.y) > slack) {
            setRubber({ from: held.port, x, y });
            const over = seatAt(x, y);
            patching.over(over && over !== held.port.port.id ? over : null, held.port.port.id);
          }
        }
      }}
      onPointerUp={(e) => {
        const held = pressed.current;
        pressed.current = null;
        // Asked of the pointer, not of what was painted: it may be quicker than the screen.
        const { x, y } = place(e);
        if (held && Math.hypot(x - held.x, y - held.y) > slack) {
          const target = seatAt(x, y);
          if (target && target !== held.port.port.id) {
            patching.finish(held.port.port.id, target);
          } else {
            patching.over(null);
          }
        }
        setRubber(null);
      }}
    >
      <rect className="ground" width={w} height={drawing.h} onClick={() => choose(null)} />
      {[...drawing.territories]
        .sort((a, b) => a.depth - b.depth)
        .map((t) => (
          <TerraceGround key={`${t.kind} ${t.segment} ${t.box}`} {...t} w={t === alone ? w - t.x : t.w} />
        ))}
      {drawing.carrier && (
        <>
          <rect className="carrier" {...rect({ ...drawing.carrier, w })} />
          <g transform={`translate(${drawing.carrier.x + 30} ${drawing.carrier.y + drawing.carrier.h / 2})`}>
            <circle r={11} className="badge" />
            <text className="badgeNumber" y={4.5}>
              1
            </text>
            <text className="bold" x={20} y={4.5}>
              carrier-grade NAT: not ours
            </text>
          </g>
        </>
      )}
      <path className="street" d={`M0 ${drawing.street}H${w}`} />
      {drawing.wires.map((wire) => {
        const id = wire.link.id;
        const isCable = wire.link.kind === "cable";
        const looks = [
          "wire",
          wire.link.kind !== "cable" && wire.link.kind,
          wire.link.passed && "passed",
          wire.to.includes("/") || wire.link.ring ? "" : "thin",
          wire.link.ring && "ring",
          path.links.has(id) && "path",
          path.slowest === id && "slowest",
          same(choice, "cable", id) && "chosen",
          changed.has(`cable ${id}`) && "changed",
        ];
        const line = (
          <>
            <path className={looks.filter(Boolean).join(" ")} d={wirePath(wire)} />
            {wire.link.passed && <path className="passedCore" d={wirePath(wire)} />}
            {wire.link.kind === "radio" && <RadioArcs wire={wire} />}
          </>
        );
        return isCable ? (
          <Thing key={id} handle={handle("cable", id, linkName(id))}>
            <path className="grip" d={wirePath(wire)} />
            <path className="ringed" d={wirePath(wire)} />
            {line}
          </Thing>
        ) : (
          <g key={id}>
            <title>{wire.link.words}</title>
            {line}
          </g>
        );
      })}
      {drawing.wires.map((w) =>
        w.label ? (
          <text key={w.link.id} className={path.slowest === w.link.id ? "flagWords concern" : "small"} x={w.label.x} y={w.label.y + 12}>
            {w.label.text}
          </text>
        ) : null,
      )}
      {drawing.texts.map((t) => (
        <text
          key={`${t.kind} ${t.x} ${t.y}`}
          className={t.kind === "heading" ? "heading" : t.kind === "step" ? `bold ${t.again ? "again" : ""}` : "small"}
          x={t.x}
          y={t.y + 13}
        >
          {t.text}
        </text>
      ))}
      {drawing.boxes.map((laid) => (
        <Thing
          key={laid.box.id}
          handle={handle("box", laid.box.id, boxLabel(laid.box), levelClass(laid.box.flags))}
          text={<BoxText {...laid} />}
        >
          <BoxShape {...laid} />
        </Thing>
      ))}
      {drawing.territories.map((t) =>
        t.kind !== "island" ? (
          <Thing
            key={`${t.kind} ${t.segment} ${t.box}`}
            handle={handle(
              "terrace",
              t.segment,
              `${t.kind === "walled" ? "Guests" : "Terrace"} ${t.rulers.map((r) => `${r.subnet}, ${r.details}`).join("; ")}`,
            )}
            text={<TerraceHead {...t} />}
          >
            <rect {...rect(t.title)} fill="transparent" />
            <rect className="ringed" {...rect({ x: t.title.x - 5, y: t.title.y, w: t.title.w + 10, h: t.title.h + 4 })} rx={5} />
          </Thing>
        ) : (
          <TerraceHead key={`${t.kind} ${t.segment} ${t.box}`} {...t} />
        ),
      )}
      {ports.map((p) => (
        <Thing
          key={p.port.id}
          handle={handle(
            "port",
            p.port.id,
            portName(p.port.id),
            patching.from === p.port.id ? "origin" : inviting(p.port.id) ? "inviting" : "",
            () => endOr("port", p.port.id),
          )}
          text={<PortText {...p} />}
          onPointerDown={(e) => {
            if (!p.port.cable && e.button === 0) {
              pressed.current = { port: p, ...place(e) };
            }
          }}
        >
          <PortShape {...p} />
        </Thing>
      ))}
      {drawing.tokens.map((t) => (
        <Thing
          key={t.token.id}
          handle={handle("device", t.token.id, tokenLabel(t), `${t.token.internet} ${inviting(t.token.id) ? "inviting" : ""}`, () =>
            endOr("device", t.token.id),
          )}
          text={<TokenText {...t} />}
        >
          <TokenShape {...t} />
        </Thing>
      ))}
      {drawing.boxes
        .filter((b) => b.folded || b.box.tokens.length > 1)
        .map((b) => (
          <Thing
            key={b.box.id}
            handle={handle("fold", b.box.id, `${b.folded ? "Show" : "Fold"} the ${b.box.tokens.length} devices of ${b.box.name}`, "", () =>
              fold(b.box.id),
            )}
            text={<FoldText {...b} />}
          >
            <FoldShape {...b} />
          </Thing>
        ))}
      {drawing.unused.map((b) => (
        <Thing key={b.id} handle={handle("box", b.id, `${b.name}, not in use`)} text={<UnusedText {...b} />}>
          <UnusedShape {...b} />
        </Thing>
      ))}
      {rubber && (
        <path className="rubber" d={`M${rubber.from.x + rubber.from.w / 2} ${rubber.from.y + rubber.from.h / 2}L${rubber.x} ${rubber.y}`} />
      )}
    </Svg>
  );
}

const rect = ({ x, y, w, h }: Rect) => ({ x, y, width: w, height: h });

function boxLabel(box: Drawing["boxes"][number]["box"]): string {
  return [
    box.name,
    box.mode,
    box.outside && `outside ${said(box.outside)}`,
    box.own && said(box.own),
    box.step && natWords(box.step),
    ...box.flags.map((f) => `finding ${f.number}: ${f.words}`),
  ]
    .filter(Boolean)
    .join(", ");
}

/** Everything that the arrow keys reach, in reading order. */
function stopsOf(drawing: Drawing): Stop[] {
  const middle = (points: readonly (readonly [number, number])[]): Rect => {
    const [a, b] = [points[Math.floor((points.length - 1) / 2)] ?? [0, 0], points[Math.floor((points.length - 1) / 2) + 1] ?? [0, 0]];
    return { x: (a[0] + b[0]) / 2, y: (a[1] + b[1]) / 2, w: 0, h: 0 };
  };
  const stops: Stop[] = [
    ...drawing.boxes.map((b) => ({ key: `box ${b.box.id}`, ...pick(b) })),
    ...drawing.territories.filter((t) => t.kind !== "island").map((t) => ({ key: `terrace ${t.segment}`, ...t.title })),
    ...drawing.boxes.flatMap((b) => b.ports.map((p) => ({ key: `port ${p.port.id}`, ...pick(p) }))),
    ...(drawing.socket ? [{ key: "port street", ...pick(drawing.socket) }] : []),
    ...drawing.tokens.map((t) => ({ key: `device ${t.token.id}`, ...pick(t) })),
    ...drawing.boxes
      .filter((b) => b.folded || b.box.tokens.length > 1)
      .map((b) => ({ key: `fold ${b.box.id}`, x: b.x + 5, y: b.y + b.h - 8, w: 16, h: 16 })),
    ...drawing.unused.map((b) => ({ key: `box ${b.id}`, ...pick(b) })),
    ...drawing.wires.filter((w) => w.link.kind === "cable").map((w) => ({ key: `cable ${w.link.id}`, ...middle(w.points) })),
  ];
  return stops.sort((a, b) => a.y - b.y || a.x - b.x);
}

const pick = ({ x, y, w, h }: Rect): Rect => ({ x, y, w, h });
