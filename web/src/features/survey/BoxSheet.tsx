import { Box, chakra, Flex } from "@chakra-ui/react";
import type { ReactNode } from "react";
import { Link } from "react-router";
import type { Correction, JobState, Schemas } from "../../api/client";
import { Button, Select } from "../../ui/controls";
import { DraftInput } from "../../ui/DraftInput";
import { Fold } from "../../ui/Fold";
import { Labelled } from "../../ui/pieces";
import { Tick } from "../../ui/Tick";
import { keysOf, knownWords, lineServiceWords, modeWords } from "../../ui/words";
import { WordSelect } from "../../ui/WordSelect";
import { ProfileFacts } from "../shelf/ProfileFacts";
import { useShelf } from "../shelf/useShelf";
import { setUpOf, type Box as Gear } from "../shared/designReading";
import type { JobTools } from "../shared/jobTools";
import { known, placeOf } from "./corrections";
import { Section } from "./Section";
import { SettingsToday } from "./SettingsToday";
import { StoredHere } from "./StoredHere";
import { Worth } from "./Worth";
import { PlaceSelect } from "../shared/PlaceSelect";
import { SecretField } from "../shared/SecretField";

/** What the label says, in the order in which labels say it, and what is known of the box beyond that. */
export function BoxSheet({
  box,
  state,
  view,
  plan,
  tools,
}: {
  box: Gear;
  state: JobState;
  view: Schemas["SurveyView"] | undefined;
  plan: Schemas["PlanDocument"] | undefined;
  tools: JobTools;
}) {
  const { design } = state;
  const shelf = useShelf();
  const setting = setUpOf(design).boxes.find((b) => b.box === box.id);
  const label = box.label ?? {};
  const [address = "", prefix = "24"] = (label.address ?? "").split("/");
  const spare = plan?.spares.find((s) => s.box === box.id);
  const found = view?.settings.find((s) => s.box === box.id);
  const newer = view?.newer.find((n) => n.box === box.id);
  const atLine = design.site.service.handOff === box.id;
  const noted = (known: Schemas["PartialOfBoxFacts"]): Correction => ({ kind: "setBox", box: box.id, known });
  const said = (label: Schemas["PartialOfLabelFacts"]): Correction => ({ kind: "setLabel", box: box.id, label });
  const correct = (known: Schemas["PartialOfBoxFacts"]) => tools.correct([noted(known)]);
  const read = (label: Schemas["PartialOfLabelFacts"]) => tools.correct([said(label)]);
  const text = (key: "login" | "wifiName" | "firmware", words: string, hint?: string) => (
    <DraftInput label={words} hint={hint} value={label[key] ?? ""} save={(draft) => read({ [key]: draft === "" ? null : draft })} />
  );
  return (
    <Box display="grid" gap="3">
      <chakra.h2 fontSize="lg">{box.name}</chakra.h2>
      <Box fontSize="sm" color="muted">
        {box.profile.name}
        {atLine && " · the box at the internet line"}
      </Box>
      {newer && (
        <Flex bg="clay.1" rounded="md" px="2" py="1" gap="2" align="center" wrap="wrap" fontSize="sm">
          <span>The shelf has a later edition of this kind.</span>
          <Button onClick={() => tools.correctNow([{ kind: "takeProfile", box: box.id, shelfId: newer.shelfId }])}>Use it</Button>
        </Flex>
      )}
      {found && <SettingsToday found={found} state={state} tools={tools} />}
      {!setting && <StoredHere box={box} state={state} tools={tools} />}
      <Section title="What does the label say">
        <DraftInput
          label="Management address"
          hint={box.profile.factoryAddress && !label.address ? `its kind: ${box.profile.factoryAddress}` : undefined}
          fontFamily="mono"
          value={address}
          save={(draft) => read({ address: draft === "" ? null : draft.includes("/") ? draft : `${draft}/${prefix}` })}
        />
        <DraftInput
          label="Subnet mask"
          hint={address === "" ? "taken to be /24 until it is read" : "as printed, such as 255.255.255.0"}
          fontFamily="mono"
          disabled={address === ""}
          value={address === "" ? "" : `/${prefix}`}
          save={(draft) => read({ address: `${address}/${draft.replace(/^\//, "")}` })}
        />
        {text("login", "Name to log in with")}
        <SecretField
          job={state.job.id}
          label="Password to log in with"
          make={false}
          name={`${box.id} label password`}
          reference={label.password ?? null}
          refer={(reference) => read({ password: reference })}
        />
        {text("wifiName", "Wi-Fi name")}
        <SecretField
          job={state.job.id}
          label="Wi-Fi password"
          make={false}
          name={`${box.id} label key`}
          reference={label.wifiPassword ?? null}
          refer={(reference) => read({ wifiPassword: reference })}
        />
        <DraftInput
          label="MAC address"
          fontFamily="mono"
          value={box.mac ?? ""}
          save={(draft) => correct({ mac: draft === "" ? null : draft })}
        />
        <DraftInput
          label="Of its WAN side"
          fontFamily="mono"
          value={box.wanMac ?? ""}
          save={(draft) => correct({ wanMac: draft === "" ? null : draft })}
        />
        <DraftInput
          label="Of its radio"
          fontFamily="mono"
          value={label.radioMac ?? ""}
          save={(draft) => read({ radioMac: draft === "" ? null : draft })}
        />
        {text("firmware", "Firmware version")}
        <WordSelect
          label="Firmware still supported"
          words={knownWords}
          value={known(label.supported)}
          onChange={(supported) => tools.correctNow([said({ supported })])}
        />
        <DraftInput
          label="Supported until"
          hint="a day such as 2027-06-30"
          value={label.supportedUntil ?? ""}
          save={(draft) => read({ supportedUntil: draft === "" ? null : draft })}
        />
      </Section>
      <Section title="In this home">
        <DraftInput label="Name" value={box.name} save={(draft) => correct({ name: draft })} />
        <Labelled label="Kind" hint={shelf.isError ? "The shelf cannot be read." : undefined}>
          {(ids) => (
            <Select
              {...ids}
              value={box.profile.shelfId}
              onChange={(e) => tools.correctNow([{ kind: "takeProfile", box: box.id, shelfId: e.target.value }])}
            >
              {!shelf.data?.some((s) => s.profile.shelfId === box.profile.shelfId) && (
                <option value={box.profile.shelfId}>{box.profile.name}</option>
              )}
              {shelf.data?.map((s) => (
                <option key={s.profile.shelfId} value={s.profile.shelfId}>
                  {s.profile.name}
                </option>
              ))}
            </Select>
          )}
        </Labelled>
        {setting ? (
          <>
            <Fact label="Today">
              {modeWords[setting.mode]} ·{" "}
              <Link to={`../plan?setUp=${state.proof.setUp}&box=${box.id}`} relative="path">
                how it is set
              </Link>
            </Fact>
            <PlaceSelect
              label="Stands in"
              design={design}
              value={placeOf(design, box.id)}
              onChange={(place) => tools.act([{ kind: "placeBox", box: box.id, place }])}
            />
            <SecretField
              job={state.job.id}
              label="Password of its page today"
              name={`${box.id} page password`}
              reference={setting.password ?? null}
              refer={(reference) => tools.save([{ kind: "setPagePassword", box: box.id, password: reference }])}
            />
          </>
        ) : (
          <>
            <Fact label="Today">
              {box.toBuy ? "to buy, until something of its label is noted" : "not in use"}{" "}
              {box.toBuy ? (
                <Button px="2" onClick={() => tools.correctNow([noted({ toBuy: false })])}>
                  It is there
                </Button>
              ) : (
                <Button
                  px="2"
                  onClick={() =>
                    tools.correctNow([{ kind: "useBox", box: box.id, mode: null, connection: { by: null, to: null, port: null } }])
                  }
                >
                  It is in use
                </Button>
              )}
            </Fact>
            <PlaceSelect
              label="Lies in"
              design={design}
              value={box.place ?? null}
              onChange={(place) => tools.correctNow([noted({ place })])}
            />
          </>
        )}
        <chakra.fieldset border="0" gridColumn="1 / -1">
          <chakra.legend fontSize="xs" color="muted">
            Beside the internet, in it live
          </chakra.legend>
          <Flex gap="4" wrap="wrap">
            {keysOf(lineServiceWords).map((service) => (
              <Tick
                key={service}
                label={lineServiceWords[service]}
                on={(box.holds ?? []).includes(service)}
                set={(on) =>
                  tools.correctNow([
                    noted({ holds: on ? [...(box.holds ?? []), service] : (box.holds ?? []).filter((h) => h !== service) }),
                  ])
                }
              />
            ))}
          </Flex>
        </chakra.fieldset>
      </Section>
      {!atLine && (
        <Box fontSize="sm" as="section" aria-label="What it is good for">
          <Worth box={box.id} of={spare} view={view} />
        </Box>
      )}
      <Fold title="What its kind does">
        <ProfileFacts profile={box.profile} />
      </Fold>
      <Taking what={box.name} id={box.id} tools={tools} />
    </Box>
  );
}

function Fact({ label, children }: { label: string; children: ReactNode }) {
  return (
    <Box>
      <Box fontSize="xs" color="muted" mb="0.5">
        {label}
      </Box>
      <Box minH="8">{children}</Box>
    </Box>
  );
}

/** Takes something out of the survey; undo brings it back. */
export function Taking({ what, id, tools }: { what: string; id: string; tools: JobTools }) {
  return (
    <Button variant="quiet" justifySelf="start" onClick={() => tools.correctNow([{ kind: "remove", id }])}>
      Take {what} out of the survey
    </Button>
  );
}
