import { Box } from "@chakra-ui/react";
import { useState } from "react";
import type { JobState, Schemas } from "../../api/client";
import { Button } from "../../ui/controls";
import { Said } from "../../ui/Said";
import { Asked } from "./Asked";
import { askDevice, askNeed, useAsked } from "./useAsked";

/** What a device or a need is answered: its id, and which of both it is. */
export interface About {
  kind: "device" | "need";
  id: string;
}

interface Props {
  answer: Schemas["Answer"];
  about: About;
  /** The job whose proof it is; left out on paper, where nothing can be opened. */
  state?: JobState;
}

/** The first reasons of an answer, as many as came with it, and the others when they are asked for. */
export function Reasons({ answer, about, state }: Props) {
  const [opened, open] = useState(false);
  const more = answer.moreCauses ?? 0;
  return opened && state ? (
    <AllReasons about={about} state={state} />
  ) : (
    <>
      <List causes={answer.causes} />
      {more > 0 &&
        (state ? (
          <Button variant="quiet" color="copper" px="0" onClick={() => open(true)}>
            {counted(more)}
          </Button>
        ) : (
          <Box>and {counted(more)}</Box>
        ))}
    </>
  );
}

const counted = (more: number) => `${more} more ${more === 1 ? "reason" : "reasons"}`;

function AllReasons({ about, state }: { about: About; state: JobState }) {
  const whole = useAsked<{ answer: Schemas["Answer"] }>(state, [about.kind, about.id], (signal) =>
    (about.kind === "device" ? askDevice : askNeed)(state, about.id, signal),
  );
  return (
    <Asked of={whole} what="All reasons">
      {(fact) => <List causes={fact.answer.causes} />}
    </Asked>
  );
}

const List = ({ causes }: { causes: Schemas["Cause"][] }) =>
  causes.map((cause) => (
    <Box key={`${cause.code} ${cause.subjects.join()}`}>
      <Said text={cause.text} />
    </Box>
  ));
