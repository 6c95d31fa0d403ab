import { Box, chakra, Flex } from "@chakra-ui/react";
import type { Schemas } from "../../api/client";
import { Button, Input } from "../../ui/controls";
import { Fold } from "../../ui/Fold";
import { Labelled } from "../../ui/pieces";
import { Tick } from "../../ui/Tick";
import { keysOf, modeWords, pageSideWords } from "../../ui/words";
import { WordSelect } from "../../ui/WordSelect";
import { inWords, type SettingView } from "./useSettings";

type Traits = Schemas["Traits"];
type Page = Schemas["SettingsPage"];
type Setting = Schemas["Setting"];

const three = { unknown: "not known", yes: "yes", no: "no" } as const;

interface Props {
  traits: Traits;
  modes: readonly Schemas["ModeKind"][];
  settings: readonly SettingView[];
  set: (parts: Partial<Traits>) => void;
}

/** The pages of a kind: what is saved together and what that does; from where they open; what a mode clears. */
export function PageFields({ traits, modes, settings, set }: Props) {
  const pages = traits.pages ?? [];
  const here = settings.filter((s) => s.modes.some((m) => modes.includes(m)));
  const change = (at: number, parts: Partial<Page>) => set({ pages: pages.map((p, i) => (i === at ? { ...p, ...parts } : p)) });
  const effect = (mode: Schemas["ModeKind"]): Schemas["ModeEffect"] =>
    traits.effects?.find((e) => e.mode === mode) ?? { mode, address: "unknown" };
  const clear = (mode: Schemas["ModeKind"], clears: Setting[] | null) =>
    set({ effects: [...(traits.effects ?? []).filter((e) => e.mode !== mode), { ...effect(mode), clears }] });
  return (
    <Box display="grid" gap="3">
      {pages.map((page, at) => (
        <chakra.fieldset
          key={at}
          borderWidth="1px"
          borderStyle="solid"
          borderColor="line"
          rounded="md"
          p="2"
          display="grid"
          gap="2"
          aria-label={`Page ${page.area}`}
        >
          <Box display="grid" gap="2" gridTemplateColumns={{ base: "minmax(0, 1fr)", sm: "2fr 1fr 1fr 1fr" }}>
            <Labelled label="Page">
              {(ids) => <Input {...ids} value={page.area} maxLength={40} onChange={(e) => change(at, { area: e.target.value })} />}
            </Labelled>
            <WordSelect
              label="Save restarts it"
              words={three}
              value={page.restarts ?? "unknown"}
              onChange={(restarts) => change(at, { restarts })}
            />
            <WordSelect
              label="Save drops Wi-Fi"
              words={three}
              value={page.dropsWifi ?? "unknown"}
              onChange={(dropsWifi) => change(at, { dropsWifi })}
            />
            <Labelled label="Saves in, seconds">
              {(ids) => (
                <Input
                  {...ids}
                  type="number"
                  min="0"
                  max="3600"
                  value={page.saveSeconds ?? ""}
                  onChange={(e) => change(at, { saveSeconds: e.target.value.trim() === "" ? null : Number(e.target.value) })}
                />
              )}
            </Labelled>
          </Box>
          <Fold title={`Sets ${inWords(settings, page.sets) || "nothing yet"}`}>
            <Ticks settings={here} on={page.sets} set={(sets) => change(at, { sets })} />
            {modes.length > 1 && (
              <Flex gap="4" wrap="wrap" mt="2">
                <span>In the modes:</span>
                {modes.map((m) => (
                  <Tick
                    key={m}
                    label={modeWords[m]}
                    on={page.modes?.includes(m) ?? true}
                    set={(on) => {
                      const chosen = modes.filter((x) => (x === m ? on : (page.modes?.includes(x) ?? true)));
                      change(at, { modes: chosen.length === modes.length ? null : chosen });
                    }}
                  />
                ))}
              </Flex>
            )}
            <Button variant="quiet" mt="1" onClick={() => set({ pages: pages.filter((_, i) => i !== at) })}>
              Remove this page
            </Button>
          </Fold>
        </chakra.fieldset>
      ))}
      <Flex gap="3" wrap="wrap" align="center">
        <Button onClick={() => set({ pages: [...pages, { area: "", sets: [] }] })}>Add a page</Button>
        {traits.pages === null || traits.pages === undefined ? (
          <Box fontSize="sm" color="muted">
            Nothing is noted of its pages: one setting a save is assumed, each with a restart.
          </Box>
        ) : (
          pages.length === 0 && (
            <Box fontSize="sm" color="muted">
              It has no pages.
            </Box>
          )
        )}
      </Flex>
      <Flex gap="4" wrap="wrap" role="group" aria-label="From where its pages open">
        <Box fontSize="sm" color="muted" alignSelf="center">
          Its pages open from
        </Box>
        {keysOf(pageSideWords).map((side) => (
          <Tick
            key={side}
            label={pageSideWords[side]}
            on={traits.pageSides?.includes(side) ?? false}
            set={(on) =>
              set({ pageSides: keysOf(pageSideWords).filter((s) => (s === side ? on : (traits.pageSides?.includes(s) ?? false))) })
            }
          />
        ))}
      </Flex>
      {modes.length > 1 &&
        modes.map((mode) => {
          const { clears } = effect(mode);
          const known = clears !== null && clears !== undefined;
          return (
            <Box key={mode} display="grid" gap="1" gridTemplateColumns={{ base: "minmax(0, 1fr)", sm: "14rem minmax(0, 1fr)" }}>
              <WordSelect
                label={`Setting it to ${modeWords[mode].toLowerCase()} clears`}
                words={{ unknown: "not known", nothing: "nothing", these: "these settings" }}
                value={!known ? "unknown" : clears.length === 0 ? "nothing" : "these"}
                onChange={(k) => clear(mode, k === "unknown" ? null : k === "nothing" ? [] : ["wifiName", "wifiPassword"])}
              />
              {known && clears.length > 0 && (
                <Fold title={inWords(settings, clears)} alignSelf="end">
                  <Ticks
                    settings={settings.filter((s) => s.modes.includes(mode) && s.setting !== "mode")}
                    on={clears}
                    set={(these) => clear(mode, these)}
                  />
                </Fold>
              )}
            </Box>
          );
        })}
    </Box>
  );
}

function Ticks({ settings, on, set }: { settings: readonly SettingView[]; on: readonly Setting[]; set: (on: Setting[]) => void }) {
  return (
    <Box css={{ columns: "13rem", "& > label": { breakInside: "avoid" } }} mt="1">
      {settings.map((s) => (
        <Tick
          key={s.setting}
          label={s.words}
          on={on.includes(s.setting)}
          set={(yes) => set(settings.map((x) => x.setting).filter((x) => (x === s.setting ? yes : on.includes(x))))}
        />
      ))}
    </Box>
  );
}
