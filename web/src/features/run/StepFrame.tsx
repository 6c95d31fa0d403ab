import { Box, chakra, Flex } from "@chakra-ui/react";
import { ChevronLeft, ChevronRight } from "lucide-react";
import type { ReactNode } from "react";
import { Button } from "../../ui/controls";
import { Said } from "../../ui/Said";

interface Props {
  /** Where one is among the steps. */
  head: string;
  /** What is done; none before the first step. */
  says: string | undefined;
  at: number;
  last: number;
  go: (step: number) => void;
  /** The set-up that the first step begins with. */
  from: string;
  children: ReactNode;
}

/** The frame of one step: where one is, the ways on and back, what is done in large letters. */
export function StepFrame({ head, says, at, last, go, from, children }: Props) {
  return (
    <Box as="section" aria-label="This step" aria-live="polite">
      <Flex gap="3" align="center" justify="space-between" wrap="wrap">
        <Box color="muted">{says === undefined ? "Before the first step" : head}</Box>
        <Flex gap="2">
          <Button minH="11" disabled={at <= 0} onClick={() => go(at - 1)} title="Back (p)">
            <ChevronLeft size={18} aria-hidden /> Back
          </Button>
          <Button minH="11" variant="main" disabled={at >= last} onClick={() => go(at + 1)} title="Next step (n)">
            Next step <ChevronRight size={18} aria-hidden />
          </Button>
        </Flex>
      </Flex>
      <chakra.h2 fontSize="1.375rem" mt="1" lineHeight="1.3">
        {says === undefined ? `The home as it is in the set-up ${from}` : <Said text={says} />}
      </chakra.h2>
      {children}
    </Box>
  );
}
