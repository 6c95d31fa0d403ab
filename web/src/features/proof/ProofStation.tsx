import { Box } from "@chakra-ui/react";
import type { ReactNode } from "react";
import type { JobState } from "../../api/client";
import { Parts } from "../../ui/Parts";
import { AddressBook } from "./AddressBook";
import { BeforeAfter } from "./BeforeAfter";
import { InternetOf, NeedsOf, VerdictOf } from "./Facts";
import { OnPaper } from "./OnPaper";
import { Unseen } from "../../ui/tables";
import { Reach } from "./Reach";
import { LookFrom } from "./LookFrom";
import { SpeedAndAir } from "./air/SpeedAndAir";
import { StepByStep } from "./StepByStep";
import type { JobTools } from "../shared/jobTools";
import { useShown } from "../shared/useShown";
import { WhatIf } from "./WhatIf";

const parts = {
  verdict: "Verdict",
  addresses: "Addresses",
  reach: "Who reaches whom",
  air: "Speed and air",
  stand: "Look from",
  steps: "Step by step",
  whatIf: "What if",
  before: "Before and after",
  paper: "On paper",
} as const;

type Part = keyof typeof parts;

/** Will it work, and why: the verdict, and everything that shows what it stands on. */
export default function ProofStation({ state, tools }: { state: JobState; tools: JobTools }) {
  const [{ part }, show] = useShown(["part"]);
  // Nothing is worked out then: every part would say that nothing is there.
  if (state.proof.verdict.kind === "notProven") {
    return (
      <Box p={{ base: "3", lg: "5" }} maxW="84rem" mx="auto">
        <VerdictOf proof={state.proof} />
      </Box>
    );
  }
  const chosen: Part = part !== null && part in parts ? (part as Part) : "verdict";
  return (
    <Box
      p={{ base: "3", lg: "5" }}
      pt={{ base: "2", lg: "2" }}
      maxW="84rem"
      mx="auto"
      display="grid"
      gridTemplateColumns="minmax(0, 1fr)"
      gap="4"
    >
      <Parts label="Parts of the proof" parts={parts} chosen={chosen} show={(p) => show({ part: p })} />
      {chosen !== "verdict" && chosen !== "paper" && <Unseen as="h1">{parts[chosen]}</Unseen>}
      {open(chosen, state, tools)}
    </Box>
  );
}

function open(part: Part, state: JobState, tools: JobTools): ReactNode {
  const { design, proof } = state;
  switch (part) {
    case "addresses":
      return <AddressBook state={state} />;
    case "reach":
      return <Reach state={state} />;
    case "air":
      return <SpeedAndAir state={state} tools={tools} />;
    case "stand":
      return <LookFrom state={state} />;
    case "steps":
      return <StepByStep state={state} />;
    case "whatIf":
      return <WhatIf state={state} />;
    case "before":
      return <BeforeAfter state={state} />;
    case "paper":
      return <OnPaper state={state} />;
    default:
      return (
        <>
          <VerdictOf proof={proof} />
          <NeedsOf proof={proof} state={state} />
          <InternetOf design={design} proof={proof} state={state} />
        </>
      );
  }
}
