import { Box, Flex } from "@chakra-ui/react";
import type { Change } from "../../api/client";
import { Button, Mono } from "../../ui/controls";
import type { JobTools } from "../shared/jobTools";

/** What a router keeps in a list, each line with a button that removes it. */
export function Kept({ title, items, tools }: { title: string; items: { text: string; change: Change }[]; tools: JobTools }) {
  return (
    <Box fontSize="sm" mt="1.5">
      {title}
      <Box as="ul">
        {items.map(({ text, change }) => (
          <Flex as="li" key={text} justify="space-between" align="center" gap="2">
            <Mono whiteSpace="normal">{text}</Mono>
            <Button variant="quiet" aria-label={`Remove ${text}`} onClick={() => tools.act([change])}>
              Remove
            </Button>
          </Flex>
        ))}
      </Box>
    </Box>
  );
}
