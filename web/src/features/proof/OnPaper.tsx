import { Box, chakra, Flex } from "@chakra-ui/react";
import { Download, Printer } from "lucide-react";
import { api, type JobState, type Schemas } from "../../api/client";
import { Button, Mono } from "../../ui/controls";
import { Mark } from "../../ui/pieces";
import { Said } from "../../ui/Said";
import { originWords } from "../../ui/words";
import { DrawingPane } from "../plan/DrawingPane";
import { standing } from "../shared/findings";
import { Asked } from "../shared/Asked";
import { addressOf, whoOf } from "./entryWords";
import { Facts, InternetOf, NeedsOf, VerdictOf } from "./Facts";
import { asking, useAsked } from "../shared/useAsked";

const files = [
  { what: "addresses", words: "Address plan (CSV)" },
  { what: "hosts", words: "Hosts file" },
  { what: "reservations", words: "DHCP reservations (dnsmasq)" },
  { what: "topology", words: "Topology (RFC 8345, JSON)" },
] as const;

/** The whole proof as a page to print, and the home as files for other programs. */
export function OnPaper({ state }: { state: JobState }) {
  const { design, proof } = state;
  const book = useAsked<Schemas["BookEntry"][]>(state, ["addresses"], (signal) =>
    api.GET("/api/jobs/{id}/proof/addresses", { params: asking(state), signal }),
  );
  const findings = standing(proof);
  return (
    <Box className="paper" display="grid" gap="5" gridTemplateColumns="minmax(0, 1fr)">
      <Flex gap="4" wrap="wrap" align="center" className="notPrinted">
        <Button variant="main" onClick={() => window.print()}>
          <Printer size={16} aria-hidden /> Print this page
        </Button>
        {files.map((f) => (
          <a
            key={f.what}
            href={`/api/jobs/${state.job.id}/proof/take-out/${f.what}?${new URLSearchParams({ setUp: proof.setUp }).toString()}`}
            download
          >
            <Download size={14} aria-hidden style={{ display: "inline" }} /> {f.words}
          </a>
        ))}
      </Flex>
      <Box>
        <Box color="muted">
          Proof of {design.site.name}, set-up {proof.setUp}, version {state.version},{" "}
          {new Date(state.job.changedAt).toLocaleDateString("en-GB", { day: "numeric", month: "long", year: "numeric" })}
        </Box>
        <VerdictOf proof={proof} />
      </Box>
      <Box height="26rem" display="flex">
        <DrawingPane design={design} proof={proof} choice={null} choose={() => undefined} />
      </Box>
      {findings.length > 0 && (
        <chakra.section aria-label="Findings">
          <chakra.h2 fontSize="lg" mb="1">
            Findings
          </chakra.h2>
          <Box as="ol" display="grid" gap="2">
            {findings.map((f, i) => (
              <chakra.li key={f.identity} display="grid" gridTemplateColumns="24px minmax(0, 1fr)" gap="2" css={{ breakInside: "avoid" }}>
                <Mark level={f.severity} number={i + 1} size={22} />
                <Box>
                  <Box fontWeight="600">
                    <Said text={f.what} />
                  </Box>
                  <Box fontSize="sm">
                    <Said text={f.notice} />
                  </Box>
                  {f.remedies[0] && (
                    <Box fontSize="sm">
                      To do: <Said text={f.remedies[0].label} />
                    </Box>
                  )}
                  {f.advice.map((a) => (
                    <Box key={a} fontSize="sm">
                      <Said text={a} />
                    </Box>
                  ))}
                </Box>
              </chakra.li>
            ))}
          </Box>
        </chakra.section>
      )}
      <NeedsOf proof={proof} />
      <InternetOf design={design} proof={proof} />
      <Asked of={book} what="The address book">
        {(entries) => (
          <Facts
            title="Who has which address"
            empty="Nothing holds an address."
            heads={["Who", "Territory", "Address", "How", "Default gateway", "MAC address"]}
            rows={entries
              .filter((e) => e.side !== "provider" && e.origin !== "none")
              .map((e) => [
                whoOf(e),
                e.territory,
                <Mono key="a">{addressOf(e)}</Mono>,
                originWords[e.origin],
                <Mono key="g">{e.gateway ?? ""}</Mono>,
                <Mono key="h">{e.mac ?? "not read"}</Mono>,
              ])}
          />
        )}
      </Asked>
    </Box>
  );
}
