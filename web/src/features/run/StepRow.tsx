import { chakra } from "@chakra-ui/react";
import { useEffect, useRef, type ReactNode } from "react";
import { Said } from "../../ui/Said";

interface Props {
  number: number;
  says: string;
  /** Whether it is the chosen one. */
  now: boolean;
  choose: () => void;
  /** Whether the list scrolls to it once it is chosen. */
  follow: boolean;
  /** What stands before its number, in a column of its own. */
  lead?: ReactNode;
  /** What has to be known of it at a glance. */
  note: { text: string; colour: string } | null;
}

/** One step in a list of them. */
export function StepRow({ number, says, now, choose, follow, lead, note }: Props) {
  const row = useRef<HTMLLIElement>(null);
  useEffect(() => {
    if (now && follow) {
      row.current?.scrollIntoView({ block: "nearest" });
    }
  }, [now, follow]);
  return (
    <chakra.li ref={row}>
      <chakra.button
        type="button"
        onClick={choose}
        aria-current={now ? "step" : undefined}
        display="grid"
        gridTemplateColumns={`${lead === undefined ? "" : "3.2rem "}1.9rem minmax(0, 1fr)`}
        width="100%"
        textAlign="start"
        alignItems="baseline"
        px="3"
        py="1"
        minH="8"
        font="inherit"
        fontWeight={now ? 700 : 400}
        cursor="pointer"
        color="ink"
        bg={now ? "clay.1" : "transparent"}
        borderLeftWidth="4px"
        borderLeftStyle="solid"
        borderLeftColor={now ? "copper" : "transparent"}
        _hover={{ bg: "clay.1" }}
        css={{ "@media (pointer: coarse)": { minHeight: "44px" } }}
      >
        {lead}
        <chakra.span color="muted" fontWeight="400">
          {number}
        </chakra.span>
        <span>
          <Said text={says} />
          {note && (
            <chakra.span color={note.colour} fontWeight="700">
              {" "}
              · {note.text}
            </chakra.span>
          )}
        </span>
      </chakra.button>
    </chakra.li>
  );
}
