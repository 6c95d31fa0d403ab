import { Box, chakra, Flex } from "@chakra-ui/react";
import { useState, type ReactNode } from "react";
import { Link } from "react-router";
import type { JobState, Schemas } from "../../api/client";
import { Button, Input, Mono, Select } from "../../ui/controls";
import { DraftInput } from "../../ui/DraftInput";
import { Card, Labelled } from "../../ui/pieces";
import { keysOf, knownWords, mediumWords } from "../../ui/words";
import { WordSelect } from "../../ui/WordSelect";
import { endName, setUpOf } from "../shared/designReading";
import type { JobTools } from "../shared/jobTools";
import { metres } from "./corrections";

const socketWords: Record<Schemas["SocketKind"], string> = {
  data: "data",
  telephone: "telephone",
  coax: "television",
  fibre: "fibre",
  mains: "mains",
};

const Cell = chakra("td", { base: { py: "1", pe: "3", verticalAlign: "top" } });

/** Every cable of what was found with its length and what it carries; then sockets, cables in the walls, and buildings. */
export function CablesPart({ state, view, tools }: { state: JobState; view: Schemas["SurveyView"] | undefined; tools: JobTools }) {
  const { design } = state;
  const cables = setUpOf(design).cables.filter((c) => c.from !== "street" && c.to !== "street");
  const {
    runs = [],
    sockets = [],
    places = [],
  } = { runs: design.site.runs ?? [], sockets: design.site.sockets ?? [], places: design.site.places ?? [] };
  const socketName = (id: string) => sockets.find((s) => s.id === id)?.name ?? id;
  return (
    <Box display="grid" gap="4" gridTemplateColumns="minmax(0, 1fr)">
      <Card as="section" aria-label="Cables" minW="0">
        <chakra.h2 fontSize="lg">Cables that are plugged in</chakra.h2>
        <Box fontSize="sm" color="muted" mb="2">
          Where a length was not measured it is estimated from the rooms: along the walls, down to the sockets, a tenth more, and a lead at
          each end. They are plugged in on the{" "}
          <Link to={`../plan?setUp=${state.proof.setUp}`} relative="path">
            drawing of what was found
          </Link>
          .
        </Box>
        {cables.length === 0 ? (
          <Box color="muted">No cable is plugged in yet.</Box>
        ) : (
          <Box overflowX="auto">
            <chakra.table width="100%" fontSize="sm" aria-label="Cables">
              <thead>
                <tr>
                  {["From and to", "What it is", "Pairs", "In the wall", "Length", "Carries", "Worth knowing"].map((h) => (
                    <chakra.th
                      key={h}
                      textAlign="start"
                      fontWeight="600"
                      color="muted"
                      pe="3"
                      borderBottomWidth="1px"
                      borderBottomStyle="solid"
                      borderColor="line.strong"
                    >
                      {h}
                    </chakra.th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {cables.map((c) => {
                  const check = view?.cables.find((x) => x.cable === c.id);
                  const change = (known: Schemas["PartialOfCableFacts"]) => [{ kind: "setCable" as const, cable: c.id, known }];
                  const what = `${endName(design, c.from)} to ${endName(design, c.to)}`;
                  return (
                    <chakra.tr key={c.id} borderBottomWidth="1px" borderBottomStyle="solid" borderColor="line">
                      <Cell minW="12rem">{what}</Cell>
                      <Cell>
                        <Select
                          aria-label={`What it is: ${what}`}
                          minW="8rem"
                          value={c.medium}
                          onChange={(e) => tools.act(change({ medium: e.target.value as Schemas["Medium"] }))}
                        >
                          {keysOf(mediumWords).map((m) => (
                            <option key={m} value={m}>
                              {mediumWords[m]}
                            </option>
                          ))}
                        </Select>
                      </Cell>
                      <Cell>
                        <Select
                          aria-label={`Pairs: ${what}`}
                          minW="6rem"
                          value={c.pairs ?? ""}
                          onChange={(e) => tools.act(change({ pairs: e.target.value === "" ? null : Number(e.target.value) }))}
                        >
                          <option value="">not known</option>
                          <option value="2">2</option>
                          <option value="4">4</option>
                        </Select>
                      </Cell>
                      <Cell>
                        <Select
                          aria-label={`In the wall: ${what}`}
                          minW="7rem"
                          value={c.run ?? ""}
                          disabled={runs.length === 0}
                          onChange={(e) => tools.act(change({ run: e.target.value === "" ? null : e.target.value }))}
                        >
                          <option value="">none</option>
                          {runs.map((r) => (
                            <option key={r.id} value={r.id}>
                              {socketName(r.a)} to {socketName(r.b)}
                            </option>
                          ))}
                        </Select>
                      </Cell>
                      <Cell minW="8rem">
                        <DraftInput
                          label="measured, m"
                          aria-label={`Measured length: ${what}`}
                          inputMode="decimal"
                          hint={
                            check?.estimated && check.lengthMetres !== null
                              ? `${check.lowerBound ? "at least" : "about"} ${check.lengthMetres} m`
                              : undefined
                          }
                          value={c.lengthMetres?.toString() ?? ""}
                          save={async (draft) => tools.save(change({ lengthMetres: metres(draft) }))}
                        />
                      </Cell>
                      <Cell>
                        {check?.carriesMbps ? (
                          <Mono>{carried(check.carriesMbps, check.portsMbps)}</Mono>
                        ) : (
                          <chakra.span color="muted">not known</chakra.span>
                        )}
                      </Cell>
                      <Cell color="ochre">
                        {check?.findings.map((f) => (
                          <Box key={f}>{f}</Box>
                        ))}
                      </Cell>
                    </chakra.tr>
                  );
                })}
              </tbody>
            </chakra.table>
          </Box>
        )}
        <Box fontSize="sm" color="muted" mt="2">
          Data cable keeps away from mains, keeps its bend radius, and goes through fire stopping only where that is made good. Between
          buildings think of lightning and earth potential. Drilling, lofts and ladders: look for cables and pipes first, and do not work
          alone at height. Local code and the landlord decide; mains wiring belongs to licensed persons.
        </Box>
      </Card>
      <Box display="grid" gap="4" gridTemplateColumns={{ base: "minmax(0, 1fr)", lg: "1fr 1fr 1fr" }} alignItems="start">
        <Adding
          title="Sockets in the walls"
          empty="No socket is noted."
          items={sockets.map((s) => ({
            id: s.id,
            text: `${s.name}, ${socketWords[s.kind]}${s.place ? `, ${places.find((p) => p.id === s.place)?.name ?? ""}` : ""}`,
          }))}
          tools={tools}
        >
          <NewSocket state={state} tools={tools} />
        </Adding>
        <Adding
          title="Cables in the walls"
          empty="No cable in a wall is noted."
          items={runs.map((r) => ({
            id: r.id,
            text: `${socketName(r.a)} to ${socketName(r.b)}, ${mediumWords[r.medium]}${r.pairs ? `, ${r.pairs} pairs` : ""}${r.lengthMetres ? `, ${r.lengthMetres} m` : ""}`,
          }))}
          tools={tools}
        >
          <NewRun state={state} tools={tools} />
        </Adding>
        <Adding
          title="Buildings"
          empty="One house is taken; note a second building to tell them apart."
          items={(design.site.buildings ?? [])
            .slice(1)
            .map((b) => ({ id: b.id, text: `${b.name}, shares the mains supply: ${knownWords[b.sameSupply ?? "unknown"]}` }))}
          tools={tools}
        >
          <Box display="grid" gap="2" gridTemplateColumns="minmax(0, 1fr) minmax(0, 1fr)" mb="2">
            {(design.site.buildings ?? []).map((b) => (
              <DraftInput
                key={b.id}
                label={`Storey height, ${b.name}`}
                hint="in metres; 2.7 is taken"
                inputMode="decimal"
                value={b.storeyHeightMetres?.toString() ?? ""}
                save={async (draft) =>
                  tools.correct([{ kind: "setBuilding", building: b.id, known: { storeyHeightMetres: metres(draft) } }])
                }
              />
            ))}
          </Box>
          <NewBuilding tools={tools} />
        </Adding>
      </Box>
    </Box>
  );
}

function Adding({
  title,
  empty,
  items,
  tools,
  children,
}: {
  title: string;
  empty: string;
  items: { id: string; text: string }[];
  tools: JobTools;
  children: ReactNode;
}) {
  return (
    <Card as="section" aria-label={title}>
      <chakra.h2 fontSize="md">{title}</chakra.h2>
      {items.length === 0 && (
        <Box fontSize="sm" color="muted">
          {empty}
        </Box>
      )}
      <Box as="ul" fontSize="sm">
        {items.map((i) => (
          <Flex as="li" key={i.id} justify="space-between" align="center" gap="2">
            <span>{i.text}</span>
            <Button
              variant="quiet"
              px="2"
              aria-label={`Remove: ${i.text}`}
              onClick={() => tools.correctNow([{ kind: "remove", id: i.id }])}
            >
              Remove
            </Button>
          </Flex>
        ))}
      </Box>
      <Box mt="2">{children}</Box>
    </Card>
  );
}

const form = { display: "grid", gap: "2", gridTemplateColumns: "minmax(0, 1fr) minmax(0, 1fr)", alignItems: "end" } as const;

function NewSocket({ state, tools }: { state: JobState; tools: JobTools }) {
  const [name, setName] = useState("");
  const [kind, setKind] = useState<Schemas["SocketKind"]>("data");
  const [place, setPlace] = useState("");
  return (
    <chakra.form
      {...form}
      onSubmit={(e) => {
        e.preventDefault();
        tools.correctNow([{ kind: "setSocket", socket: "", known: { name, kind, place: place === "" ? null : place } }]);
        setName("");
      }}
    >
      <Labelled label="Name of the socket">
        {(ids) => <Input {...ids} value={name} maxLength={80} onChange={(e) => setName(e.target.value)} />}
      </Labelled>
      <WordSelect label="For" words={socketWords} value={kind} onChange={setKind} />
      <Labelled label="In">
        {(ids) => (
          <Select {...ids} value={place} onChange={(e) => setPlace(e.target.value)}>
            <option value="">not noted</option>
            {(state.design.site.places ?? []).map((p) => (
              <option key={p.id} value={p.id}>
                {p.name}
              </option>
            ))}
          </Select>
        )}
      </Labelled>
      <Button type="submit" disabled={name.trim() === ""}>
        Note the socket
      </Button>
    </chakra.form>
  );
}

function NewRun({ state, tools }: { state: JobState; tools: JobTools }) {
  const sockets = state.design.site.sockets ?? [];
  const taken = new Set((state.design.site.runs ?? []).flatMap((r) => [r.a, r.b]));
  const free = sockets.filter((s) => !taken.has(s.id));
  const [a, setA] = useState("");
  const [b, setB] = useState("");
  const [medium, setMedium] = useState<Schemas["Medium"]>("unknown");
  const [pairs, setPairs] = useState("");
  const ends = (label: string, value: string, set: (v: string) => void) => (
    <Labelled label={label}>
      {(ids) => (
        <Select {...ids} value={value} onChange={(e) => set(e.target.value)}>
          <option value="">choose</option>
          {free.map((s) => (
            <option key={s.id} value={s.id}>
              {s.name}
            </option>
          ))}
        </Select>
      )}
    </Labelled>
  );
  return (
    <chakra.form
      {...form}
      onSubmit={(e) => {
        e.preventDefault();
        tools.correctNow([{ kind: "setRun", run: "", known: { a, b, medium, pairs: pairs === "" ? null : Number(pairs) } }]);
        setA("");
        setB("");
      }}
    >
      {ends("From socket", a, setA)}
      {ends("To socket", b, setB)}
      <WordSelect label="What it is" words={mediumWords} value={medium} onChange={setMedium} />
      <Labelled label="Pairs connected">
        {(ids) => (
          <Select {...ids} value={pairs} onChange={(e) => setPairs(e.target.value)}>
            <option value="">not looked at</option>
            <option value="2">2</option>
            <option value="4">4</option>
          </Select>
        )}
      </Labelled>
      <Button type="submit" disabled={a === "" || b === ""}>
        Note the cable
      </Button>
    </chakra.form>
  );
}

function NewBuilding({ tools }: { tools: JobTools }) {
  const [name, setName] = useState("");
  const [supply, setSupply] = useState<Schemas["Known"]>("unknown");
  return (
    <chakra.form
      {...form}
      onSubmit={(e) => {
        e.preventDefault();
        tools.correctNow([{ kind: "setBuilding", building: "", known: { name, sameSupply: supply } }]);
        setName("");
      }}
    >
      <Labelled label="Name of the building">
        {(ids) => <Input {...ids} value={name} maxLength={80} onChange={(e) => setName(e.target.value)} />}
      </Labelled>
      <WordSelect label="Shares the mains supply" words={knownWords} value={supply} onChange={setSupply} />
      <Button type="submit" disabled={name.trim() === ""}>
        Note the building
      </Button>
    </chakra.form>
  );
}

/** What a cable carries, and beside it what its ports would where that is more. */
const carried = (mbps: number, ports: number | null) => (ports !== null && ports > mbps ? `${mbps} of ${ports} Mb/s` : `${mbps} Mb/s`);
