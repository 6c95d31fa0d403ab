import { Box, chakra, Flex } from "@chakra-ui/react";
import { useState } from "react";
import type { Correction, JobState, Schemas } from "../../api/client";
import { DraftInput } from "../../ui/DraftInput";
import { NumberInput } from "../../ui/NumberInput";
import { Select } from "../../ui/controls";
import { Labelled } from "../../ui/pieces";
import { accessWords, knownWords, pointsText } from "../../ui/words";
import { WordSelect } from "../../ui/WordSelect";
import type { JobTools } from "../shared/jobTools";
import { Section } from "./Section";
import { lineOf } from "./corrections";
import { SecretField } from "../shared/SecretField";

const kinds: Record<Schemas["ServiceKind"], string> = {
  unknown: "not asked",
  publicDynamic: "a public address that changes",
  publicFixed: "a public address that stays",
  carrierNat: "carrier-grade NAT (CGNAT)",
};

/** What the provider delivers, how the line lets a box on, and what the box at the internet line can become. */
export function ServiceSheet({
  state,
  view,
  plan,
  tools,
}: {
  state: JobState;
  view: Schemas["SurveyView"] | undefined;
  /** The options, which tell what the box at the line can become. */
  plan: Schemas["PlanDocument"] | undefined;
  tools: JobTools;
}) {
  const { service, boxes } = state.design.site;
  const line = lineOf(service);
  const [fixing, setFixing] = useState(false);
  const [typed, setTyped] = useState({ address: service.address ?? "", gateway: service.gateway ?? "" });
  const noted = (parts: Schemas["PartialOfServiceFacts"]): Correction => ({ kind: "setService", service: parts });
  const now = (parts: Schemas["PartialOfServiceFacts"]) => tools.correctNow([noted(parts)]);
  const correct = (parts: Schemas["PartialOfServiceFacts"]) => tools.correct([noted(parts)]);
  const fixed = fixing || service.kind === "publicFixed";
  /** Both are needed before either can be saved for the first time; until then they are kept here. */
  const part = (key: "address" | "gateway") => async (draft: string) => {
    const next = { ...typed, [key]: draft };
    setTyped(next);
    if (service.kind === "publicFixed") {
      await correct({ [key]: draft });
      return;
    }
    if (next.address !== "" && next.gateway !== "") {
      await correct({ kind: "publicFixed", ...next });
      setFixing(false);
    }
  };
  return (
    <Box display="grid" gap="3">
      <chakra.h2 fontSize="lg">Internet service</chakra.h2>
      <Section title="What comes in">
        <WordSelect label="By" words={accessWords} value={service.access ?? "unknown"} onChange={(access) => now({ access })} />
        <Labelled label="Box at the internet line">
          {(ids) => (
            <Select
              {...ids}
              value={service.handOff ?? ""}
              onChange={(e) => now({ handOff: e.target.value === "" ? null : e.target.value })}
            >
              <option value="">not noted</option>
              {boxes.map((b) => (
                <option key={b.id} value={b.id}>
                  {b.name}
                </option>
              ))}
            </Select>
          )}
        </Labelled>
        <NumberInput
          label="Download sold, Mb/s"
          expected="A whole number of Mb/s is expected."
          value={service.downMbps ?? null}
          save={(downMbps) => correct({ downMbps })}
        />
        <NumberInput
          label="Upload sold, Mb/s"
          expected="A whole number of Mb/s is expected."
          value={service.upMbps ?? null}
          save={(upMbps) => correct({ upMbps })}
        />
        <WordSelect
          label="Address"
          words={kinds}
          value={fixing ? "publicFixed" : service.kind}
          onChange={(kind) => {
            setFixing(kind === "publicFixed");
            if (kind !== "publicFixed") {
              now({ kind });
            }
          }}
        />
        {service.kind !== "publicFixed" && !fixing && (
          <NumberInput
            label="Addresses that it gives at a time"
            expected="A whole number is expected; one is usual."
            value={service.leases ?? 1}
            save={(leases) => correct({ leases: leases ?? 1 })}
          />
        )}
        {fixed && (
          <>
            <DraftInput
              label="The public address and prefix"
              hint="both are saved together"
              fontFamily="mono"
              value={typed.address}
              save={part("address")}
            />
            <DraftInput label="The provider's side" fontFamily="mono" value={typed.gateway} save={part("gateway")} />
          </>
        )}
      </Section>
      {service.kind === "unknown" &&
        !fixing &&
        view?.gaps
          .filter((g) => g.what.includes("public address"))
          .map((g) => (
            <Box key={g.what} fontSize="sm">
              To find out: {g.how}
            </Box>
          ))}
      <Section title="What the internet line asks of a box">
        <WordSelect label="A login" words={knownWords} value={line.login ?? "unknown"} onChange={(login) => now({ login })} />
        <WordSelect label="A VLAN tag" words={knownWords} value={line.tagged ?? "unknown"} onChange={(tagged) => now({ tagged })} />
        {line.login === "yes" && (
          <>
            <DraftInput
              label="Name to log in with"
              value={line.account ?? ""}
              save={(draft) => correct({ account: draft === "" ? null : draft })}
            />
            <SecretField
              job={state.job.id}
              label="Password of the login"
              make={false}
              name="line password"
              reference={line.password ?? null}
              refer={(password) => correct({ password })}
            />
          </>
        )}
        {line.tagged === "yes" && (
          <NumberInput
            label="Which tag"
            expected="A tag from 1 to 4094 is expected."
            value={line.tag ?? null}
            save={(tag) => correct({ tag })}
          />
        )}
        <WordSelect
          label="One MAC address only"
          words={knownWords}
          value={line.locked ?? "unknown"}
          onChange={(locked) => now({ locked })}
        />
        {line.locked === "yes" && (
          <DraftInput
            label="Which one"
            fontFamily="mono"
            value={line.lockedTo ?? ""}
            save={(draft) => correct({ lockedTo: draft === "" ? null : draft })}
          />
        )}
      </Section>
      {plan && plan.gateway.length > 0 && (
        <Box as="section" aria-label="What the box at the internet line can become">
          <chakra.h3 fontSize="sm" mb="1.5" borderBottomWidth="1px" borderBottomStyle="solid" borderColor="line">
            What the box at the internet line can become, the cleanest first
          </chakra.h3>
          <Box as="ol" display="grid" gap="1" fontSize="sm">
            {plan.gateway.map((w) => (
              <Flex as="li" key={w.way} gap="2" color={w.can === "no" ? "muted" : "ink"}>
                <chakra.span flex="0 0 5.5rem" fontWeight="700" color={w.can === "yes" ? "moss" : w.can === "unknown" ? "ochre" : "muted"}>
                  {w.can === "yes" ? "it can" : w.can === "no" ? "it cannot" : "not known"}
                </chakra.span>
                <span>
                  {w.says}
                  {w.more !== null && (
                    <chakra.span color="muted">
                      {w.isFirst ? ": the first option" : `: ${pointsText(w.more)} points more. ${w.costs.join(" ")}`}
                    </chakra.span>
                  )}
                </span>
              </Flex>
            ))}
          </Box>
        </Box>
      )}
    </Box>
  );
}
