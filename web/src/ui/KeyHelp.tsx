import { Box, chakra } from "@chakra-ui/react";
import { useEffect, useRef } from "react";
import { Button } from "./controls";
import { singleKeys, useSingleKeys, type Shortcut } from "./shortcuts";

const Dialog = chakra("dialog", {
  base: {
    m: "auto",
    p: "5",
    maxW: "34rem",
    width: "calc(100vw - 2rem)",
    maxH: "calc(100vh - 2rem)",
    overflowY: "auto",
    bg: "card",
    color: "ink",
    rounded: "lg",
    borderWidth: "1px",
    borderStyle: "solid",
    borderColor: "line.strong",
    "&::backdrop": { bg: "rgba(25, 29, 28, 0.55)" },
  },
});
const Key = chakra("kbd", {
  base: {
    fontFamily: "mono",
    fontSize: "xs",
    px: "1.5",
    py: "0.5",
    rounded: "sm",
    borderWidth: "1px",
    borderStyle: "solid",
    borderColor: "line.strong",
    whiteSpace: "nowrap",
  },
});

const onDrawing: [string, string][] = [
  ["Arrow keys", "go to the next box, port, device or cable"],
  ["Enter", "choose it, or finish a cable there"],
  ["Escape", "let go of what is chosen"],
  ["+  −  0", "larger, smaller, fit"],
];

/** Which keys do what, and the switch that turns single keys off. */
export function KeyHelp({ open, close, shortcuts }: { open: boolean; close: () => void; shortcuts: readonly Shortcut[] }) {
  const dialog = useRef<HTMLDialogElement>(null);
  useEffect(() => {
    if (open) {
      dialog.current?.showModal();
    } else {
      dialog.current?.close();
    }
  }, [open]);
  return (
    <Dialog ref={dialog} onClose={close} aria-labelledby="keys-title">
      {open && <Keys close={close} shortcuts={shortcuts} />}
    </Dialog>
  );
}

/** What stands in the dialog: nothing while it is closed, since what the keys do changes with everything that is chosen. */
function Keys({ close, shortcuts }: { close: () => void; shortcuts: readonly Shortcut[] }) {
  const on = useSingleKeys();
  return (
    <>
      <chakra.h2 id="keys-title" fontSize="lg" mb="2">
        Keys
      </chakra.h2>
      <Box as="dl" display="grid" gridTemplateColumns="auto 1fr" columnGap="4" rowGap="1.5" alignItems="baseline">
        {shortcuts.map((s) => (
          <Row key={s.key} name={s.key} does={s.does} />
        ))}
      </Box>
      <chakra.h3 fontSize="md" mt="4" mb="1.5">
        On the drawing
      </chakra.h3>
      <Box as="dl" display="grid" gridTemplateColumns="auto 1fr" columnGap="4" rowGap="1.5" alignItems="baseline">
        {onDrawing.map(([key, does]) => (
          <Row key={key} name={key} does={does} />
        ))}
      </Box>
      <chakra.label display="flex" gap="2" alignItems="center" minH="11" mt="3" cursor="pointer">
        <chakra.input
          type="checkbox"
          width="18px"
          height="18px"
          accentColor="copper"
          checked={on}
          onChange={(e) => singleKeys.set(e.target.checked)}
        />
        Single keys act by themselves
      </chakra.label>
      <Button mt="2" onClick={close}>
        Close
      </Button>
    </>
  );
}

function Row({ name, does }: { name: string; does: string }) {
  return (
    <>
      <dt>
        <Key>{name}</Key>
      </dt>
      <dd>{does}</dd>
    </>
  );
}
