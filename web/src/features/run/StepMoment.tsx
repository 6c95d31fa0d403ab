import { Box, chakra } from "@chakra-ui/react";
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api, unwrap, type Schemas } from "../../api/client";
import { Said } from "../../ui/Said";
import { capital } from "../../ui/words";
import { Asked } from "../shared/Asked";
import { DrawingPane } from "../plan/DrawingPane";
import { IfNot } from "./IfNot";
import type { Choice } from "../terraces/choice";

interface Props {
  job: number;
  revision: number;
  sheet: number;
  at: number;
  wide: boolean;
}

/** What is seen after a step, and the home as it is then. */
export function StepMoment({ job, revision, sheet, at, wide }: Props) {
  const [choice, choose] = useState<Choice | null>(null);
  const moment = useQuery({
    queryKey: ["sheet", job, revision, sheet, "step", at],
    queryFn: ({ signal }) =>
      unwrap(api.GET("/api/jobs/{id}/sheets/{sheet}/steps/{step}", { params: { path: { id: job, sheet, step: at } }, signal })),
    placeholderData: (before) => before,
  });
  return (
    <Asked of={moment} what="What is seen">
      {(m) => (
        <>
          <Sights sights={m.sees} />
          {at > 0 && <IfNot job={job} revision={revision} sheet={sheet} at={at} />}
          <Reminders
            of="Not known yet"
            list={m.blanks.map((b) => capital(b.says) + (b.example === null ? "" : `, for example ${b.example}`))}
          />
          <Reminders of="To be undone before the end" list={m.open} />
          <Box
            as="section"
            aria-label="The home after this step"
            height={wide ? "46rem" : "30rem"}
            display="flex"
            bg="card"
            borderWidth="1px"
            borderStyle="solid"
            borderColor="line"
            rounded="lg"
            overflow="hidden"
          >
            <DrawingPane
              design={m.design}
              proof={m.proof}
              choice={choice}
              choose={choose}
              patching={idle}
              moment={m}
              lead={<chakra.h2 fontSize="md">The home after this step</chakra.h2>}
            />
          </Box>
        </>
      )}
    </Asked>
  );
}

/** What has to be kept in mind: values to be filled in, and what is for the evening only. */
function Reminders({ of, list }: { of: string; list: readonly string[] }) {
  return list.length === 0 ? null : (
    <Box as="section" aria-label={of} fontSize="sm">
      <chakra.h2 fontSize="sm" color="muted">
        {of}
      </chakra.h2>
      <Box as="ul" pl="5">
        {list.map((text) => (
          <li key={text}>
            <Said text={text} />
          </li>
        ))}
      </Box>
    </Box>
  );
}

const idle = { from: null, start: () => undefined, finish: () => undefined, over: () => undefined };

/** What the laptop, and a person beside it, should see; what was not so before the step is marked. */
function Sights({ sights }: { sights: readonly Schemas["SheetSight"][] }) {
  return (
    <Box
      as="section"
      aria-label="What you should see"
      bg="card"
      borderWidth="1px"
      borderStyle="solid"
      borderColor="line"
      rounded="lg"
      p="3"
    >
      <chakra.h2 fontSize="md" mb="1">
        What you should see
      </chakra.h2>
      <Box as="dl" display="grid" gridTemplateColumns={{ base: "minmax(0, 1fr)", md: "13rem minmax(0, 1fr)" }} rowGap="0.5">
        {sights.map(({ line, isNew }) => (
          <Box key={line.key} display="contents">
            <chakra.dt
              color="muted"
              pl="2"
              borderLeftWidth="4px"
              borderLeftStyle="solid"
              borderColor={isNew ? "copper" : "transparent"}
              fontWeight={isNew ? 600 : 400}
            >
              <Said text={line.what} />
            </chakra.dt>
            <chakra.dd
              m="0"
              pl={{ base: "3", md: "0" }}
              fontWeight={isNew ? 600 : 400}
              // That a page or the internet is not there is often just what should be seen.
              color={line.answer === "luck" || line.answer === "unknown" ? "ochre" : undefined}
            >
              <Said text={line.says} />
              {isNew && (
                <chakra.span color="copper" fontSize="xs" fontWeight="700">
                  {" "}
                  new
                </chakra.span>
              )}
            </chakra.dd>
          </Box>
        ))}
      </Box>
    </Box>
  );
}
