import { Box, chakra, Flex } from "@chakra-ui/react";
import { ChevronLeft, ChevronRight } from "lucide-react";
import { useEffect, useRef } from "react";
import type { Schemas } from "../../api/client";
import { Button, Mono } from "../../ui/controls";
import { Said } from "../../ui/Said";
import { Answer } from "../../ui/Answer";

type Document = Schemas["LadderDocument"];
type Step = Document["steps"][number];

const lane = 104;
const row = 34;

/** Actors side by side, time downward, one row for each thing that is sent; it can be gone through step by step. */
export function Ladder({ ladder, step, stepTo }: { ladder: Document; step: number; stepTo: (step: number) => void }) {
  const current = Math.min(step, ladder.steps.length - 1);
  const shown = ladder.steps[current];
  const list = useRef<HTMLOListElement>(null);
  useEffect(() => {
    if (step > 0) {
      list.current?.children[current]?.scrollIntoView({ block: "nearest" });
    }
  }, [step, current]);
  const width = Math.max(2, ladder.actors.length) * lane;
  // Where there is room the words stand beside the arrows, else above them.
  const least = { base: `${width + 68}px`, lg: `${width + 68 + 224}px` };
  const x = (actor: string) => (ladder.actors.findIndex((a) => a.id === actor) + 0.5) * lane;
  return (
    <Box display="grid" gridTemplateColumns={{ base: "minmax(0, 1fr)", lg: "minmax(0, 1fr) 20rem" }} gap="4" alignItems="start">
      <Box as="section" aria-label={ladder.title} minW="0">
        <Flex gap="3" align="center" wrap="wrap" mb="2">
          <chakra.h2 fontSize="lg">
            {ladder.title}: <Answer kind={ladder.answer.kind} />
            {ladder.stoppedBy && <chakra.span fontWeight="400"> stopped by {ladder.stoppedBy}</chakra.span>}
          </chakra.h2>
        </Flex>
        <Box as="ul" fontSize="sm" mb="2">
          {ladder.notes.map((n) => (
            <li key={n}>
              <Said text={n} />
            </li>
          ))}
        </Box>
        {ladder.steps.length === 0 ? (
          <Box color="muted">Nothing is sent.</Box>
        ) : (
          <Box
            overflow="auto"
            maxH={{ lg: "calc(100vh - 23rem)" }}
            minH="16rem"
            tabIndex={0}
            role="region"
            aria-label="Steps"
            bg="card"
            borderWidth="1px"
            borderStyle="solid"
            borderColor="line"
            rounded="lg"
          >
            <Flex
              position="sticky"
              top="0"
              bg="card"
              zIndex="1"
              borderBottomWidth="1px"
              borderBottomStyle="solid"
              borderColor="line"
              pl="4.25rem"
              minW={least}
              aria-hidden
            >
              {ladder.actors.map((a) => (
                <Box key={a.id} width={`${lane}px`} px="1" py="1" fontSize="sm" fontWeight="700" textAlign="center" lineHeight="1.15">
                  {a.name}
                </Box>
              ))}
            </Flex>
            <Box as="ol" ref={list} minW={least}>
              {ladder.steps.map((s, i) => (
                <li key={s.number}>
                  <chakra.button
                    type="button"
                    aria-current={i === current ? "step" : undefined}
                    onClick={() => stepTo(i)}
                    display="flex"
                    alignItems="center"
                    flexWrap={{ base: "wrap", lg: "nowrap" }}
                    width="100%"
                    minH={`${row}px`}
                    font="inherit"
                    color="inherit"
                    textAlign="start"
                    cursor="pointer"
                    bg={i === current ? "clay.2" : "transparent"}
                    opacity={i > current && step > 0 ? 0.65 : 1}
                    _hover={{ bg: "clay.1" }}
                  >
                    <Mono color="muted" fontSize="xs" display="block" width="4.25rem" flexShrink={0} textAlign="end" pr="1">
                      {time(s.afterMs)}
                    </Mono>
                    <Arrow step={s} width={width} x={x} lanes={ladder.actors.map((a) => x(a.id))} />
                    <chakra.span flex={{ base: "0 0 100%", lg: "1" }} order={{ base: -1, lg: 0 }} minW="0" px="2" py="1" fontSize="sm">
                      <Said text={s.text} />
                    </chakra.span>
                  </chakra.button>
                </li>
              ))}
            </Box>
          </Box>
        )}
        {ladder.steps.length > 0 && (
          <Flex gap="2" mt="2" align="center">
            <Button disabled={current <= 0} onClick={() => stepTo(current - 1)}>
              <ChevronLeft size={16} aria-hidden /> Step back
            </Button>
            <Button variant="main" disabled={current >= ladder.steps.length - 1} onClick={() => stepTo(current + 1)}>
              Next step <ChevronRight size={16} aria-hidden />
            </Button>
            <chakra.span color="muted" fontSize="sm">
              {current + 1} of {ladder.steps.length}
            </chakra.span>
          </Flex>
        )}
      </Box>
      {shown && (
        <Box
          as="section"
          aria-label="What stands in it"
          aria-live="polite"
          bg="card"
          borderWidth="1px"
          borderStyle="solid"
          borderColor="line"
          rounded="lg"
          p="3"
        >
          <Box fontWeight="700">
            {shown.number}. <Said text={shown.text} />
          </Box>
          <Box as="dl" display="grid" gridTemplateColumns="auto minmax(0, 1fr)" columnGap="3" rowGap="0.5" mt="2" fontSize="sm">
            {shown.details.map((d) => (
              <Box key={d.label} display="contents">
                <chakra.dt color="muted">{d.label}</chakra.dt>
                <chakra.dd css={{ overflowWrap: "anywhere" }}>
                  <Mono whiteSpace="normal">{d.value}</Mono>
                </chakra.dd>
              </Box>
            ))}
          </Box>
          <Box fontSize="xs" color="muted" mt="2">
            Times are examples; only order and long waits mean something.
          </Box>
        </Box>
      )}
    </Box>
  );
}

/** From whom to whom; what everybody hears runs to all sides. */
function Arrow({ step, width, x, lanes }: { step: Step; width: number; x: (actor: string) => number; lanes: number[] }) {
  const from = x(step.from);
  const head = (to: number) => `M${to} 0l${to > from ? -7 : 7} -4.5v9z`;
  const others = step.hears.map(x);
  // As tall as its row: the inner picture has its zero in the middle of it.
  return (
    <Box position="relative" alignSelf="stretch" width={`${width}px`} minH={`${row}px`} flexShrink={0}>
      <chakra.svg position="absolute" inset="0" width="100%" height="100%" aria-hidden>
        {lanes.map((l) => (
          <chakra.line key={l} x1={l} x2={l} y1="0" y2="100%" stroke="line.strong" strokeWidth="1" strokeDasharray="2 3" />
        ))}
        <svg y="50%" overflow="visible">
          {step.to ? (
            <>
              <chakra.path d={`M${from} 0H${x(step.to)}`} stroke="ink" strokeWidth="1.75" fill="none" />
              <chakra.path d={head(x(step.to))} fill="ink" />
            </>
          ) : (
            <>
              <chakra.path
                d={`M${Math.min(...others, from)} 0H${Math.max(...others, from)}`}
                stroke="ink"
                strokeWidth="1.5"
                strokeDasharray="5 4"
                fill="none"
              />
              {others.map((l) => (
                <chakra.path key={l} d={head(l)} fill="card" stroke="ink" strokeWidth="1.25" />
              ))}
            </>
          )}
          <chakra.circle cx={from} cy={0} r="3.5" fill="ink" />
        </svg>
      </chakra.svg>
    </Box>
  );
}

/** "0.4 ms", "1.2 s", "12 h": as much as says something. */
function time(ms: number): string {
  return ms < 1000
    ? `${ms} ms`
    : ms < 120_000
      ? `${Math.round(ms / 100) / 10} s`
      : ms < 7_200_000
        ? `${Math.round(ms / 60_000)} min`
        : `${Math.round(ms / 360_000) / 10} h`;
}
