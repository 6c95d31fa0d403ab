import { Box, chakra, Flex } from "@chakra-ui/react";
import { Maximize2, Minus, Plus } from "lucide-react";
import { useMemo, useRef, useState, type ReactNode } from "react";
import type { Design, Proof } from "../../api/client";
import { Button } from "../../ui/controls";
import { useKept } from "../../ui/useKept";
import { useRoom } from "../../ui/useRoom";
import { capital } from "../../ui/words";
import { crowded } from "../terraces/crowded";
import type { Choice } from "../terraces/choice";
import { layout, mostScale } from "../terraces/layout";
import { cableWords, readScene, type MomentSaid } from "../terraces/readScene";
import { Terraces, type Patching } from "../terraces/Terraces";
import { useChanged } from "../terraces/useChanged";
import type { JobTools } from "../shared/jobTools";
import { ModeChips } from "./ModeChips";
import { KeepDrawing } from "./KeepDrawing";
import { cableAt, endName, otherEnd, setUpOf } from "../shared/designReading";

interface Props {
  design: Design;
  proof: Proof;
  choice: Choice | null;
  choose: (choice: Choice | null) => void;
  /** How a cable is run from port to port; left out where none can be. */
  patching?: Patching;
  /** What stands left in the bar above: the switch to the list. */
  lead?: ReactNode;
  /** Things to mark for as long as they are shown, as "kind id". */
  marked?: ReadonlySet<string>;
  /** The way to show, instead of that from what is chosen to the internet line. */
  way?: { links: ReadonlySet<string>; slowest: string | null };
  /** What a design does not say of a moment; none for a settled home. */
  moment?: MomentSaid;
  /** What can be done to the job; without it the drawing is only looked at. */
  tools?: Pick<JobTools, "act">;
}

const idle: Patching = { from: null, start: () => undefined, finish: () => undefined, over: () => undefined };
const guess = { w: 860, h: 560 };
/** A home of so many boxes is never shown smaller than its type can be read. */
const fewBoxes = 6;
/** A length in whole steps of 20 px. */
const coarse = (length: number, least: number) => Math.max(least, Math.floor(length / 20) * 20);
const steps = [0.5, 0.65, 0.8, 1, 1.25, 1.5, 2, 2.5];

/** The terraces in their frame: fit, zoom, fold. */
export function DrawingPane({ design, proof, choice, choose, patching = idle, lead, marked, way, moment, tools }: Props) {
  const svg = useRef<SVGSVGElement>(null);
  const [frame, room] = useRoom(guess);
  const [zoom, setZoom] = useState<number | null>(null);
  const [folds, setFolds] = useState<ReadonlyMap<string, boolean>>(new Map());
  const [rooms, setRooms] = useKept("altrin-rooms", false);

  const scene = useMemo(() => readScene(design, proof, moment), [design, proof, moment]);
  const many = crowded(design);
  const narrow = room.w < 600;
  // The room is taken in coarse steps, so that a scroll bar or a notice does not lay everything out anew.
  const [across, down] = narrow ? [420, 700] : [coarse(room.w, 600), coarse(room.h, 400)];
  // The smallest type of the drawing is 12 px at full size: a home of a few boxes scrolls rather than become smaller.
  const least = narrow ? 0.62 : setUpOf(design).boxes.length <= fewBoxes ? 1 : 0.3;
  const drawing = useMemo(
    () => layout(scene, { room: { w: across, h: down }, least, folded: (box) => folds.get(box) ?? many, compact: many, rooms }),
    [scene, across, down, least, folds, many, rooms],
  );
  const changed = useChanged(drawing);
  const fit = Math.min((room.w - 2) / drawing.w, narrow ? 9 : (room.h - 2) / drawing.h, mostScale);
  const scale = zoom ?? Math.max(fit, least);
  const step = (up: boolean) =>
    setZoom((up ? steps.find((s) => s > scale + 0.01) : [...steps].reverse().find((s) => s < scale - 0.01)) ?? scale);

  const path = useMemo(() => way ?? wayOf(proof, choice), [way, proof, choice]);
  const spoken = useMemo(
    () =>
      new Set(
        choice?.kind === "finding"
          ? (proof.findings.find((f) => f.identity === choice.id)?.subjects ?? []).flatMap((s) => [s, s.split(/[/:]/)[0] ?? s])
          : [],
      ),
    [proof, choice],
  );
  const chosen = choice?.kind === "box" ? drawing.boxes.find((b) => b.box.id === choice.id) : undefined;
  const fold = (box: string) => setFolds(new Map(folds).set(box, !(folds.get(box) ?? many)));
  const linkName = (id: string) => {
    const cable = setUpOf(design).cables.find((c) => c.id === id);
    const fact = proof.facts.links.find((l) => l.id === id);
    return cable
      ? [`Cable from ${endName(design, cable.from)} to ${endName(design, cable.to)}`, cableWords(cable, fact)].filter(Boolean).join(", ")
      : id;
  };
  const portName = (id: string) => {
    const cable = cableAt(design, id);
    return `${capital(endName(design, id))}, ${cable ? `cable to ${endName(design, otherEnd(cable, id))}` : "empty"}`;
  };

  return (
    <Flex direction="column" minW="0" minH="0" flex="1">
      <Flex align="center" gap="1" px="3" py="1.5" wrap="wrap" borderBottomWidth="1px" borderBottomStyle="solid" borderColor="line">
        {lead}
        <Box flex="1" />
        {design.site.places && design.site.places.length > 0 && (
          <Button
            variant={rooms ? "act" : "quiet"}
            aria-pressed={rooms}
            title="Say which room each thing stands in"
            onClick={() => setRooms(!rooms)}
          >
            Rooms
          </Button>
        )}
        {!narrow && <KeepDrawing svg={svg} name={`${design.site.name} ${setUpOf(design).name}`} />}
        <Button variant="quiet" px="2" aria-label="Smaller" title="Smaller (−)" onClick={() => step(false)}>
          <Minus size={16} aria-hidden />
        </Button>
        <chakra.output fontSize="xs" color="muted" width="2.6rem" textAlign="center" aria-label="Size of the drawing">
          {Math.round(scale * 100)} %
        </chakra.output>
        <Button variant="quiet" px="2" aria-label="Larger" title="Larger (+)" onClick={() => step(true)}>
          <Plus size={16} aria-hidden />
        </Button>
        <Button
          variant="quiet"
          px="2"
          aria-label="Fit the drawing"
          title="Fit (0)"
          aria-pressed={zoom === null}
          onClick={() => setZoom(null)}
        >
          <Maximize2 size={16} aria-hidden /> Fit
        </Button>
      </Flex>
      <Box position="relative" flex="1" minH={{ base: "24rem", lg: "0" }} display="flex">
        {patching.from && (
          <Flex
            role="status"
            position="absolute"
            bottom="3"
            left="50%"
            transform="translateX(-50%)"
            zIndex="1"
            maxW="95%"
            align="center"
            gap="2"
            px="3"
            py="1"
            rounded="lg"
            bg="card"
            borderWidth="2px"
            borderStyle="solid"
            borderColor="copper"
            fontWeight="600"
            fontSize="sm"
          >
            <span>Choose the other end of the cable: a free port or a device.</span>
            <Button variant="quiet" flexShrink={0} onClick={() => patching.start(null)}>
              Cancel
            </Button>
          </Flex>
        )}
        <Box
          ref={frame}
          flex="1"
          minW="0"
          position="relative"
          overflow="auto"
          css={{ scrollbarGutter: "stable" }}
          tabIndex={-1}
          onKeyDown={(e) => {
            if (e.ctrlKey || e.metaKey || e.altKey) {
              return;
            }
            if (e.key === "+" || e.key === "-" || e.key === "0") {
              e.preventDefault();
              if (e.key === "0") {
                setZoom(null);
              } else {
                step(e.key === "+");
              }
            }
          }}
        >
          <Terraces
            drawing={drawing}
            zoom={scale}
            least={Math.floor((room.w - 1) / scale)}
            choice={choice}
            choose={choose}
            path={path}
            changed={marked ?? changed}
            spoken={spoken}
            patching={patching}
            fold={fold}
            portName={portName}
            linkName={linkName}
            svg={svg}
          />
          {tools && chosen && <ModeChips laid={chosen} scale={scale} design={design} act={tools.act} />}
        </Box>
      </Box>
    </Flex>
  );
}

/** The links from what is chosen to the internet line. */
function wayOf(proof: Proof, choice: Choice | null): { links: ReadonlySet<string>; slowest: string | null } {
  if (choice?.kind === "device") {
    const way = proof.facts.internet.find((i) => i.device === choice.id);
    return { links: new Set(way?.links ?? []), slowest: way?.slowest ?? null };
  }
  const links = new Set<string>();
  if (choice?.kind === "box") {
    for (let at: string | undefined = choice.id; at;) {
      const up = proof.facts.uplinks.find((u) => u.owner === at);
      if (!up || links.has(up.link)) {
        break;
      }
      links.add(up.link);
      at = up.to;
    }
  }
  return { links, slowest: null };
}
