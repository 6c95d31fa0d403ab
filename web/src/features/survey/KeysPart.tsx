import { Box, chakra } from "@chakra-ui/react";
import { api, unwrap, type JobState } from "../../api/client";
import { Mono } from "../../ui/controls";
import { secretWords } from "../../ui/words";
import { Asked } from "../shared/Asked";
import { SecretTyping, SecretValue, useSecrets } from "../shared/SecretField";

/** Every key and password of the home: where it is used and how it stands; values are shown only on request. */
export function KeysPart({ state }: { state: JobState }) {
  const secrets = useSecrets(state.job.id);
  return (
    <Box display="grid" gap="3" gridTemplateColumns="minmax(0, 1fr)" maxW="64rem">
      <Box>
        Passwords are kept encrypted, apart from the design. They are left out of exports unless a file is asked for that holds them. The
        key ring that opens them lies in the same data folder: this protects files that are passed on, not a stolen laptop.
      </Box>
      <Asked of={secrets} what="Passwords">
        {(list) =>
          list.length === 0 ? (
            <Box color="muted">No password is noted yet. They are typed at the box whose label or page has them.</Box>
          ) : (
            <Box overflowX="auto">
              <chakra.table width="100%" fontSize="sm" aria-label="Passwords">
                <thead>
                  <tr>
                    {["Reference", "Used as", "Stands", "Value"].map((h) => (
                      <chakra.th
                        key={h}
                        textAlign="start"
                        fontWeight="600"
                        color="muted"
                        py="1"
                        pe="3"
                        borderBottomWidth="1px"
                        borderBottomStyle="solid"
                        borderColor="line.strong"
                      >
                        {h}
                      </chakra.th>
                    ))}
                  </tr>
                </thead>
                <tbody>
                  {list.map((s) => (
                    <chakra.tr key={s.reference} verticalAlign="top" borderBottomWidth="1px" borderBottomStyle="solid" borderColor="line">
                      <chakra.td py="1.5" pe="3">
                        <Mono whiteSpace="normal">{s.reference}</Mono>
                      </chakra.td>
                      <chakra.td py="1.5" pe="3">
                        {s.uses.length === 0 ? (
                          <chakra.span color="muted">nothing today</chakra.span>
                        ) : (
                          s.uses.map((u) => <Box key={u}>{u}</Box>)
                        )}
                      </chakra.td>
                      <chakra.td py="1.5" pe="3" color={s.state === "held" ? "moss" : s.state === "lost" ? "brick" : "ochre"}>
                        {secretWords[s.state]}
                      </chakra.td>
                      <chakra.td py="1.5" minW="15rem">
                        {s.state === "held" ? (
                          <SecretValue job={state.job.id} reference={s.reference} name={s.reference} />
                        ) : (
                          <SecretTyping
                            job={state.job.id}
                            label={`Value of ${s.reference}`}
                            make={false}
                            save={(value) =>
                              unwrap(
                                api.PUT("/api/jobs/{id}/secrets/{reference}", {
                                  params: { path: { id: state.job.id, reference: s.reference } },
                                  body: { value: value ?? "" },
                                }),
                              )
                            }
                          />
                        )}
                      </chakra.td>
                    </chakra.tr>
                  ))}
                </tbody>
              </chakra.table>
            </Box>
          )
        }
      </Asked>
    </Box>
  );
}
