import { Box, chakra, type BoxProps } from "@chakra-ui/react";
import { useState, type Ref } from "react";
import type { Design, Proof } from "../../api/client";
import type { Choice } from "../terraces/choice";
import type { MomentSaid } from "../terraces/readScene";
import { DrawingPane } from "./DrawingPane";

interface Props {
  design: Design;
  proof: Proof;
  /** What a design does not say of a moment; none for a settled home. */
  moment?: MomentSaid;
  label: string;
  title: string;
  height: BoxProps["height"];
  ref?: Ref<HTMLElement>;
}

/** A home in a frame of its own, to be looked at only. */
export function HomeLook({ design, proof, moment, label, title, height, ref }: Props) {
  const [choice, choose] = useState<Choice | null>(null);
  return (
    <Box
      as="section"
      aria-label={label}
      ref={ref}
      height={height}
      display="flex"
      bg="card"
      borderWidth="1px"
      borderStyle="solid"
      borderColor="line"
      rounded="lg"
      overflow="hidden"
    >
      <DrawingPane
        design={design}
        proof={proof}
        choice={choice}
        choose={choose}
        {...(moment && { moment })}
        lead={<chakra.h2 fontSize="md">{title}</chakra.h2>}
      />
    </Box>
  );
}
