import { Box, Flex, type BoxProps } from "@chakra-ui/react";
import type { Schemas } from "../../api/client";
import { Button } from "../../ui/controls";
import { Fold } from "../../ui/Fold";
import { Trouble } from "../../ui/pieces";
import { WordSelect } from "../../ui/WordSelect";
import { useWays } from "./useWays";

/** How the installer goes about it: in this job, and as a rule. Plans and sheets are worked out anew, and say where they depart from it. */
export function MyWay({ job, columns = "minmax(0, 1fr)" }: { job: number; columns?: BoxProps["gridTemplateColumns"] }) {
  const { ways, put, putMine, error } = useWays(job);
  const view = ways.data;
  return (
    <Fold title={view && view.own.length > 0 ? "My way of working: another one in this job" : "My way of working"}>
      {!view ? null : (
        <Box display="grid" gap="2" pt="1">
          <Box display="grid" columnGap="4" rowGap="2" gridTemplateColumns={columns}>
            {view.schools.map((school) => (
              <One key={school.name} school={school} view={view} put={put} />
            ))}
          </Box>
          {error && <Trouble what="Your way of working cannot be kept." why={error.message} />}
          {view.own.length > 0 && (
            <Flex gap="2" wrap="wrap">
              <Button onClick={() => put([])}>Back to my usual way</Button>
              <Button variant="quiet" onClick={() => putMine(view.schools.map((s) => `${s.name}=${chosen(view.ways, s.name)}`))}>
                Make this my usual way
              </Button>
            </Flex>
          )}
        </Box>
      )}
    </Fold>
  );
}

const chosen = (ways: Schemas["Ways"], name: string) => String(ways[name as keyof Schemas["Ways"]]);

function One({ school, view, put }: { school: Schemas["SchoolDocument"]; view: Schemas["WaysView"]; put: (own: string[]) => void }) {
  const [value, usual] = [chosen(view.ways, school.name), chosen(view.mine, school.name)];
  const rest = view.own.filter((w) => !w.startsWith(`${school.name}=`));
  const answer = school.answers.find((a) => a.value === value);
  return (
    <Box>
      <WordSelect
        label={school.asks}
        words={Object.fromEntries(school.answers.map((a) => [a.value, a.says]))}
        value={value}
        onChange={(next) => put(next === usual ? rest : [...rest, `${school.name}=${next}`])}
      />
      <Box fontSize="xs" color="muted">
        {answer?.for}
        {value !== usual && ` In this job only: as a rule ${school.answers.find((a) => a.value === usual)?.says ?? usual}.`}
      </Box>
    </Box>
  );
}
