import { Box, chakra, Flex } from "@chakra-ui/react";
import { api, type JobState, type Schemas } from "../../api/client";
import { Mono, Select } from "../../ui/controls";
import { Card, Labelled } from "../../ui/pieces";
import { Said } from "../../ui/Said";
import { answerWords, keysOf, printoutWords, sideWords } from "../../ui/words";
import { addressText, laptopWords, nameOf } from "../shared/designReading";
import { Asked } from "../shared/Asked";
import { Answer } from "../../ui/Answer";
import { Cell, Head } from "../../ui/tables";
import { asking, useAsked } from "../shared/useAsked";
import { SeatSelect } from "../shared/SeatSelect";
import { useShown } from "../shared/useShown";
import { DraftInput } from "../../ui/DraftInput";

type Style = Schemas["PrintoutStyle"];

/** What is seen at a device, a box, or a laptop at any port or name: as data, and as commands print it. */
export function LookFrom({ state }: { state: JobState }) {
  const { design } = state;
  const [{ seat, wifi, target, style }, show] = useShown(["seat", "wifi", "target", "style"]);
  const seats = useAsked<Schemas["Seat"][]>(state, ["seats"], (signal) =>
    api.GET("/api/jobs/{id}/proof/seats", { params: asking(state), signal }),
  );
  const stands = seats.data?.find((s) => s.id === seat) ?? seats.data?.[0];
  // A laptop has a socket and a Wi-Fi: from a port it may look by both at once.
  const air = stands?.kind === "port" ? (seats.data?.find((s) => s.kind === "wifi" && s.id === wifi)?.id ?? null) : null;
  const at = stands ? [stands.id, ...(air ? [air] : [])].join("+") : null;
  const chosen: Style = keysOf(printoutWords).find((k) => k === style) ?? "ip";
  const goal = target ?? "internet";
  const sight = useAsked<Schemas["Sight"]>(
    state,
    ["look", at, goal, chosen],
    (signal) =>
      api.GET("/api/jobs/{id}/proof/look", {
        params: { ...asking(state), query: { setUp: state.proof.setUp, at: at ?? "", to: goal, style: chosen } },
        signal,
      }),
    at !== null,
  );
  const known = ["internet", ...design.site.devices.map((d) => d.id), ...design.site.boxes.map((b) => b.id)];
  return (
    <Asked of={seats} what="Where one can look from">
      {(all) => (
        <Box display="grid" gap="4" gridTemplateColumns="minmax(0, 1fr)">
          <Flex gap="4" wrap="wrap" align="start">
            <Box width="18rem" maxW="100%">
              <SeatSelect label="Look from" seats={all} value={stands?.id ?? null} onChange={(chosenSeat) => show({ seat: chosenSeat })} />
            </Box>
            {stands?.kind === "port" && (
              <Box width="18rem" maxW="100%">
                <SeatSelect
                  label="And on Wi-Fi at once"
                  seats={all.filter((s) => s.kind === "wifi")}
                  value={air}
                  none="no, its Wi-Fi is off"
                  onChange={(chosenWifi) => show({ wifi: chosenWifi })}
                />
              </Box>
            )}
            <Box width="12rem">
              <Labelled label="Ping and trace">
                {(ids) => (
                  <Select
                    {...ids}
                    value={known.includes(goal) ? goal : "typed"}
                    onChange={(e) => show({ target: e.target.value === "typed" ? "192.168.8.1" : e.target.value })}
                  >
                    <option value="internet">a host on the internet</option>
                    {known.slice(1).map((k) => (
                      <option key={k} value={k}>
                        {nameOf(design, k)}
                      </option>
                    ))}
                    <option value="typed">an address that I type</option>
                  </Select>
                )}
              </Labelled>
            </Box>
            {!known.includes(goal) && (
              <Box width="10rem">
                <DraftInput
                  label="Address"
                  fontFamily="mono"
                  value={goal}
                  save={(value) => {
                    show({ target: value });
                    return Promise.resolve();
                  }}
                />
              </Box>
            )}
            <Box width="13rem">
              <Labelled label="As printed by">
                {(ids) => (
                  <Select {...ids} value={chosen} onChange={(e) => show({ style: e.target.value })}>
                    {keysOf(printoutWords).map((k) => (
                      <option key={k} value={k}>
                        {printoutWords[k]}
                      </option>
                    ))}
                  </Select>
                )}
              </Labelled>
            </Box>
          </Flex>
          <Asked of={sight} what="What is seen there">
            {(s) => <SightOf sight={s} state={state} />}
          </Asked>
        </Box>
      )}
    </Asked>
  );
}

function SightOf({ sight, state: { design } }: { sight: Schemas["Sight"]; state: JobState }) {
  return (
    <Box
      display="grid"
      gap="4"
      gridTemplateColumns={{ base: "minmax(0, 1fr)", lg: "minmax(0, 24rem) minmax(0, 1fr)" }}
      alignItems="start"
      aria-live="polite"
    >
      <Box display="grid" gap="3" gridTemplateColumns="minmax(0, 1fr)">
        {sight.addresses.map((a) => {
          const said = addressText(design, a);
          return (
            <Card key={`${a.owner} ${a.side}`}>
              {sideWords[a.side] && (
                <Box color="muted" fontSize="sm">
                  {laptopWords[a.owner] ?? sideWords[a.side]}
                </Box>
              )}
              <Box fontWeight="600">
                <Mono>{said.text}</Mono>
              </Box>
              <Box fontSize="sm">{said.how}</Box>
              <Box fontSize="sm" mt="1">
                Gateway <Mono>{a.gateway ?? "none"}</Mono> · DNS <Mono>{a.dnsServers.join(" ") || "none"}</Mono>
              </Box>
            </Card>
          );
        })}
        {sight.trace && (
          <Card>
            <Box>
              Ping <Mono>{sight.trace.target}</Mono>: <Answer kind={sight.trace.ping.kind} />
            </Box>
            {sight.trace.ping.causes.slice(0, 3).map((c) => (
              <Box key={`${c.code} ${c.subjects.join()}`} fontSize="sm">
                <Said text={c.text} />
              </Box>
            ))}
            {sight.trace.ping.outcomes.map((o) => (
              <Box key={o.when} fontSize="sm" color="muted">
                {o.when}: {answerWords[o.result]}
              </Box>
            ))}
            <Box as="ol" mt="1" fontSize="sm">
              {sight.trace.hops.map((h, i) => (
                <li key={i}>
                  {i + 1}. <Mono>{h.address ?? "leased"}</Mono>{" "}
                  {h.owner === ":internet" ? "a host on the internet" : h.owner === "street" ? "the provider" : nameOf(design, h.owner)}
                </li>
              ))}
            </Box>
          </Card>
        )}
        <Box overflowX="auto" tabIndex={0} role="region" aria-label="Address table">
          <chakra.table width="100%" aria-label="Address table, once it has reached all">
            <thead>
              <tr>
                <Head scope="col">Neighbour</Head>
                <Head scope="col">Address and MAC address</Head>
              </tr>
            </thead>
            <tbody>
              {sight.table.map((n, i) => (
                <tr key={i}>
                  <Cell>
                    {n.owner === "street" ? "the provider" : nameOf(design, n.owner)}
                    {!n.certain && (
                      <chakra.span color="brick" fontSize="sm">
                        {" "}
                        or another host
                      </chakra.span>
                    )}
                  </Cell>
                  <Cell>
                    <Box>
                      <Mono>{n.address ?? (n.from ? shortRange(n.from) : "")}</Mono>
                    </Box>
                    <Mono fontSize="xs" color="muted">
                      {n.mac ?? "not read"}
                    </Mono>
                  </Cell>
                </tr>
              ))}
            </tbody>
          </chakra.table>
          {sight.table.length === 0 && (
            <Box color="muted" fontSize="sm" px="2">
              It has no neighbours.
            </Box>
          )}
        </Box>
      </Box>
      <Box display="grid" gap="3" gridTemplateColumns="minmax(0, 1fr)">
        {sight.printouts.map((p) => (
          <Box key={p.command} as="section" aria-label={p.command}>
            <Mono color="muted">$ {p.command}</Mono>
            <Box overflowX="auto" tabIndex={0} role="region" aria-label={`Output of ${p.command}`}>
              <chakra.pre
                fontFamily="mono"
                fontSize="xs"
                bg="card"
                borderWidth="1px"
                borderStyle="solid"
                borderColor="line"
                rounded="md"
                p="2"
              >
                {p.text.trimEnd() || "(nothing)"}
              </chakra.pre>
            </Box>
          </Box>
        ))}
        <Box fontSize="xs" color="muted">
          Where a server decides, an example address stands, the same everywhere. What works by luck is printed as it looks while it works.
        </Box>
      </Box>
    </Box>
  );
}

/** "192.168.8.20-192.168.8.199" as ".20 to .199 of 192.168.8". */
function shortRange(range: string): string {
  const [first = "", last = ""] = range.split("-");
  const [head, tail] = [first.split("."), last.split(".")];
  return head.slice(0, 3).join() === tail.slice(0, 3).join() ? `${first} to .${tail[3]}` : `${first} to ${last}`;
}
