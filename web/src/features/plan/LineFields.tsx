import { Box } from "@chakra-ui/react";
import type { Change, Design, Schemas } from "../../api/client";
import { Select } from "../../ui/controls";
import { DraftInput } from "../../ui/DraftInput";
import { NumberInput } from "../../ui/NumberInput";
import { Labelled } from "../../ui/pieces";
import { type Box as Gear, type BoxSetting, nameOf, setUpOf } from "../shared/designReading";
import { Fold } from "../../ui/Fold";
import { Tick } from "../../ui/Tick";
import type { JobTools } from "../shared/jobTools";

type Passing = Schemas["Passing"];

/** To whom a gateway passes its public address: an own router behind it, by port, MAC address or mapping, as its profile can. */
export function PassOn({ box, setting, design, tools }: { box: Gear; setting: BoxSetting; design: Design; tools: JobTools }) {
  const can = box.profile.passes ?? [];
  if (can.length === 0) {
    return null;
  }
  const routers = design.site.boxes.filter((b) => b.id !== box.id && b.wanMac && setUpOf(design).boxes.some((s) => s.box === b.id));
  const ways: { words: string; passing: Passing | null }[] = [
    { words: "keeps it", passing: null },
    ...(can.includes("port")
      ? box.profile.ports
          .filter((p) => p.role === "lan")
          .map((p) => ({ words: `passes it to port ${p.label}`, passing: { kind: "port" as const, port: p.id, to: null } }))
      : []),
    ...(["macAddress", "mapping"] as const)
      .filter((k) => can.includes(k))
      .flatMap((kind) =>
        routers.map((r) => ({
          words: `${kind === "macAddress" ? "passes it" : "maps it"} to ${r.name}`,
          passing: { kind, port: null, to: r.wanMac ?? null },
        })),
      ),
  ];
  const now = setting.passing;
  const chosen = now
    ? ways.findIndex(
        ({ passing }) =>
          passing?.kind === now.kind && (passing.port ?? null) === (now.port ?? null) && (passing.to ?? null) === (now.to ?? null),
      )
    : 0;
  return (
    <Labelled label="Public address">
      {(ids) => (
        <Select
          {...ids}
          value={chosen.toString()}
          onChange={(e) => tools.act([{ kind: "setPassing", box: box.id, passing: ways[Number(e.target.value)]?.passing ?? null }])}
        >
          {chosen < 0 && <option value="-1">{`passed to ${now?.to ?? nameOf(design, box.id)}`}</option>}
          {ways.map(({ words }, i) => (
            <option key={words} value={i}>
              {words}
            </option>
          ))}
        </Select>
      )}
    </Labelled>
  );
}

/** What is typed into a router for its line: login, tag, another MAC address. */
export function LineFields({ box, setting, tools }: { box: string; setting: BoxSetting; tools: JobTools }) {
  const line = { login: setting.line?.login ?? false, tag: setting.line?.tag ?? null, mac: setting.line?.mac ?? null };
  const set = (parts: Schemas["PartialOfLineSetting"]): Change => ({ kind: "setLine", box, line: parts });
  return (
    <Fold title="What it tells the internet line">
      <Box display="grid" gap="1.5" mt="1.5">
        <Tick label="The provider's login is typed in" on={line.login} set={(on) => tools.act([set({ login: on })])} />
        <Box display="grid" gridTemplateColumns="1fr 1fr" gap="2">
          <NumberInput
            label="VLAN tag"
            placeholder="none"
            expected="A number from 1 to 4094."
            value={line.tag}
            save={(tag) => tools.save([set({ tag })])}
          />
          <DraftInput
            label="MAC address that it shows"
            placeholder="its own"
            fontFamily="mono"
            value={line.mac ?? ""}
            save={(draft) => tools.save([set({ mac: draft === "" ? null : draft })])}
          />
        </Box>
      </Box>
    </Fold>
  );
}
