import { Box, chakra, Flex, type BoxProps } from "@chakra-ui/react";
import { useId, type ReactNode, type Ref } from "react";
import type { Schemas } from "../api/client";
import { Button } from "./controls";

export function Card(props: BoxProps & { ref?: Ref<HTMLDivElement> }) {
  return <Box bg="card" borderWidth="1px" borderStyle="solid" borderColor="line" rounded="lg" p="3" {...props} />;
}

/** A label above its control; the control gets the id. */
export function Labelled({
  label,
  error,
  hint,
  children,
}: {
  label: string;
  error?: string | null;
  hint?: string;
  children: (ids: { id: string; "aria-describedby"?: string }) => ReactNode;
}) {
  const id = useId();
  const note = error ?? hint;
  return (
    <Box minW="0">
      <chakra.label htmlFor={id} display="block" fontSize="xs" color="muted" mb="0.5">
        {label}
      </chakra.label>
      {children({ id, "aria-describedby": note ? `${id}-note` : undefined })}
      {note && (
        <Box id={`${id}-note`} fontSize="xs" mt="0.5" color={error ? "brick" : "muted"} role={error ? "alert" : undefined}>
          {note}
        </Box>
      )}
    </Box>
  );
}

type Level = Schemas["VerdictKind"] | Schemas["Severity"];
const marks: Record<Level, { colour: string; word: string }> = {
  willNotWork: { colour: "brick", word: "Will not work" },
  notProven: { colour: "brick", word: "Not proven" },
  concern: { colour: "ochre", word: "Concern" },
  works: { colour: "ochre", word: "Works" },
  partly: { colour: "ochre", word: "Works in part" },
  sound: { colour: "moss", word: "Sound" },
  empty: { colour: "muted", word: "Empty" },
};

export const levelWord = (level: Level) => marks[level].word;
export const levelColour = (level: Level) => marks[level].colour;

/** Told by shape as well as by colour: an octagon stops, a triangle warns, a circle is sound, or has nothing to judge yet. */
export function Mark({ level, number, size = 18 }: { level: Level; number?: number; size?: number }) {
  const shape =
    level === "willNotWork"
      ? "M6 1h8l5 5v8l-5 5H6l-5-5V6z"
      : level === "sound" || level === "empty"
        ? "M10 1a9 9 0 1 0 0 18 9 9 0 0 0 0-18z"
        : "M10 1.5 19 18H1z";
  return (
    <chakra.svg
      viewBox="0 0 20 20"
      width={`${size}px`}
      height={`${size}px`}
      flexShrink={0}
      color={marks[level].colour}
      role="img"
      aria-label={number === undefined ? marks[level].word : `${number}, ${marks[level].word}`}
    >
      <path d={shape} fill="currentColor" />
      {number !== undefined && (
        <chakra.text x="10" y={level === "concern" ? "15.5" : "13.8"} textAnchor="middle" fontSize="10.5px" fontWeight="700" fill="card">
          {number}
        </chakra.text>
      )}
    </chakra.svg>
  );
}

/** Something went wrong with a whole view. */
export function Trouble({ what, why, again }: { what: string; why?: string; again?: () => void }) {
  return (
    <Card role="alert" maxW="34rem" m="4">
      <chakra.h2 fontSize="lg">{what}</chakra.h2>
      {why && <Box mt="1">{why}</Box>}
      {again && (
        <Button mt="3" onClick={again}>
          Try again
        </Button>
      )}
    </Card>
  );
}

/** While a view is being read. */
export function Waiting({ what }: { what: string }) {
  return (
    <Flex p="6" color="muted" role="status">
      {what}
    </Flex>
  );
}
