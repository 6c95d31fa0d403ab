import { Box, chakra, Flex } from "@chakra-ui/react";
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api, unwrap, type JobState, type Schemas } from "../../api/client";
import { Select } from "../../ui/controls";
import { Labelled, Trouble, Waiting } from "../../ui/pieces";
import { Cell, Head } from "../../ui/tables";
import { nameOf } from "../shared/designReading";
import { pointsText } from "../../ui/words";
import { OptionsTable } from "./OptionsTable";

interface Props {
  plan: Schemas["PlanDocument"];
  state: JobState;
  choose: (box: string, as: Schemas["RoleKind"]) => void;
}

/** An alternative that a person has in mind: built as nearly as can be, proven, and its price told. */
export function WhyNot({ plan, state, choose }: Props) {
  const [asked, ask] = useState<{ box: string; as: Schemas["RoleKind"] | "" }>({ box: "", as: "" });
  const { box, as } = asked;
  const roles = plan.canBecome.find((b) => b.box === box)?.roles ?? [];
  const answer = useQuery({
    queryKey: ["why-not", state.job.id, state.revision, box, as],
    queryFn: ({ signal }) =>
      unwrap(api.GET("/api/jobs/{id}/options/why-not", { params: { path: { id: state.job.id }, query: { box, as } }, signal })),
    enabled: as !== "",
  });
  return (
    <Box as="section" aria-labelledby="why-not" display="grid" gap="2" gridTemplateColumns="minmax(0, 1fr)">
      <chakra.h2 id="why-not" fontSize="lg">
        Why not another way?
      </chakra.h2>
      <Flex gap="3" wrap="wrap">
        <Labelled label="A box">
          {(ids) => (
            <Select {...ids} value={box} onChange={(e) => ask({ box: e.target.value, as: "" })}>
              <option value="">choose</option>
              {plan.canBecome.map((b) => (
                <option key={b.box} value={b.box}>
                  {nameOf(state.design, b.box)}
                </option>
              ))}
            </Select>
          )}
        </Labelled>
        <Labelled label="What it would be">
          {(ids) => (
            <Select {...ids} value={as} disabled={box === ""} onChange={(e) => ask({ box, as: e.target.value as typeof as })}>
              <option value="">choose</option>
              {roles.map((r) => (
                <option key={r.kind} value={r.kind}>
                  {r.says}
                </option>
              ))}
            </Select>
          )}
        </Labelled>
      </Flex>
      {as !== "" &&
        (answer.isError ? (
          <Trouble what="It cannot be worked out." why={answer.error.message} again={() => void answer.refetch()} />
        ) : !answer.data ? (
          <Waiting what="Building it as nearly as can be, and proving it" />
        ) : answer.data.option ? (
          <>
            <Price of={answer.data} />
            <OptionsTable options={[answer.data.option]} choose={() => choose(box, as)} alone />
          </>
        ) : (
          <Box role="status">{answer.data.because}</Box>
        ))}
    </Box>
  );
}

/** In what it differs from the first option. */
function Price({ of }: { of: Schemas["WhyNotDocument"] }) {
  const sum = of.price.reduce((points, p) => points + p.points, 0);
  return of.price.length === 0 ? (
    <Box role="status">It costs no more and no less than the first option.</Box>
  ) : (
    <Box role="status">
      <Box>
        {sum > 0
          ? `It costs ${pointsText(sum)} points more than the first option:`
          : "It costs no more than the first option in all, and is another kind of answer:"}
        {of.isCut && " The search was cut short."}
      </Box>
      <chakra.table maxW="36rem" width="100%">
        <thead>
          <tr>
            <Head scope="col">Against the first option</Head>
            <Head scope="col">More or fewer</Head>
            <Head scope="col">Points</Head>
          </tr>
        </thead>
        <tbody>
          {of.price.map((p) => (
            <tr key={p.says}>
              <Cell>{p.says}</Cell>
              <Cell fontFamily="mono">{signed(p.more)}</Cell>
              <Cell fontFamily="mono">{signed(p.points)}</Cell>
            </tr>
          ))}
        </tbody>
      </chakra.table>
    </Box>
  );
}

const signed = (of: number) => `${of > 0 ? "+" : ""}${pointsText(of)}`;
