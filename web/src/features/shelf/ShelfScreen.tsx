import { Box, chakra, Flex } from "@chakra-ui/react";
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { api, ProblemError, unwrap, type FileError, type Schemas } from "../../api/client";
import { Button, Input, Select } from "../../ui/controls";
import { FilePick } from "../../ui/FilePick";
import { Card, Labelled, Trouble, Waiting } from "../../ui/pieces";
import { TopBar } from "../../ui/TopBar";
import { boxWords, keysOf } from "../../ui/words";
import { FileErrors } from "../../ui/FileErrors";
import { useShown } from "../shared/useShown";
import { ProfileFacts, profileRows } from "./ProfileFacts";
import { useSettings } from "./useSettings";
import { useShelf } from "./useShelf";
import { Editing } from "./Editing";

type Entry = Schemas["ShelfEntry"];

/** The file of profiles that holds one, written as it was typed: the server says what is wrong with it, and where. */
const fileOf = (profile: string) => `{"format":"altrin-profiles","formatVersion":1,"profiles":[${profile}]}`;

/** The gear shelf: what is known of kinds of boxes, to be read, compared, copied, edited, and taken from one laptop to another. */
export default function ShelfScreen() {
  const [{ kind, other }, show] = useShown(["kind", "other"]);
  const [search, setSearch] = useState("");
  const [editing, setEditing] = useState<"edit" | "copy" | null>(null);
  const [refused, setRefused] = useState<{ name: string; errors: FileError[] } | null>(null);
  const client = useQueryClient();
  const shelf = useShelf();
  useEffect(() => {
    document.title = "Gear shelf · Altrin";
  }, []);
  const took = (entries: Entry[]) => {
    client.setQueryData(["shelf"], entries);
    // What could be bought is chosen from the shelf.
    void client.invalidateQueries({ queryKey: ["options"] });
  };
  const put = useMutation({
    mutationFn: (text: string) => unwrap(api.POST("/api/shelf", { body: { text } })),
    onSuccess: took,
  });
  const drop = useMutation({
    mutationFn: (shelfId: string) => unwrap(api.DELETE("/api/shelf/{shelfId}", { params: { path: { shelfId } } })),
    onSuccess: took,
  });
  const entries = shelf.data ?? [];
  const wanted = search.trim().toLowerCase();
  const listed = entries.filter((e) => `${e.profile.name} ${e.profile.shelfId}`.toLowerCase().includes(wanted));
  const chosen = entries.find((e) => e.profile.shelfId === kind) ?? entries[0];
  const compared = entries.find((e) => e.profile.shelfId === other);
  const take = (file: File) => {
    setRefused(null);
    void file.text().then((text) =>
      put.mutate(text, {
        onError: (e) =>
          setRefused({
            name: file.name,
            errors: (e instanceof ProblemError ? e.problem.errors : undefined) ?? [
              { pointer: "", found: "a file that was not taken", allowed: e.message },
            ],
          }),
      }),
    );
  };
  return (
    <Box maxW="84rem" mx="auto" p={{ base: "3", md: "5" }}>
      <TopBar />
      <chakra.main>
        <chakra.h1 fontSize="xl">Gear shelf</chakra.h1>
        <Box color="muted" mb="3" maxW="52rem">
          What kinds of boxes can do, without makers and brands. A job keeps the kind that it was made with; a later edition is offered
          there.
        </Box>
        {shelf.isError ? (
          <Trouble what="The shelf cannot be read." why={shelf.error.message} again={() => void shelf.refetch()} />
        ) : !shelf.data ? (
          <Waiting what="Reading the shelf" />
        ) : (
          <Box display="grid" gap="4" gridTemplateColumns={{ base: "minmax(0, 1fr)", lg: "22rem minmax(0, 1fr)" }} alignItems="start">
            <Box>
              <Labelled label="Search by name">
                {(ids) => <Input {...ids} type="search" value={search} onChange={(e) => setSearch(e.target.value)} />}
              </Labelled>
              {listed.length === 0 && <Box mt="2">No kind on the shelf has that name.</Box>}
              {keysOf(boxWords).map((k) => {
                const these = listed.filter((e) => e.profile.kind === k);
                return these.length === 0 ? null : (
                  <Box key={k} mt="3">
                    <chakra.h2 fontSize="sm" color="muted">
                      {boxWords[k]}
                    </chakra.h2>
                    {these.map((e) => (
                      <Button
                        key={e.profile.shelfId}
                        variant={e === chosen ? "act" : "quiet"}
                        aria-pressed={e === chosen}
                        width="100%"
                        justifyContent="start"
                        fontWeight={e === chosen ? 600 : 400}
                        onClick={() => {
                          setEditing(null);
                          show({ kind: e.profile.shelfId });
                        }}
                      >
                        {e.profile.name}
                        {e.own && (
                          <chakra.span color="muted" fontWeight="400">
                            {" "}
                            · yours
                          </chakra.span>
                        )}
                      </Button>
                    ))}
                  </Box>
                );
              })}
              <Card mt="4">
                <Labelled label="Add profiles from a file">
                  {(ids) => <FilePick {...ids} accept=".json,application/json" take={take} />}
                </Labelled>
                {refused && <FileErrors name={refused.name} errors={refused.errors} />}
                <Box mt="2">
                  <a href="/api/shelf/profiles.json" download>
                    The whole shelf as a file
                  </a>
                </Box>
              </Card>
            </Box>
            {chosen && (
              <Card as="section" aria-label={chosen.profile.name}>
                <Flex justify="space-between" gap="3" wrap="wrap" align="baseline">
                  <chakra.h2 fontSize="lg">{chosen.profile.name}</chakra.h2>
                  <Box color="muted" fontSize="sm">
                    {chosen.profile.shelfId} · edition {chosen.edition}
                  </Box>
                </Flex>
                <Flex gap="1" wrap="wrap" my="2" align="end">
                  <Button variant={editing === "edit" ? "act" : "quiet"} onClick={() => setEditing(editing === "edit" ? null : "edit")}>
                    Edit
                  </Button>
                  <Button variant={editing === "copy" ? "act" : "quiet"} onClick={() => setEditing(editing === "copy" ? null : "copy")}>
                    Copy
                  </Button>
                  {chosen.own && (
                    <Button variant="quiet" disabled={drop.isPending} onClick={() => drop.mutate(chosen.profile.shelfId)}>
                      {chosen.shipped ? "Restore the profile that ships with Altrin" : "Remove it from the shelf"}
                    </Button>
                  )}
                  <chakra.span px="3" py="1">
                    <a href={`/api/shelf/profiles.json?only=${chosen.profile.shelfId}`} download>
                      As a file
                    </a>
                  </chakra.span>
                  <Box width="16rem">
                    <Labelled label="Compare with">
                      {(ids) => (
                        <Select
                          {...ids}
                          value={compared?.profile.shelfId ?? ""}
                          onChange={(e) => show({ other: e.target.value === "" ? null : e.target.value })}
                        >
                          <option value="">nothing</option>
                          {entries
                            .filter((e) => e !== chosen)
                            .map((e) => (
                              <option key={e.profile.shelfId} value={e.profile.shelfId}>
                                {e.profile.name}
                              </option>
                            ))}
                        </Select>
                      )}
                    </Labelled>
                  </Box>
                </Flex>
                {editing ? (
                  <Editing
                    key={`${chosen.profile.shelfId} ${editing}`}
                    profile={chosen.profile}
                    copy={editing === "copy"}
                    taken={entries.map((e) => e.profile.shelfId)}
                    put={(profile) => put.mutateAsync(fileOf(profile))}
                    done={(id) => {
                      setEditing(null);
                      show({ kind: id });
                    }}
                  />
                ) : compared ? (
                  <Compared a={chosen} b={compared} />
                ) : (
                  <ProfileFacts profile={chosen.profile} />
                )}
              </Card>
            )}
          </Box>
        )}
      </chakra.main>
    </Box>
  );
}

/** Two kinds side by side; rows in which they differ are marked by a word, not by colour alone. */
function Compared({ a, b }: { a: Entry; b: Entry }) {
  const settings = useSettings();
  const [left, right] = [new Map(profileRows(a.profile, settings)), new Map(profileRows(b.profile, settings))];
  const titles = [...new Set([...left.keys(), ...right.keys()])];
  return (
    <Box overflowX="auto">
      <chakra.table width="100%" fontSize="sm" aria-label={`${a.profile.name} beside ${b.profile.name}`}>
        <thead>
          <tr>
            {["", a.profile.name, b.profile.name].map((h, i) => (
              <chakra.th
                key={i}
                textAlign="start"
                py="1"
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
          {titles.map((title) => {
            const [l, r] = [left.get(title) ?? [], right.get(title) ?? []];
            const same = l.join("\n") === r.join("\n");
            return (
              <chakra.tr key={title} verticalAlign="top" bg={same ? undefined : "clay.1"}>
                <chakra.th textAlign="start" fontWeight={same ? 400 : 700} color={same ? "muted" : "ink"} py="1" pe="3" scope="row">
                  {title}
                  {!same && <Box fontWeight="400">differs</Box>}
                </chakra.th>
                {[l, r].map((said, i) => (
                  <chakra.td key={i} py="1" pe="3">
                    {said.length === 0 ? (
                      <chakra.span color="muted">not known or none</chakra.span>
                    ) : (
                      said.map((s) => <Box key={s}>{s}</Box>)
                    )}
                  </chakra.td>
                ))}
              </chakra.tr>
            );
          })}
        </tbody>
      </chakra.table>
    </Box>
  );
}
