import { Box } from "@chakra-ui/react";
import { useState } from "react";
import { Button, Input } from "../../ui/controls";
import { Labelled } from "../../ui/pieces";
import type { JobTools } from "../shared/jobTools";

/** Where to and by whom, to be added to a router's routes; what the router refuses stays in the fields with the reason. */
export function NewRoute({ box, tools }: { box: string; tools: JobTools }) {
  const [to, setTo] = useState("");
  const [via, setVia] = useState("");
  const [error, setError] = useState<string | null>(null);
  const add = async () => {
    try {
      await tools.save([{ kind: "addRoute", box, route: { to: to.trim(), via: via.trim() } }]);
      setTo("");
      setVia("");
      setError(null);
    } catch (e) {
      setError((e as Error).message);
    }
  };
  const field = (label: string, hint: string, value: string, set: (text: string) => void) => (
    <Labelled label={label} hint={hint}>
      {(ids) => (
        <Input
          {...ids}
          value={value}
          fontFamily="mono"
          spellCheck={false}
          autoComplete="off"
          onChange={(e) => set(e.target.value)}
          onKeyDown={(e) => e.key === "Enter" && void add()}
        />
      )}
    </Labelled>
  );
  return (
    <Box>
      <Box display="grid" gridTemplateColumns="1fr 1fr" gap="2">
        {field("New route to", "such as 192.168.20.0/24", to, setTo)}
        {field("By way of", "the router that leads there", via, setVia)}
      </Box>
      {error && (
        <Box role="alert" color="brick" fontSize="sm">
          {error}
        </Box>
      )}
      <Button mt="1.5" disabled={to.trim() === "" || via.trim() === ""} onClick={() => void add()}>
        Add the route
      </Button>
    </Box>
  );
}
