import { Box, chakra, Flex } from "@chakra-ui/react";
import { Check, CircleQuestionMark, Contrast, X } from "lucide-react";
import { api, type AnswerKind, type JobState, type Schemas } from "../../api/client";
import { Button } from "../../ui/controls";
import { Said } from "../../ui/Said";
import { answerWords } from "../../ui/words";
import { DrawingPane } from "../plan/DrawingPane";
import { ExpectedRate } from "../shared/ExpectedRate";
import { nameOf } from "../shared/designReading";
import { Asked } from "../shared/Asked";
import { Head, Unseen } from "../../ui/tables";
import { asking, useAsked } from "../shared/useAsked";
import { useShown } from "../shared/useShown";

type Path = Schemas["PathFact"];

const colour = (kind: AnswerKind) => (kind === "yes" ? "moss" : kind === "unknown" ? "ochre" : "brick");
/** Told apart without colour too. */
const signs = { yes: Check, no: X, luck: Contrast, unknown: CircleQuestionMark };
function Sign({ kind }: { kind: AnswerKind }) {
  const Icon = signs[kind];
  return <Icon size={16} strokeWidth={2.6} aria-hidden style={{ display: "inline", verticalAlign: "-0.15em" }} />;
}

/** Who reaches whom: worked out when it is looked at, since it grows with the square of the home. */
export function Reach({ state }: { state: JobState }) {
  const reach = useAsked<Schemas["ReachFact"]>(state, ["reach"], (signal) =>
    api.GET("/api/jobs/{id}/proof/reach", { params: asking(state), signal }),
  );
  return (
    <Asked of={reach} what="Who reaches whom">
      {(fact) => <ReachTable reach={fact} state={state} />}
    </Asked>
  );
}

/** Class by class, opened to pairs, each explained and drawn. */
function ReachTable({ reach, state }: { reach: Schemas["ReachFact"]; state: JobState }) {
  const { design, proof } = state;
  const { needs } = proof.facts;
  const [{ from, to }, show] = useShown(["from", "to"]);
  const path = useAsked<Path>(
    state,
    ["path", from, to],
    (signal) =>
      api.GET("/api/jobs/{id}/proof/path", {
        params: { ...asking(state), query: { setUp: proof.setUp, from: from ?? "", to: to ?? "" } },
        signal,
      }),
    from !== null && to !== null,
  );
  const inbound = needs.filter((n) => design.site.needs.find((s) => s.id === n.need)?.kind === "reachFromOutside");
  const classOf = (device: string | null) => reach.classes.find((c) => device !== null && c.devices.includes(device));
  const [a, b] = [classOf(from), classOf(to)];
  const names = (c: Schemas["ReachClass"]) => c.devices.map((d) => nameOf(design, d)).join(", ");

  const cell = (label: string, kind: AnswerKind, chosen: boolean, choose: () => void) => (
    <chakra.td key={label} p="0.5" textAlign="center" borderBottomWidth="1px" borderBottomStyle="solid" borderColor="line">
      <chakra.button
        type="button"
        aria-pressed={chosen}
        title={`${label}: ${answerWords[kind]}`}
        onClick={choose}
        minW="7"
        minH="7"
        rounded="sm"
        cursor="pointer"
        color={colour(kind)}
        fontWeight="700"
        bg={chosen ? "clay.3" : "clay.1"}
        outline={chosen ? "2px solid" : undefined}
        outlineColor="copper"
      >
        <Sign kind={kind} />
        <Unseen>{` ${label}: ${answerWords[kind]}`}</Unseen>
      </chakra.button>
    </chakra.td>
  );
  return (
    <Box
      display="grid"
      gridTemplateColumns={{ base: "minmax(0, 1fr)", lg: "minmax(22rem, 30rem) minmax(0, 1fr)" }}
      gap="4"
      alignItems="start"
    >
      <Box display="grid" gap="3" gridTemplateColumns="minmax(0, 1fr)">
        <Box color="muted" fontSize="sm">
          Who opens a connection, down; to whom, across. Devices of which the same is so share a row.{" "}
          {(["yes", "luck", "unknown", "no"] as const).map((k) => (
            <chakra.span key={k} whiteSpace="nowrap" mr="2">
              <chakra.span color={colour(k)}>
                <Sign kind={k} />
              </chakra.span>{" "}
              {answerWords[k]}
            </chakra.span>
          ))}
        </Box>
        <Box overflowX="auto" tabIndex={0} role="region" aria-label="Who reaches whom, table">
          <chakra.table aria-label="Who reaches whom">
            <thead>
              <tr>
                <Head scope="col">From</Head>
                {reach.classes.map((c, i) => (
                  <Head key={c.id} scope="col" title={names(c)} textAlign="center">
                    {i + 1}
                    <Unseen>{` to ${names(c)}`}</Unseen>
                  </Head>
                ))}
                <Head scope="col" textAlign="center" title="the internet">
                  out
                </Head>
              </tr>
            </thead>
            <tbody>
              {reach.classes.map((row, i) => (
                <tr key={row.id}>
                  <Head as="th" scope="row" color="ink" fontWeight="400" maxW="15rem" borderBottomWidth="1px" verticalAlign="middle">
                    <Flex gap="1.5">
                      <chakra.span color="muted" minW="4">
                        {i + 1}
                      </chakra.span>
                      {names(row)}
                    </Flex>
                  </Head>
                  {reach.classes.map((column) => {
                    const fact = reach.cells.find((c) => c.from === row.id && c.to === column.id);
                    const other = column.devices.find((d) => d !== row.devices[0]);
                    return fact && other ? (
                      cell(`${names(row)} to ${names(column)}`, fact.answer.kind, a === row && b === column, () =>
                        show({ from: row.devices[0] ?? null, to: other }),
                      )
                    ) : (
                      <chakra.td
                        key={column.id}
                        textAlign="center"
                        color="muted"
                        aria-label="only one"
                        borderBottomWidth="1px"
                        borderBottomStyle="solid"
                        borderColor="line"
                      >
                        ·
                      </chakra.td>
                    );
                  })}
                  {cell(
                    `${names(row)} to the internet`,
                    proof.facts.internet.find((n) => n.device === row.devices[0])?.reached ?? "unknown",
                    a === row && to === "internet",
                    () => show({ from: row.devices[0] ?? null, to: "internet" }),
                  )}
                </tr>
              ))}
            </tbody>
          </chakra.table>
        </Box>
        <Box as="section" aria-label="From the internet inward">
          <chakra.h2 fontSize="md">From the internet inward</chakra.h2>
          {inbound.map((n) => (
            <Flex key={n.need} gap="2" align="center">
              <chakra.table>
                <tbody>
                  <tr>
                    {cell(n.asked, n.answer.kind, from === "internet" && to === n.need, () => show({ from: "internet", to: n.need }))}
                  </tr>
                </tbody>
              </chakra.table>
              {n.asked}
            </Flex>
          ))}
          {proof.facts.inbound.map((f) => (
            <Flex key={`${f.router} ${f.protocol} ${f.port}`} gap="2" align="start" pl="1.5" py="0.5">
              <chakra.span color={colour(f.answer.kind)} pt="0.5">
                <Sign kind={f.answer.kind} />
              </chakra.span>
              <Box>
                {f.protocol.toUpperCase()} port {f.port}, let in by {nameOf(design, f.router)}:{" "}
                {f.arrivesAt ? `arrives at ${nameOf(design, f.arrivesAt)}` : answerWords[f.answer.kind]}
                {f.answer.kind !== "yes" && f.answer.causes[0] && (
                  <Box fontSize="sm" color="muted">
                    <Said text={f.answer.causes[0].text} />
                  </Box>
                )}
              </Box>
            </Flex>
          ))}
          {inbound.length + proof.facts.inbound.length === 0 && (
            <Box color="muted">Nothing is asked for from outside, and no port is let in.</Box>
          )}
          <Box fontSize="xs" color="muted">
            Over IPv4 only.
          </Box>
        </Box>
        <Box
          as="section"
          aria-label="Why"
          aria-live="polite"
          bg="card"
          borderWidth="1px"
          borderStyle="solid"
          borderColor="line"
          rounded="lg"
          p="3"
        >
          {from === null || to === null ? (
            <Box color="muted">Choose a field of the table: it is explained here and drawn beside.</Box>
          ) : (
            <Asked of={path} what="This way">
              {(p) => (
                <>
                  <Box fontWeight="600" color={colour(p.answer.kind)}>
                    <Said text={p.sentence} />
                  </Box>
                  {from !== "internet" && p.answer.kind !== "no" && <ExpectedRate state={state} from={from} to={to} />}
                  {p.answer.causes.slice(1, 4).map((c) => (
                    <Box key={`${c.code} ${c.subjects.join()}`} fontSize="sm" mt="1">
                      <Said text={c.text} />
                    </Box>
                  ))}
                  {p.answer.outcomes.length > 0 && (
                    <Box as="ul" fontSize="sm" mt="1" color="muted">
                      {p.answer.outcomes.map((o) => (
                        <li key={o.when}>
                          {o.when}: {answerWords[o.result]}
                        </li>
                      ))}
                    </Box>
                  )}
                  {a && b && (a.devices.length > 1 || b.devices.length > 1) && (
                    <Box mt="2" fontSize="sm">
                      The same is so for each of these pairs:
                      <Flex gap="1" wrap="wrap" mt="1">
                        {a.devices
                          .flatMap((d) => b.devices.filter((e) => e !== d).map((e) => [d, e] as const))
                          .slice(0, 24)
                          .map(([d, e]) => (
                            <Button
                              key={`${d} ${e}`}
                              variant={d === from && e === to ? "act" : "quiet"}
                              aria-pressed={d === from && e === to}
                              px="1.5"
                              py="0"
                              minH="6"
                              fontSize="sm"
                              fontWeight="400"
                              onClick={() => show({ from: d, to: e })}
                            >
                              {nameOf(design, d)} → {nameOf(design, e)}
                            </Button>
                          ))}
                      </Flex>
                    </Box>
                  )}
                </>
              )}
            </Asked>
          )}
        </Box>
      </Box>
      <Box
        height={{ base: "26rem", lg: "calc(100vh - 11rem)" }}
        minH="24rem"
        display="flex"
        borderWidth="1px"
        borderStyle="solid"
        borderColor="line"
        rounded="lg"
        overflow="hidden"
      >
        <DrawingPane
          design={design}
          proof={proof}
          choice={null}
          choose={(c) => {
            if (c?.kind === "device") {
              show(from && from !== "internet" && to === null && c.id !== from ? { to: c.id } : { from: c.id, to: null });
            }
          }}
          way={from !== null && to !== null && path.data ? { links: new Set(path.data.links), slowest: null } : undefined}
          lead={
            <chakra.span fontSize="sm" color="muted">
              {from !== null && to === null ? `From ${nameOf(design, from)}: choose the other device` : "Or choose two devices here"}
            </chakra.span>
          }
        />
      </Box>
    </Box>
  );
}
