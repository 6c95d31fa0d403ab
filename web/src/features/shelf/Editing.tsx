import { Box, chakra, Flex } from "@chakra-ui/react";
import { Fragment, useState } from "react";
import { ProblemError, type FileError, type Schemas } from "../../api/client";
import { Button, Input, TextArea } from "../../ui/controls";
import { Fold } from "../../ui/Fold";
import { Labelled } from "../../ui/pieces";
import { Tick } from "../../ui/Tick";
import { bandWords, keysOf, loginWords, modeWords, resetWords } from "../../ui/words";
import { WordSelect } from "../../ui/WordSelect";
import { FileErrors } from "../../ui/FileErrors";
import { PageFields } from "./PageFields";
import { useSettings } from "./useSettings";

type Profile = Schemas["ProfileDocument"];
type Habit = {
  [K in keyof Schemas["HabitsDocument"]]-?: Schemas["HabitsDocument"][K] extends boolean | null | undefined ? K : never;
}[keyof Schemas["HabitsDocument"]];

const habits: [Habit, string][] = [
  ["checksOffer", "Its DHCP server tries an address before it offers it"],
  ["checksLease", "It tries a leased address before using it"],
  ["servesWhenAlone", "Its DHCP server switches itself on in access-point mode"],
  ["guestsApart", "It isolates guests in access-point mode"],
  ["leasesThrough", "Leases get through its radio link"],
  ["loopsBack", "It has hairpin NAT"],
];

const three = { unknown: "not known", yes: "yes", no: "no" } as const;

/** Edits a kind, or makes another one of it. What the fields do not show is edited as the text of its file. */
export function Editing({
  profile,
  copy,
  taken,
  put,
  done,
}: {
  profile: Profile;
  copy: boolean;
  taken: string[];
  put: (profile: string) => Promise<Schemas["ShelfEntry"][]>;
  done: (shelfId: string) => void;
}) {
  const free = () => {
    for (let n = 2; ; n++) {
      const id = `${profile.shelfId}-${n}`;
      if (!taken.includes(id)) {
        return id;
      }
    }
  };
  const [draft, setDraft] = useState<Profile>(() =>
    copy ? { ...profile, shelfId: free(), name: `${profile.name}, another`, edition: null } : profile,
  );
  const [text, setText] = useState<string | null>(null);
  const [errors, setErrors] = useState<FileError[] | null>(null);
  const [busy, setBusy] = useState(false);
  const settings = useSettings();
  const set = (parts: Partial<Profile>) => {
    setText(null);
    setDraft({ ...draft, ...parts });
  };
  const traits = draft.traits ?? {};
  const setTraits = (parts: Partial<Schemas["Traits"]>) => set({ traits: { ...traits, ...parts } });
  const number = (value: string) => (value.trim() === "" ? null : Number(value));
  const whole = (label: string, value: number | null | undefined, put: (value: number | null) => void) => (
    <Labelled label={label}>
      {(ids) => <Input {...ids} type="number" min="0" step="1" value={value ?? ""} onChange={(e) => put(number(e.target.value))} />}
    </Labelled>
  );
  const seconds = (key: "bootSeconds" | "saveSeconds" | "rebootSeconds", label: string) =>
    whole(label, traits[key], (value) => setTraits({ [key]: value }));
  const save = async () => {
    setErrors(null);
    setBusy(true);
    try {
      const entries = await put(text ?? JSON.stringify(draft));
      // What was typed as text may have another id; where it is not on the shelf, the entry that was edited is shown.
      const id = text === null ? draft.shelfId : (/"shelfId"\s*:\s*"([^"]*)"/.exec(text)?.[1] ?? draft.shelfId);
      done(entries.some((e) => e.profile.shelfId === id) ? id : profile.shelfId);
    } catch (e) {
      setErrors(
        e instanceof ProblemError && e.problem.errors
          ? e.problem.errors
          : [{ pointer: "", found: "text that cannot be taken", allowed: (e as Error).message }],
      );
    } finally {
      setBusy(false);
    }
  };
  return (
    <chakra.form
      display="grid"
      gap="3"
      onSubmit={(e) => {
        e.preventDefault();
        void save();
      }}
    >
      <Box display="grid" gap="2" gridTemplateColumns={{ base: "minmax(0, 1fr)", sm: "1fr 1fr 1fr" }}>
        <Labelled label="Name">
          {(ids) => <Input {...ids} value={draft.name} maxLength={80} onChange={(e) => set({ name: e.target.value })} />}
        </Labelled>
        {copy && (
          <Labelled label="Id on the shelf">
            {(ids) => (
              <Input {...ids} fontFamily="mono" value={draft.shelfId} maxLength={60} onChange={(e) => set({ shelfId: e.target.value })} />
            )}
          </Labelled>
        )}
        <Labelled label="Page after a reset">
          {(ids) => (
            <Input
              {...ids}
              fontFamily="mono"
              value={draft.factoryAddress ?? ""}
              placeholder="192.168.1.1/24"
              onChange={(e) => set({ factoryAddress: e.target.value === "" ? null : e.target.value })}
            />
          )}
        </Labelled>
        <Labelled label="DHCP pool after a reset">
          {(ids) => (
            <Input
              {...ids}
              fontFamily="mono"
              value={draft.factoryPool ?? ""}
              placeholder="192.168.1.100-192.168.1.199"
              onChange={(e) => set({ factoryPool: e.target.value === "" ? null : e.target.value })}
            />
          )}
        </Labelled>
        <Labelled label="Factory Wi-Fi name">
          {(ids) => (
            <Input
              {...ids}
              value={traits.namePattern ?? ""}
              placeholder="name-{last4}"
              onChange={(e) => setTraits({ namePattern: e.target.value === "" ? null : e.target.value })}
            />
          )}
        </Labelled>
        <WordSelect
          label="Login after a reset"
          words={loginWords}
          value={traits.login ?? "unknown"}
          onChange={(login) => setTraits({ login })}
        />
        <WordSelect
          label="Reset by"
          words={resetWords}
          value={traits.reset?.by ?? "pinhole"}
          onChange={(by) => setTraits({ reset: { ...traits.reset, by } })}
        />
        {whole("Held, in seconds", traits.reset?.holdSeconds, (holdSeconds) =>
          setTraits({ reset: { ...traits.reset, by: traits.reset?.by ?? "pinhole", holdSeconds } }),
        )}
        {seconds("bootSeconds", "Starts in, seconds")}
        {seconds("saveSeconds", "Saves in, seconds")}
        {seconds("rebootSeconds", "Restarts in, seconds")}
        {whole("Routes at most, Mb/s", draft.routesMbps, (routesMbps) => set({ routesMbps }))}
        {draft.radios.map((r) => (
          <Fragment key={r.id}>
            {whole(`Names at ${bandWords[r.band]} at most`, r.mostNames, (mostNames) =>
              set({ radios: draft.radios.map((other) => (other.id === r.id ? { ...other, mostNames } : other)) }),
            )}
          </Fragment>
        ))}
      </Box>
      <chakra.fieldset border="0">
        <chakra.legend fontSize="xs" color="muted">
          Modes of its page
        </chakra.legend>
        <Flex gap="4" wrap="wrap">
          {keysOf(modeWords).map((m) => (
            <Tick
              key={m}
              label={modeWords[m]}
              on={draft.modes.includes(m)}
              set={(on) => set({ modes: on ? [...draft.modes, m] : draft.modes.filter((x) => x !== m) })}
            />
          ))}
        </Flex>
      </chakra.fieldset>
      <Box display="grid" gap="2" gridTemplateColumns={{ base: "minmax(0, 1fr)", sm: "1fr 1fr" }}>
        {habits.map(([key, label]) => {
          const value = draft.habits?.[key];
          return (
            <WordSelect
              key={key}
              label={label}
              words={three}
              value={value === true ? "yes" : value === false ? "no" : "unknown"}
              onChange={(k) => {
                const rest = Object.fromEntries(Object.entries(draft.habits ?? {}).filter(([name]) => name !== key));
                set({ habits: k === "unknown" ? rest : { ...rest, [key]: k === "yes" } });
              }}
            />
          );
        })}
      </Box>
      <Fold title={`Its pages: ${traits.pages ? traits.pages.map((p) => p.area).join(", ") || "none" : "not noted"}`}>
        <PageFields traits={traits} modes={draft.modes} settings={settings} set={setTraits} />
      </Fold>
      <Fold title="Everything else: ports, radios, lights, power, application, as the text of its file">
        <TextArea
          aria-label="The profile as text"
          minH="18rem"
          fontFamily="mono"
          fontSize="sm"
          spellCheck={false}
          value={text ?? JSON.stringify(draft, null, 2)}
          onChange={(e) => setText(e.target.value)}
        />
      </Fold>
      {errors && <FileErrors name={draft.name} errors={errors} />}
      <Flex gap="2">
        <Button type="submit" variant="main" disabled={busy}>
          {copy ? "Put the copy on the shelf" : "Keep this edition"}
        </Button>
        <Button variant="quiet" onClick={() => done(profile.shelfId)}>
          Cancel
        </Button>
      </Flex>
    </chakra.form>
  );
}
