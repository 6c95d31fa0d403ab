import { Box, chakra, Flex } from "@chakra-ui/react";
import { useState } from "react";
import { Button, Input } from "../../ui/controls";
import { Labelled } from "../../ui/pieces";
import type { JobTools } from "../shared/jobTools";

interface Props {
  number: number;
  /** What the options rest on that are shown. */
  restsOn: string | null;
  tools: JobTools;
  done: () => void;
}

/** Asks for a name, and keeps an option under it beside the plan: options that are not kept are worked out anew each time. */
export function KeepOption({ number, restsOn, tools, done }: Props) {
  const [name, setName] = useState("");
  const [refused, refuse] = useState<string | null>(null);
  return (
    <chakra.form
      onSubmit={(e) => {
        e.preventDefault();
        void tools
          .keepOption({ number, box: null, as: null, keepAs: name.trim(), restsOn })
          .then(done, (error: Error) => refuse(error.message));
      }}
    >
      <Flex gap="2" align="end" wrap="wrap">
        <Box flex="0 1 18rem">
          <Labelled label={`Keep option ${number} as`} error={refused}>
            {(ids) => (
              <Input {...ids} autoFocus value={name} placeholder="with a cable to the study" onChange={(e) => setName(e.target.value)} />
            )}
          </Labelled>
        </Box>
        <Button type="submit" variant="main" disabled={name.trim() === ""}>
          Keep
        </Button>
        <Button onClick={done}>Cancel</Button>
      </Flex>
    </chakra.form>
  );
}
