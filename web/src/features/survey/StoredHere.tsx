import type { Correction, JobState, Schemas } from "../../api/client";
import { DraftInput } from "../../ui/DraftInput";
import { modeWords, knownWords, storedWords } from "../../ui/words";
import { WordSelect } from "../../ui/WordSelect";
import type { Box } from "../shared/designReading";
import { SecretField } from "../shared/SecretField";
import type { JobTools } from "../shared/jobTools";
import { known } from "./corrections";
import { Section } from "./Section";

type Mode = Schemas["ModeKind"];

/** What a box that is not in use wakes with as soon as it has power. */
export function StoredHere({ box, state, tools }: { box: Box; state: JobState; tools: JobTools }) {
  const stored = box.stored ?? { state: "unknown" as const };
  const note = (stored: Schemas["PartialOfStoredSettings"]): Correction => ({ kind: "setStored", box: box.id, stored });
  const modes = Object.fromEntries([["unknown", "not known"], ...box.profile.modes.map((m) => [m, modeWords[m]])]) as Record<
    Mode | "unknown",
    string
  >;
  return (
    <Section title="What it holds, and wakes with">
      <WordSelect
        label="It was left with"
        words={storedWords}
        value={stored.state}
        onChange={(state) => tools.correctNow([note({ state })])}
      />
      {stored.state === "lastHome" && (
        <>
          <WordSelect
            label="Set to"
            words={modes}
            value={stored.mode ?? "unknown"}
            onChange={(mode) => tools.correctNow([note({ mode: mode === "unknown" ? null : mode })])}
          />
          <DraftInput
            label="Its address there, with its mask"
            fontFamily="mono"
            value={stored.address ?? ""}
            save={(draft) => tools.correct([note({ address: draft === "" ? null : draft })])}
          />
          <WordSelect
            label="DHCP server on"
            words={knownWords}
            value={known(stored.dhcpServer)}
            onChange={(dhcpServer) => tools.correctNow([note({ dhcpServer })])}
          />
          {(box.profile.radios ?? []).length > 0 && (
            <>
              <DraftInput
                label="Its Wi-Fi name there"
                value={stored.wifiName ?? ""}
                save={(draft) => tools.correct([note({ wifiName: draft === "" ? null : draft })])}
              />
              <SecretField
                job={state.job.id}
                label="Its Wi-Fi password there"
                make={false}
                name={`${box.id} last Wi-Fi password`}
                reference={stored.wifiPassword ?? null}
                refer={(wifiPassword) => tools.correct([note({ wifiPassword })])}
              />
            </>
          )}
        </>
      )}
    </Section>
  );
}
