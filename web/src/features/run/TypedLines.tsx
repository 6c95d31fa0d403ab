import { Box, chakra, Flex } from "@chakra-ui/react";
import { useState } from "react";
import type { Schemas } from "../../api/client";
import { Button, Mono } from "../../ui/controls";
import { Said } from "../../ui/Said";
import { SecretValue } from "../shared/SecretField";

/** What is typed, field by field, each value ready to be copied; or a plain list. */
export function TypedLines({ job, lines }: { job: number; lines: readonly Schemas["PageField"][] }) {
  return lines.every((l) => l.value === null) ? (
    <Box as="ul" mt="2" pl="5" maxW="44rem" css={{ columns: "18rem 2" }}>
      {lines.map((l) => (
        <li key={l.what}>
          <Said text={l.what} />
        </li>
      ))}
    </Box>
  ) : (
    <Box
      as="dl"
      mt="2"
      display="grid"
      gridTemplateColumns={{ base: "minmax(0, 1fr)", sm: "minmax(0, max-content) minmax(15rem, 1fr)" }}
      columnGap="4"
      rowGap="1"
      maxW="44rem"
    >
      {lines.map(({ what, value = null, isSecret }, i) => (
        <Box key={i} display="contents">
          <chakra.dt color="muted" gridColumn={value === null ? "1 / -1" : undefined} alignSelf="center">
            {what}
          </chakra.dt>
          {value !== null && (
            <chakra.dd m="0" mb={{ base: "2", sm: "0" }} minW="0">
              {isSecret ? <SecretValue job={job} reference={value} name={what} /> : <Value what={what} value={value} />}
            </chakra.dd>
          )}
        </Box>
      ))}
    </Box>
  );
}

function Value({ what, value }: { what: string; value: string }) {
  const [said, setSaid] = useState<string | null>(null);
  return (
    <Flex gap="1.5" align="center" wrap="wrap">
      <Mono fontSize="md" fontWeight="600" whiteSpace="normal" css={{ overflowWrap: "anywhere" }}>
        {value}
      </Mono>
      <Button
        variant="quiet"
        px="2"
        minH="6"
        fontSize="sm"
        aria-label={`Copy: ${what}`}
        onClick={() =>
          navigator.clipboard.writeText(value).then(
            () => setSaid("copied"),
            (e: Error) => setSaid(e.message),
          )
        }
      >
        Copy
      </Button>
      {said && (
        <Box as="span" role="status" fontSize="xs" color="muted">
          {said}
        </Box>
      )}
    </Flex>
  );
}
