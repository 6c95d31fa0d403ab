import { Flex } from "@chakra-ui/react";
import type { Change, Design } from "../../api/client";
import { Button } from "../../ui/controls";
import { modeWords } from "../../ui/words";
import { setUpOf } from "../shared/designReading";
import type { LaidBox } from "../terraces/pieces";

interface Props {
  laid: LaidBox;
  scale: number;
  design: Design;
  act: (changes: Change[]) => void;
}

/** What the chosen box can be, above it on the drawing: one press changes its mode. Nothing where it can be one thing only. */
export function ModeChips({ laid, scale, design, act }: Props) {
  const id = laid.box.id;
  const modes = design.site.boxes.find((b) => b.id === id)?.profile.modes ?? [];
  const now = setUpOf(design).boxes.find((b) => b.box === id)?.mode;
  if (modes.length < 2) {
    return null;
  }
  return (
    <Flex
      role="group"
      aria-label={`Mode of ${laid.box.name}`}
      position="absolute"
      left={`${Math.max(4, laid.x * scale)}px`}
      top={`${Math.max(2, laid.y * scale - 40)}px`}
      gap="1"
      p="1"
      rounded="md"
      bg="card"
      borderWidth="2px"
      borderStyle="solid"
      borderColor="copper"
      zIndex="1"
    >
      {modes.map((mode) => (
        <Button
          key={mode}
          variant={mode === now ? "main" : "quiet"}
          minH="6"
          px="2"
          py="0"
          fontSize="sm"
          aria-pressed={mode === now}
          disabled={mode === now}
          _disabled={{ opacity: 1 }}
          onClick={() => act([{ kind: "setMode", box: id, mode }])}
        >
          {modeWords[mode]}
        </Button>
      ))}
    </Flex>
  );
}
