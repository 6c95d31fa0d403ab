import { Box, chakra, Flex } from "@chakra-ui/react";
import { Download } from "lucide-react";
import type { Schemas } from "../../api/client";
import { Button } from "../../ui/controls";
import { useDownload } from "../../ui/useDownload";

/** The sheet as a page of its own: what may go wrong is worked out for each step of it, which takes a while and can be stopped. */
export function PageFile({ address, steps }: { address: string; steps: readonly Schemas["SheetStepDocument"][] }) {
  const download = useDownload();
  // Steps come in order: the first that is missing is worked on.
  const measure = (text: string) => {
    const missing = steps.findIndex((s) => !text.includes(`<li id="${s.id}">`));
    return missing === -1 ? steps.length : missing;
  };
  return (
    <Box display="grid" gap="1">
      {download.done === null ? (
        <Button onClick={() => download.get({ address, measure })}>
          <Download size={14} aria-hidden /> Page with ticks, timers (HTML)
        </Button>
      ) : (
        <Flex gap="2" align="center" wrap="wrap">
          <chakra.progress width="8rem" accentColor="copper" aria-label="Steps worked out" value={download.done} max={steps.length} />
          <span>
            {download.done} of {steps.length} steps
          </span>
          <Button variant="quiet" onClick={download.stop}>
            Stop
          </Button>
        </Flex>
      )}
      {download.error && (
        <Box role="alert" color="brick" fontSize="sm">
          {download.error} Try again.
        </Box>
      )}
    </Box>
  );
}
