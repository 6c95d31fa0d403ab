import { Box, chakra, Flex } from "@chakra-ui/react";
import { Link } from "react-router";
import type { JobState, Schemas } from "../../api/client";
import { Button } from "../../ui/controls";
import { Trouble, Waiting } from "../../ui/pieces";
import { namingWords } from "../../ui/words";
import { DraftInput } from "../../ui/DraftInput";
import { Fold } from "../../ui/Fold";
import { Said } from "../../ui/Said";
import { WordSelect } from "../../ui/WordSelect";
import { nameOf } from "../shared/designReading";
import { SecretField } from "../shared/SecretField";
import { StartPlan } from "../shared/StartPlan";
import type { JobTools } from "../shared/jobTools";
import { CountrySelect } from "../shared/CountrySelect";
import type { useOptions } from "../shared/useOptions";
import { Worth } from "./Worth";

interface Props {
  state: JobState;
  view: Schemas["SurveyView"] | undefined;
  /** The options, from which it is told whether anything is needed. */
  options: Pick<ReturnType<typeof useOptions>["answer"], "data" | "error" | "isPlaceholderData" | "refetch">;
  error: Error | null;
  tools: JobTools;
  choose: (id: string) => void;
}

/** Whether anything is needed at all, what is not known yet, and what the spare boxes are good for. */
export function Answer({ state, view, options, error, tools, choose }: Props) {
  if (!view) {
    return error ? <Trouble what="What the survey adds up to cannot be worked out." why={error.message} /> : <Waiting what="Adding up" />;
  }
  const { site } = state.design;
  const planned = state.setUps.includes("planned");
  // What is to be known of a box does not wait for the options.
  const others = [...new Set([...(options.data?.spares ?? []), ...view.waking, ...view.cautions].map((b) => b.box))];
  return (
    <Box display="grid" gap="4">
      <Box as="section" aria-label="Is anything needed at all">
        <Box fontSize="xs" color="muted">
          Is anything needed at all?
        </Box>
        <Needed options={options} />
        <Flex mt="2" gap="3" align="center" wrap="wrap">
          {state.design.site.boxes.length > 0 && (
            <Link to="../plan?options" relative="path">
              See the options
            </Link>
          )}
          {planned ? (
            state.setUps.includes("found") && (
              <Link to={`../plan?compare=&before=${state.revision}.found&after=${state.revision}.planned`} relative="path">
                Compare what was found with the plan
              </Link>
            )
          ) : (
            <StartPlan tools={tools} main={state.design.site.boxes.length > 0} />
          )}
        </Flex>
      </Box>
      {view.gaps.length > 0 && (
        <Box as="section" aria-label="Not known yet">
          <chakra.h2 fontSize="md">Not known yet</chakra.h2>
          <Box as="ul" display="grid" gap="1.5" mt="1" fontSize="sm">
            {view.gaps.map((g) => (
              <li key={`${g.subject} ${g.what}`}>
                {g.subject === "street" ? (
                  <chakra.b fontWeight="600">{g.what}</chakra.b>
                ) : (
                  <Button variant="quiet" px="0" py="0" minH="6" onClick={() => choose(g.subject)}>
                    {g.what}
                  </Button>
                )}
                <Box color="muted">{g.how}</Box>
              </li>
            ))}
          </Box>
        </Box>
      )}
      <Fold title="This home: its name, its country, its Wi-Fi">
        <Box display="grid" gap="2" gridTemplateColumns={{ base: "minmax(0, 1fr)", sm: "minmax(0, 1fr) minmax(0, 1fr)" }} mt="1">
          <DraftInput
            label="Name in the design file"
            value={site.name}
            save={(name) => tools.correct([{ kind: "setHome", known: { name } }])}
          />
          <WordSelect
            label="Wi-Fi names"
            words={namingWords}
            value={site.naming}
            onChange={(naming) => tools.correctNow([{ kind: "setHome", known: { naming } }])}
          />
          <CountrySelect value={site.country ?? null} onChange={(country) => tools.correctNow([{ kind: "setHome", known: { country } }])} />
          {view.settings.some((s) => s.settings.wifiName !== null) && (
            <>
              <DraftInput
                label="Wi-Fi name of the house today"
                hint={
                  view.house.name === null
                    ? "the boxes have different names; one typed here goes to all"
                    : "typed into every box, and into what joins them"
                }
                value={view.house.name ?? ""}
                save={(name) => tools.correct([{ kind: "setHouseWifi", name: name === "" ? null : name, password: null }])}
              />
              <SecretField
                job={state.job.id}
                label="Wi-Fi password of the house today"
                make={false}
                name="house Wi-Fi password"
                reference={view.house.password}
                refer={(password) => tools.correct([{ kind: "setHouseWifi", name: null, password }])}
              />
            </>
          )}
        </Box>
      </Fold>
      {others.length > 0 && (
        <Box as="section" aria-label="What the other boxes are good for">
          <chakra.h2 fontSize="md">What the other boxes are good for</chakra.h2>
          <Box as="ul" display="grid" gap="1.5" mt="1" fontSize="sm">
            {others.map((box) => (
              <li key={box}>
                <Button variant="quiet" px="0" py="0" minH="6" onClick={() => choose(box)}>
                  {nameOf(state.design, box)}
                </Button>{" "}
                <Worth of={options.data?.spares.find((s) => s.box === box)} view={view} box={box} />
              </li>
            ))}
          </Box>
        </Box>
      )}
    </Box>
  );
}

/** Whether anything is needed, told from the options; from the best so far while they are searched for. */
function Needed({ options }: { options: Props["options"] }) {
  if (options.error) {
    return <Trouble what="The options cannot be worked out." why={options.error.message} again={() => void options.refetch()} />;
  }
  if (!options.data) {
    return <Waiting what="Working out what each box could become" />;
  }
  const { first, isRunning } = options.data;
  const open = isRunning || options.isPlaceholderData;
  return (
    <>
      <chakra.h2 fontSize="lg" color={open ? "muted" : first.kind === "keep" ? "moss" : "ink"}>
        {first.sentence}
      </chakra.h2>
      <Box as="ul" fontSize="sm" mt="1" display="grid" gap="0.5">
        {first.reasons.map((r) => (
          <li key={r}>
            <Said text={r} />
          </li>
        ))}
      </Box>
      <Box role="status" fontSize="sm" color="muted" minH="5">
        {open && "So far: the search for options goes on."}
      </Box>
    </>
  );
}
