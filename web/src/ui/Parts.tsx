import { Flex } from "@chakra-ui/react";
import { Button } from "./controls";
import { keysOf } from "./words";

/** The parts of a station; the first one is where it opens, and has no name in the address. */
export function Parts<P extends string>({
  label,
  parts,
  chosen,
  show,
}: {
  label: string;
  parts: Record<P, string>;
  chosen: P;
  show: (part: P | null) => void;
}) {
  const [first] = keysOf(parts);
  return (
    <Flex as="nav" aria-label={label} gap="1" wrap="wrap" className="notPrinted">
      {keysOf(parts).map((p) => (
        <Button
          key={p}
          variant={p === chosen ? "act" : "quiet"}
          aria-current={p === chosen ? "page" : undefined}
          onClick={() => show(p === first ? null : p)}
        >
          {parts[p]}
        </Button>
      ))}
    </Flex>
  );
}
