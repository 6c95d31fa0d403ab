import { Box, chakra, Flex } from "@chakra-ui/react";
import { X } from "lucide-react";
import type { ReactNode } from "react";
import { Link } from "react-router";
import type { Design, JobState, Schemas } from "../../api/client";
import { Button, Mono } from "../../ui/controls";
import { deviceIcons } from "../../ui/icons";
import { modeWords, placeWords, wallWords, worthWords } from "../../ui/words";
import { cableAt, nameOf, otherEnd, setUpOf } from "../shared/designReading";
import type { JobTools } from "../shared/jobTools";
import { placeOf } from "./corrections";
import { QuickField, quickId } from "./QuickField";

type List = Schemas["QuickList"];
const order: List[] = ["service", "places", "gear", "devices", "needs"];

interface Props {
  state: JobState;
  view: Schemas["SurveyView"] | undefined;
  plan: Schemas["PlanDocument"] | undefined;
  tools: JobTools;
  chosen: string | null;
  choose: (id: string | null) => void;
}

const Row = chakra("button", {
  base: {
    flex: "1",
    minW: "0",
    textAlign: "start",
    font: "inherit",
    color: "ink",
    cursor: "pointer",
    rounded: "sm",
    px: "1.5",
    py: "0.5",
    minH: "7",
    bg: "transparent",
    "@media (pointer: coarse)": { minH: "44px" },
    _hover: { bg: "clay.1" },
    "&[aria-pressed=true]": { bg: "clay.2" },
  },
});

/** The five lists of a survey in the order of the work, each with a line to type into. */
export function Lists({ state, view, plan, tools, chosen, choose }: Props) {
  const { design } = state;
  const { site } = design;
  // Into an empty survey one begins to type at once.
  const empty = site.boxes.length + site.devices.length + (site.places?.length ?? 0) === 0;
  const next = (list: List) => document.getElementById(quickId(order[(order.indexOf(list) + 1) % order.length] ?? "service"))?.focus();
  const field = (list: List, label: string, example: string) => (
    <QuickField
      list={list}
      label={label}
      example={example}
      state={state}
      tools={tools}
      first={empty && list === "service"}
      next={() => next(list)}
    />
  );
  const row = (id: string, name: string, facts: ReactNode, remove = true) => (
    <Flex as="li" key={id} align="center" gap="1" css={{ breakInside: "avoid" }}>
      <Row aria-pressed={chosen === id} onClick={() => choose(id)}>
        <chakra.span fontWeight="600">{name}</chakra.span>{" "}
        <chakra.span color="muted" fontSize="sm">
          {facts}
        </chakra.span>
      </Row>
      {remove && <Remove what={name} act={() => tools.correctNow([{ kind: "remove", id }])} />}
    </Flex>
  );
  return (
    <Box display="grid" gap="4">
      <Group title="Internet service">
        {field("service", "What comes in", "fibre, 300/30, public, no login")}
        <Flex as="ul">{row("service", view?.service ?? "The service", "", false)}</Flex>
      </Group>
      <Group title="Rooms and other places" count={site.places?.length ?? 0}>
        {field("places", "One place a line: name, size, floor, walls", "Kitchen, 4x3, floor 0, brick")}
        <Box as="ul" columnCount={{ base: 1, sm: (site.places?.length ?? 0) > 3 ? 2 : 1 }} columnGap="4">
          {(site.places ?? []).map((p) =>
            row(
              p.id,
              p.name,
              [
                p.kind && p.kind !== "room" ? placeWords[p.kind] : "",
                p.lengthMetres && p.widthMetres ? `${p.lengthMetres} × ${p.widthMetres} m` : "",
                p.floor ? `floor ${p.floor}` : "",
                p.walls && p.walls !== "unknown" ? wallWords[p.walls] : "",
              ]
                .filter((x) => x !== "")
                .join(", "),
            ),
          )}
        </Box>
      </Group>
      <Group
        title="Gear"
        count={site.boxes.length}
        aside={
          <Link to="/shelf" style={{ fontSize: "0.875rem" }}>
            The gear shelf
          </Link>
        }
      >
        {field(
          "gear",
          "One box a line: name, kind, place, label facts, and its connection: in use, at Hall gateway, by radio",
          "Hall gateway, fibre gateway four ports, hall, 192.168.8.1",
        )}
        <Box as="ul">
          {site.boxes.map((b) => {
            const mode = setUpOf(design).boxes.find((s) => s.box === b.id)?.mode;
            const spare = plan?.spares.find((s) => s.box === b.id);
            const place = mode ? placeOf(design, b.id) : (b.place ?? null);
            return row(
              b.id,
              b.name,
              <>
                {[
                  b.profile.name,
                  b.toBuy ? "to buy" : mode ? modeWords[mode].toLowerCase() : "not in use",
                  place ? `in ${nameOf(design, place)}` : "",
                ]
                  .filter((x) => x !== "")
                  .join(" · ")}
                {spare && spare.worth !== "good" && (
                  <chakra.span color={spare.worth === "leave" ? "brick" : "ochre"}> · {worthWords[spare.worth].toLowerCase()}</chakra.span>
                )}
              </>,
            );
          })}
        </Box>
      </Group>
      <Group title="The customer's devices" count={site.devices.length}>
        {field(
          "devices",
          "One device a line: name, place, cable or its bands, at which box",
          "Recorder, study, cable, at Hall gateway port 2",
        )}
        <Box as="ul" columnCount={{ base: 1, sm: site.devices.length > 5 ? 2 : 1 }} columnGap="4">
          {site.devices.map((d) => {
            const Icon = deviceIcons[d.kind];
            return row(
              d.id,
              d.name,
              <>
                <Icon size={14} aria-hidden style={{ display: "inline", verticalAlign: "-2px" }} /> {hanging(design, d.id)}
                {d.place && ` · ${nameOf(design, d.place)}`}
              </>,
            );
          })}
        </Box>
      </Group>
      <Group title="What the customer needs" count={site.needs.length}>
        {field(
          "needs",
          "Who, and what is asked: outside and a port, found, server, delay, online, calls; or guests, name, telephone",
          "Recorder, outside 8000 · Console, 3074 both · Printer, found · guests",
        )}
        <Box as="ul">
          {(view?.needs ?? []).map((n) => (
            <Flex as="li" key={n.need} align="center" gap="1">
              <Box flex="1" px="1.5" py="0.5">
                <chakra.b fontWeight="600">{n.subject}</chakra.b> {n.asked}
              </Box>
              <Remove what={`${n.subject} ${n.asked}`} act={() => tools.correctNow([{ kind: "remove", id: n.need }])} />
            </Flex>
          ))}
        </Box>
      </Group>
    </Box>
  );
}

/** How a device is connected in the set-up that was found. */
function hanging(design: Design, device: string): ReactNode {
  const setting = setUpOf(design).devices.find((d) => d.device === device);
  const cable = cableAt(design, device);
  const address =
    setting?.address.kind === "fixed" && setting.address.address ? <Mono> {setting.address.address.split("/")[0]}</Mono> : null;
  return (
    <>
      {cable
        ? `cable to ${nameOf(design, otherEnd(cable, device).split("/")[0] ?? "")}`
        : setting?.wifi
          ? `Wi-Fi of ${nameOf(design, setting.wifi.box)}`
          : "not connected"}
      {address}
    </>
  );
}

function Remove({ what, act }: { what: string; act: () => void }) {
  return (
    <Button variant="quiet" px="1" minW="6" minH="6" aria-label={`Remove: ${what}`} title="Remove it (undo brings it back)" onClick={act}>
      <X size={14} aria-hidden />
    </Button>
  );
}

function Group({ title, count, aside, children }: { title: string; count?: number; aside?: ReactNode; children: ReactNode }) {
  return (
    <Box as="section" aria-label={title} borderTopWidth="2px" borderTopStyle="solid" borderColor="clay.4" pt="2">
      <Flex justify="space-between" align="baseline" mb="1">
        <chakra.h2 fontSize="md">
          {title}
          {count !== undefined && count > 0 && (
            <chakra.span color="muted" fontWeight="400">
              {" "}
              {count}
            </chakra.span>
          )}
        </chakra.h2>
        {aside}
      </Flex>
      {children}
    </Box>
  );
}
