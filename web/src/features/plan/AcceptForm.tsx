import { Box, Flex } from "@chakra-ui/react";
import { useState } from "react";
import type { Change, Finding } from "../../api/client";
import { Button, Input } from "../../ui/controls";
import { Labelled } from "../../ui/pieces";

const kept = "altrin-my-name";

/** Lets a finding stay: why, and who says so. The name is remembered in this browser. */
export function AcceptForm({ finding, accept, close }: { finding: Finding; accept: (changes: Change[]) => void; close: () => void }) {
  const [reason, setReason] = useState("");
  const [by, setBy] = useState(() => localStorage.getItem(kept) ?? "");
  const ready = reason.trim() !== "" && by.trim() !== "";
  return (
    <Box
      as="form"
      mt="2"
      display="grid"
      gap="2"
      onSubmit={(e) => {
        e.preventDefault();
        if (ready) {
          localStorage.setItem(kept, by.trim());
          accept([
            {
              kind: "acceptFinding",
              finding: finding.identity,
              severe: finding.severity === "willNotWork",
              reason: reason.trim(),
              by: by.trim(),
            },
          ]);
          close();
        }
      }}
    >
      <Labelled label="Reason">
        {(ids) => <Input {...ids} value={reason} maxLength={500} autoFocus onChange={(e) => setReason(e.target.value)} />}
      </Labelled>
      <Labelled label="Accepted by">
        {(ids) => <Input {...ids} value={by} maxLength={80} onChange={(e) => setBy(e.target.value)} />}
      </Labelled>
      {finding.severity === "willNotWork" && (
        <Box fontSize="sm" color="muted">
          It will still not work: a word mends nothing.
        </Box>
      )}
      <Flex gap="1.5">
        <Button type="submit" disabled={!ready}>
          Accept it
        </Button>
        <Button variant="quiet" onClick={close}>
          Cancel
        </Button>
      </Flex>
    </Box>
  );
}
