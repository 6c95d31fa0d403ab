import { Box, chakra } from "@chakra-ui/react";
import { useQuery } from "@tanstack/react-query";
import type { ReactNode } from "react";
import type { Schemas } from "../../api/client";
import { Fold } from "../../ui/Fold";
import { Said } from "../../ui/Said";
import { capital } from "../../ui/words";
import { Asked } from "../shared/Asked";
import { HomeLook } from "../plan/HomeLook";
import type { Ask } from "./ask";
import { IfNot } from "./IfNot";

interface Props {
  /** The home after the step. */
  moment: Ask<Schemas["SheetMoment"]>;
  /** What may have gone wrong at it. */
  ifNot: Ask<Schemas["WhatIfNotDocument"][]>;
  at: number;
  /** What else is told below what is seen. */
  children?: ReactNode;
}

const useMoment = (ask: Ask<Schemas["SheetMoment"]>) => useQuery({ ...ask, placeholderData: (before) => before });

/** What is seen after a step, what it may mean that something else is, and what has to be kept in mind. */
export function StepMoment({ moment: ask, ifNot, at, children }: Props) {
  const moment = useMoment(ask);
  return (
    <Asked of={moment} what="What is seen">
      {(m) => (
        <>
          <Sights sights={m.sees} />
          {at > 0 && <IfNot ask={ifNot} at={at} />}
          {children}
          <Reminders
            of="Not known yet"
            list={m.blanks.map((b) => capital(b.says) + (b.example === null ? "" : `, for example ${b.example}`))}
          />
          <Reminders of="To be undone before the end" list={m.open} />
        </>
      )}
    </Asked>
  );
}

/** The home as it is after a step, the laptop where it is. */
export function HomeThen({ moment: ask, height }: Pick<Props, "moment"> & { height: string }) {
  const moment = useMoment(ask);
  return (
    <Asked of={moment} what="The home after this step">
      {(m) => (
        <HomeLook design={m.design} proof={m.proof} moment={m} label="The home after this step" title="After this step" height={height} />
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

/** What the laptop, and a person beside it, should see: what was not so before the step first, the rest on request. */
function Sights({ sights }: { sights: readonly Schemas["SheetSight"][] }) {
  const [fresh, rest] = [sights.filter((s) => s.isNew), sights.filter((s) => !s.isNew)];
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
      {fresh.length > 0 ? <Lines sights={fresh} /> : rest.length > 0 && <Box color="muted">Nothing that was not so before.</Box>}
      {rest.length > 0 && (
        <Fold title="As before" mt="1">
          <Lines sights={rest} />
        </Fold>
      )}
    </Box>
  );
}

function Lines({ sights }: { sights: readonly Schemas["SheetSight"][] }) {
  return (
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
          </chakra.dd>
        </Box>
      ))}
    </Box>
  );
}
