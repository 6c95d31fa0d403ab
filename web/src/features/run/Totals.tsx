import { Box, chakra } from "@chakra-ui/react";
import type { Schemas } from "../../api/client";
import { counted } from "../../ui/words";
import { Verdict } from "./Verdict";
import { about } from "./time";

/** What the whole sheet comes to, and whether its order is safe. */
export function Totals({ sheet, go }: { sheet: Schemas["SheetDocument"]; go: (step: number) => void }) {
  const { takes, window: away, least } = sheet;
  const rests = sheet.steps.filter((s) => s.rest).length;
  return (
    <Box fontSize="sm">
      <Box>
        <b>{counted(sheet.steps.length, "step")}</b>, about <b>{about(takes.usual)}</b>{" "}
        <chakra.span color="muted">
          ({about(takes.least)} to {about(takes.most)}
          {least ? `; the changes alone at least ${about(Math.max(60, least.work.usual))}` : ""})
        </chakra.span>
      </Box>
      <Box>
        {away ? (
          <>
            Internet away for some devices about <b>{about(away.takes.usual)}</b>, {away.first === away.last ? "in step " : "from step "}
            <StepLink number={away.first} go={go} />
            {away.first !== away.last && (
              <>
                {" "}
                to <StepLink number={away.last} go={go} />
              </>
            )}
          </>
        ) : (
          "No device that has the internet loses it meanwhile."
        )}
        {rests > 0 && <chakra.span color="muted"> · {counted(rests, "rest point")}</chakra.span>}
      </Box>
      <Verdict of={sheet.verdict} />
    </Box>
  );
}

function StepLink({ number, go }: { number: number; go: (step: number) => void }) {
  return (
    <chakra.button
      type="button"
      onClick={() => go(number)}
      color="copper"
      fontWeight="700"
      textDecoration="underline"
      cursor="pointer"
      minW="6"
      minH="6"
      bg="transparent"
    >
      {number}
    </chakra.button>
  );
}
