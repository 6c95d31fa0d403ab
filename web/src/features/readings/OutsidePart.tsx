import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import type { JobState } from "../../api/client";
import { Input } from "../../ui/controls";
import { Card, Labelled } from "../../ui/pieces";
import type { JobTools } from "../shared/jobTools";
import { Taken, WhereFields, type Where } from "./Taken";

/** The address that the outside sees, held against the WAN address of the outermost box. */
export function OutsidePart({
  state,
  tools,
  where,
  setWhere,
}: {
  state: JobState;
  tools: JobTools;
  where: Where;
  setWhere: (where: Where) => void;
}) {
  const [seen, setSeen] = useState("");
  const [wan, setWan] = useState("");
  const [said, setSaid] = useState<string | null>(null);
  // Half of an address is a state of the field and no error.
  const whole = (text: string) => /^\d+(\.\d+){3}$/.test(text.trim()) || text.includes(":");
  const ready = whole(seen) && (wan.trim() === "" || whole(wan));
  return (
    <Box display="grid" gap="4" gridTemplateColumns={{ base: "minmax(0, 1fr)", lg: "minmax(0, 1fr) minmax(0, 1.1fr)" }} alignItems="start">
      <Card as="section" aria-label="Both addresses" display="grid" gap="3">
        <WhereFields state={state} where={where} set={setWhere} />
        <Labelled
          label="The address that an outside service shows"
          hint="Any page that tells which address it is asked from; over IPv4, with tunnels and a telephone's own line switched off."
        >
          {(ids) => <Input {...ids} fontFamily="mono" placeholder="203.0.113.80" value={seen} onChange={(e) => setSeen(e.target.value)} />}
        </Labelled>
        <Labelled label="The WAN address on the page of the outermost box" hint="Leave it empty where it was not read.">
          {(ids) => <Input {...ids} fontFamily="mono" placeholder="100.64.7.20" value={wan} onChange={(e) => setWan(e.target.value)} />}
        </Labelled>
      </Card>
      <Card as="section" aria-label="What follows" minH="8rem">
        {said && (
          <Box role="status" mb="2" color="moss" fontWeight="600">
            {said}
          </Box>
        )}
        {ready ? (
          <Taken
            state={state}
            tools={tools}
            content={{ outside: { seen: seen.trim(), wan: wan.trim() === "" ? null : wan.trim() } }}
            name="outside view, typed"
            where={where}
            kept={(accepted) => {
              setSaid(accepted > 0 ? "Kept, and accepted." : "Kept.");
              setSeen("");
              setWan("");
            }}
          />
        ) : (
          <chakra.div color="muted">
            How many NAT routers are on the way out, what that means for connections from outside, and what stays unproven.
          </chakra.div>
        )}
      </Card>
    </Box>
  );
}
