import { Box, chakra } from "@chakra-ui/react";
import type { Schemas } from "../../api/client";
import { Said } from "../../ui/Said";
import { about } from "./time";

/** What the whole sheet comes to, and whether its order is safe. */
export function Totals({ sheet, go }: { sheet: Schemas["SheetDocument"]; go: (step: number) => void }) {
  const { takes, window: away, least } = sheet;
  const rests = sheet.steps.filter((s) => s.rest).length;
  return (
    <Box fontSize="sm">
      <Box>
        <b>{sheet.steps.length} steps</b>, about <b>{about(takes.usual)}</b>{" "}
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
        {rests > 0 && <chakra.span color="muted"> · {rests === 1 ? "1 rest point" : `${rests} rest points`}</chakra.span>}
      </Box>
      <Box color={sheet.safe ? "moss" : "brick"} fontWeight="600" role={sheet.safe ? undefined : "alert"}>
        {sheet.steps.length === 0
          ? "Nothing is to be done."
          : sheet.safe
            ? "No step of this order breaks a rule."
            : sheet.missing.length > 0
              ? "It does not lead all the way to the plan."
              : sheet.unsafe.length > 0
                ? "No safe order was found."
                : "Something is left undone at the end."}
      </Box>
      {!sheet.safe && (
        <Box as="ul" pl="5">
          {sheet.unsafe.map((u) => (
            <li key={u.says + u.broken.text}>
              <Said text={u.says} />, rule {u.broken.number}: <Said text={u.broken.text} /> <b>To make it safe:</b> <Said text={u.cure} />
            </li>
          ))}
          {[...sheet.missing, ...sheet.undone].map((m) => (
            <li key={m}>
              <Said text={m} />
            </li>
          ))}
        </Box>
      )}
      {sheet.amiss.length > 0 && (
        <Box color="ochre">
          The plan itself breaks {sheet.amiss.length === 1 ? "a rule" : `${sheet.amiss.length} rules`}, whatever the order:{" "}
          {sheet.amiss.map((b) => b.text).join(" ")}
        </Box>
      )}
      {!sheet.searched && <Box color="muted">The search was stopped at its limit: a shorter order may be there.</Box>}
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
