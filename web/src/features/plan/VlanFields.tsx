import { Box } from "@chakra-ui/react";
import { Fragment } from "react";
import type { Change } from "../../api/client";
import { DraftInput } from "../../ui/DraftInput";
import { NumberInput } from "../../ui/NumberInput";
import type { Box as Gear, BoxSetting } from "../shared/designReading";
import { Fold } from "../../ui/Fold";
import type { JobTools } from "../shared/jobTools";

type Port = Omit<Extract<Change, { port: string }>, "kind" | "box">;

const numbers = (draft: string) => draft.split(/[\s,]+/).filter(Boolean);
const expected = "Numbers from 1 to 4094, such as 20.";

/** What each port of a managed switch does with VLANs: one without a tag, any with their tags. Seldom touched, so folded. */
export function VlanFields({ box, setting, tools }: { box: Gear; setting: BoxSetting; tools: JobTools }) {
  const listed = setting.vlans ?? [];
  const all: Port[] = box.profile.ports.map((p) => {
    const found = listed.find((v) => v.port === p.id);
    return { port: p.id, untagged: found?.untagged ?? 1, tagged: found?.tagged ?? [] };
  });
  const save = (port: string, parts: Partial<Port>) =>
    tools.save(all.filter((v) => v.port === port).map((v) => ({ kind: "setPortVlans", box: box.id, ...v, ...parts })));
  return (
    <Fold title={listed.length === 0 ? "VLANs: passes every one on" : "VLANs, port by port"}>
      <Box display="grid" gridTemplateColumns="1fr 1fr" gap="2" mt="1.5">
        {box.profile.ports.map((p) => {
          const now = all.find((v) => v.port === p.id);
          return (
            <Fragment key={p.id}>
              <NumberInput
                label={`Port ${p.label}, untagged`}
                expected={expected}
                value={now?.untagged ?? 1}
                save={(untagged) => save(p.id, { untagged: untagged ?? 1 })}
              />
              <DraftInput
                label={`Port ${p.label}, tagged`}
                placeholder="none"
                value={(now?.tagged ?? []).join(", ")}
                save={(draft) =>
                  numbers(draft).every((n) => /^\d+$/.test(n))
                    ? save(p.id, { tagged: numbers(draft).map(Number) })
                    : Promise.reject(new Error(expected))
                }
              />
            </Fragment>
          );
        })}
      </Box>
    </Fold>
  );
}
