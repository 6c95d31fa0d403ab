import { Box } from "@chakra-ui/react";
import type { Change, Schemas } from "../../api/client";
import { Button } from "../../ui/controls";
import { DraftInput } from "../../ui/DraftInput";
import { securityWords } from "../../ui/words";
import { WordSelect } from "../../ui/WordSelect";
import { SecretField } from "../shared/SecretField";
import type { JobTools } from "../shared/jobTools";

type Name = Schemas["FurtherName"];

interface Props {
  radio: Schemas["RadioSettingDocument"];
  /** The band, in words. */
  words: string;
  change: (setting: Schemas["PartialOfRadioSetting"]) => Change;
  tools: JobTools;
}

/** Names that a radio sends beside its first, into the same network: for old devices, or one kept from before. */
export function FurtherNames({ radio, words, change, tools }: Props) {
  const names = radio.furtherNames ?? [];
  const set = (furtherNames: Name[]) => [change({ furtherNames })];
  const altered = (at: number, part: Partial<Name>) => set(names.map((n, i) => (i === at ? { ...n, ...part } : n)));
  // The first name that is free: the radio sends each once.
  const free = () => {
    const taken = new Set([radio.name, ...names.map((n) => n.name)]);
    const stem = `${radio.name.slice(0, 24)}-old`;
    return [stem, ...Array.from({ length: names.length + 1 }, (_, i) => `${stem}${i + 2}`)].find((n) => !taken.has(n)) ?? stem;
  };
  return (
    <Box role="group" aria-label={`Further names, ${words}`} display="grid" gap="1.5">
      {names.map((name, i) => (
        <Box key={i} display="grid" gridTemplateColumns="1fr 1fr" gap="2" alignItems="end">
          <DraftInput
            label={`Further name ${i + 1}, ${words}`}
            value={name.name}
            save={(draft) => tools.save(altered(i, { name: draft }))}
            attempt={(draft) => tools.attempt(draft === null ? null : altered(i, { name: draft }))}
          />
          <WordSelect
            label={`Security of "${name.name}"`}
            words={securityWords}
            value={name.security}
            onChange={(security) => tools.act(altered(i, { security }))}
          />
          {name.security !== "open" && (
            <SecretField
              job={tools.id}
              label={`Password of "${name.name}"`}
              name={`${name.name} key`}
              reference={name.password ?? null}
              refer={(password) => tools.save(altered(i, { password }))}
            />
          )}
          <Button justifySelf="start" onClick={() => tools.act(set(names.filter((_, other) => other !== i)))}>
            {`Take "${name.name}" off`}
          </Button>
        </Box>
      ))}
      <Button
        justifySelf="start"
        onClick={() => tools.act(set([...names, { name: free(), security: radio.security, password: radio.password ?? null }]))}
      >
        {`Add a further name, ${words}`}
      </Button>
    </Box>
  );
}
