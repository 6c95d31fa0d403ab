import type { KeyboardEvent, PointerEvent, ReactNode } from "react";
import type { Schemas } from "../../api/client";
import { deviceIcons } from "../../ui/icons";
import type { LaidBox, LaidPort, LaidTerritory, LaidToken, LaidWire, Rect } from "./pieces";
import { size } from "./pieces";
import { tokenWords } from "./readScene";
import type { AddressSaid, SceneFlag } from "./scene";
import { fitText, textWidth } from "./text";

/** What makes a shape a thing that can be reached, chosen and announced. */
export interface Handle {
  key: string;
  label: string;
  className: string;
  tabIndex: number;
  pressed: boolean;
  choose: () => void;
  onFocus: () => void;
}

interface ThingProps {
  handle: Handle;
  /** What can be pressed. */
  children: ReactNode;
  /** What is written on it: said by the label, in an order that makes sense to the ear. */
  text?: ReactNode;
  onPointerDown?: (e: PointerEvent<SVGGElement>) => void;
}

export function Thing({ handle, children, text, ...pointer }: ThingProps) {
  return (
    <>
      <g
        role="button"
        data-key={handle.key}
        aria-label={handle.label}
        aria-pressed={handle.pressed}
        tabIndex={handle.tabIndex}
        className={handle.className}
        onClick={handle.choose}
        onFocus={handle.onFocus}
        onKeyDown={(e: KeyboardEvent) => {
          if (e.key === "Enter" || e.key === " ") {
            e.preventDefault();
            handle.choose();
          }
        }}
        {...pointer}
      >
        <title>{handle.label}</title>
        {children}
      </g>
      {text && (
        <g aria-hidden="true" className={`written ${handle.className}`}>
          {text}
        </g>
      )}
    </>
  );
}

const octagon = "M-4-9h8l5 5v8l-5 5h-8l-5-5v-8z";
const triangle = "M0-10 10 8h-20z";

/** Told by shape, number and colour. */
export function FlagMark({ flag, x, y }: { flag: Pick<SceneFlag, "level" | "number">; x: number; y: number }) {
  return (
    <g transform={`translate(${x} ${y})`}>
      <path d={flag.level === "willNotWork" ? octagon : triangle} className={`mark ${flag.level}`} />
      <text className="markNumber" y={flag.level === "willNotWork" ? 4 : 5}>
        {flag.number}
      </text>
    </g>
  );
}

/** The foremost marks of a thing, and the words of the first where there is room. */
export function Flags({ flags, x, y, room }: { flags: SceneFlag[]; x: number; y: number; room: number }) {
  const shown = flags.slice(0, 3);
  const [first] = shown;
  const words = first && room > 60 ? first.words : "";
  return (
    <>
      {shown.map((flag, i) => (
        <FlagMark key={flag.number} flag={flag} x={x + 9 + i * 21} y={y} />
      ))}
      {first && words && (
        <text className={`flagWords ${first.level}`} x={x + shown.length * 21 + 3} y={y + 4}>
          {fitText(words, room - shown.length * 21 - 6, 12, "bold")}
        </text>
      )}
    </>
  );
}

/** The marks of a box and of the devices that are folded into it, each once. */
const gathered = (own: SceneFlag[], tokens: LaidToken["token"][]) =>
  [...new Map([...own, ...tokens.flatMap((t) => t.flags)].map((f) => [f.number, f])).values()].sort((a, b) => a.number - b.number);

export const levelClass = (flags: SceneFlag[]) =>
  flags.some((f) => f.level === "willNotWork") ? "faulty" : flags.length > 0 ? "worrying" : "";

export function BoxShape({ x, y, w, h, edge }: LaidBox) {
  return (
    <>
      <rect className="body" x={x} y={y} width={w} height={h} rx={7} />
      {edge !== null && <path className="within" d={`M${x + 1} ${edge}h${w - 2}`} />}
      <rect className="ringed" x={x - 4} y={y - 4} width={w + 8} height={h + 8} rx={10} />
    </>
  );
}

/** Three arcs where a radio link arrives, so that it is not taken for a device's Wi-Fi. */
export function RadioArcs({ wire }: { wire: LaidWire }) {
  const [x, y] = wire.points[wire.points.length - 1] ?? [0, 0];
  return (
    <g className="arcs" transform={`translate(${x} ${y - 3})`}>
      {[5, 9, 13].map((r) => (
        <path key={r} d={`M${-r * 0.7} ${-r * 0.7}A${r} ${r} 0 0 1 ${r * 0.7} ${-r * 0.7}`} />
      ))}
    </g>
  );
}

export function BoxText({ x, y, w, h, box, folded, compact, room: standsIn }: LaidBox) {
  const flags = folded ? gathered(box.flags, box.tokens) : box.flags;
  const room = w - 20;
  const marks = compact ? Math.min(flags.length, 2) * 21 : 0;
  // The room is a line of its own under the name: all else stands lower.
  const below = y + (standsIn === null ? 0 : size.room);
  return (
    <>
      <text className="bold" x={x + 10} y={y + (compact ? 19 : 20)}>
        {fitText(box.name, room - marks, 13, "bold")}
      </text>
      {standsIn && (
        <text className="small room" x={x + 10} y={y + (compact ? 33 : 35)}>
          {fitText(standsIn, room, 12)}
        </text>
      )}
      <text className="small" x={x + 10} y={below + (compact ? 32 : 36)}>
        {fitText(box.mode.toLowerCase(), room, 12)}
        {box.outside && (
          <>
            {" · "}
            <AddressSpans said={box.outside} room={room - textWidth(`${box.mode} · `, 12)} size={12} />
          </>
        )}
      </text>
      {box.own && (
        <text x={x + 10} y={below + (compact ? 51 : 57)}>
          <AddressSpans said={box.own} room={room} size={13} />
        </text>
      )}
      {compact ? (
        flags.slice(0, 2).map((flag, i) => <FlagMark key={flag.number} flag={flag} x={x + w - 14 - i * 21} y={y + 14} />)
      ) : flags.length > 0 ? (
        <Flags flags={flags} x={x + 8} y={below + 69} room={room} />
      ) : (
        <text className="small" x={x + 10} y={below + 73}>
          {fitText(box.wifi ?? "", room, 12)}
        </text>
      )}
      {box.hidden > 0 && (
        <text className="small" x={x + w - 30} y={y + h + 4}>
          +{box.hidden}
        </text>
      )}
    </>
  );
}

/** An address with how it is come by; the address alone where both do not fit. */
function AddressSpans({ said, room, size }: { said: AddressSaid; room: number; size: number }) {
  const how =
    said.how && textWidth(`${said.how} `, size) + textWidth(said.address, size, "mono") <= room
      ? `${said.how} `
      : said.address
        ? ""
        : said.how;
  return (
    <>
      {how}
      <tspan className="address">{fitText(said.address, room, size, "mono")}</tspan>
    </>
  );
}

export function PortShape({ x, y, w, h, port }: LaidPort) {
  return (
    <>
      <rect x={x - 4} y={y - 6} width={w + 8} height={26} fill="transparent" />
      <rect className={port.cable ? "port taken" : "port"} x={x} y={y} width={w} height={h} rx={3} />
      <rect className="ringed" x={x - 3} y={y - 3} width={w + 6} height={h + 6} rx={5} />
    </>
  );
}

export const PortText = ({ x, y, w, h, port }: LaidPort) => (
  <text className={port.cable ? "plate taken" : "plate"} x={x + w / 2} y={y + h - 4}>
    {port.label}
  </text>
);

export const TokenShape = ({ x, y, w, h }: LaidToken) => (
  <>
    <rect className="token" x={x} y={y} width={w} height={h} rx={h / 2} />
    <rect className="ringed" x={x - 4} y={y - 4} width={w + 8} height={h + 8} rx={h / 2 + 4} />
  </>
);

export function TokenText({ x, y, w, h, token, room: standsIn }: LaidToken) {
  const Icon = deviceIcons[token.kind as Schemas["DeviceKind"]];
  const marks = Math.min(token.flags.length, 2);
  const room = w - 36 - marks * 21;
  return (
    <>
      <Icon className="icon" x={x + 10} y={y + h / 2 - 8} width={16} height={16} aria-hidden />
      <text x={x + 31} y={y + 15}>
        {fitText(token.name, room, 13)}
      </text>
      <text className="small" x={x + 31} y={y + 29}>
        <AddressSpans said={token.address} room={room} size={12} />
      </text>
      {standsIn && (
        <text className="small room" x={x + 31} y={y + 44}>
          {fitText(standsIn, room, 12)}
        </text>
      )}
      {token.flags.slice(0, 2).map((flag, i) => (
        <FlagMark key={flag.number} flag={flag} x={x + w - 18 - (marks - 1 - i) * 21} y={y + h / 2} />
      ))}
    </>
  );
}

/** A box that is not in use. */
export const UnusedShape = ({ x, y, w, h }: Rect) => (
  <>
    <rect className="body" x={x} y={y} width={w} height={h} rx={7} strokeDasharray="5 4" />
    <rect className="ringed" x={x - 4} y={y - 4} width={w + 8} height={h + 8} rx={10} />
  </>
);

export const UnusedText = ({ x, y, w, h, name }: Rect & { name: string }) => (
  <text x={x + 10} y={y + h / 2 + 4.5}>
    {fitText(name, w - 20, 13)}
  </text>
);

export const tokenLabel = (laid: LaidToken) =>
  [tokenWords(laid.token), ...laid.token.flags.map((f) => `finding ${f.number}: ${f.words}`)].join(", ");

/** Folds the devices of a box away, or says how many there are and shows them. */
export const FoldShape = ({ x, y, h }: LaidBox) => (
  <>
    <rect x={x + 1} y={y + h - 12} width={24} height={24} fill="transparent" />
    <circle className="port" cx={x + 13} cy={y + h} r={9} />
    <circle className="ringed" cx={x + 13} cy={y + h} r={12} />
  </>
);

export const FoldText = ({ x, y, h, folded, box }: LaidBox) =>
  folded ? (
    <text className="plate" x={x + 13} y={y + h + 4}>
      {box.tokens.length}
    </text>
  ) : (
    <path className="wire" d={`M${x + 9} ${y + h}h8`} />
  );

/** The ground of a terrace with its edge: a step down at the left, the tread to the right. */
export function TerraceGround({ x, y, w, h, kind, depth }: LaidTerritory) {
  return kind === "terrace" ? (
    <>
      <rect className={`terrace depth${Math.min(depth + 1, 4)}`} x={x} y={y} width={w} height={h} />
      <path className="edge" d={`M${x} ${y + h}V${y}H${x + w}`} />
    </>
  ) : (
    <rect className={kind === "walled" ? "wall" : "island"} x={x} y={y} width={w} height={h} rx={kind === "walled" ? 0 : 10} />
  );
}

export function TerraceHead({ title, kind, number, rulers, y }: LaidTerritory) {
  return (
    <>
      {number !== null && (
        <g transform={`translate(${title.x + 10} ${y})`}>
          <circle r={11} className={number > 1 ? "badge again" : "badge"} />
          <text className={number > 1 ? "badgeNumber again" : "badgeNumber"} y={4.5}>
            {number}
          </text>
        </g>
      )}
      {rulers.map((ruler, i) => (
        <g key={`${ruler.subnet} ${i}`}>
          <text
            className={ruler.twice ? "mono bold again" : "mono bold"}
            x={title.x}
            y={title.y + (number === null ? 14 : 19) + i * size.ruler}
            fontSize="15"
          >
            {ruler.subnet}
            {ruler.twice && <tspan className="again asAbove"> · same as above</tspan>}
          </text>
          <text
            className={kind === "island" ? "flagWords" : "small"}
            x={title.x}
            y={title.y + (kind === "island" ? 13 : number === null ? 29 : 34) + i * size.ruler}
          >
            {ruler.details}
          </text>
        </g>
      ))}
    </>
  );
}

export const wirePath = (wire: LaidWire) => wire.points.map(([x, y], i) => `${i === 0 ? "M" : "L"}${x} ${y}`).join("");
