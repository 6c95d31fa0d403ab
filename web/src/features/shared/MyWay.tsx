import { Box, Flex, type BoxProps } from "@chakra-ui/react";
import { Button } from "../../ui/controls";
import { Fold } from "../../ui/Fold";
import { Trouble } from "../../ui/pieces";
import { useWays } from "./useWays";
import { WayFields } from "./WayFields";
import { WeightFields } from "./WeightFields";

interface Props {
  job: number;
  columns?: BoxProps["gridTemplateColumns"];
  /** Whether what counts how much against an option is asked too. */
  weights?: boolean;
}

/** How the installer goes about it: in this job, and as a rule. Plans and sheets are worked out anew, and say where they depart from it. */
export function MyWay({ job, columns = "minmax(0, 1fr)", weights = false }: Props) {
  const { ways, put, keepAsUsual, error } = useWays(job);
  const view = ways.data;
  return (
    <Fold title={view && view.own.length > 0 ? "My way of working: another one in this job" : "My way of working"}>
      {!view ? null : (
        <Box display="grid" gap="3" pt="1">
          <WayFields view={view} put={put} columns={columns} but={(usual) => `In this job only: as a rule ${usual}.`} />
          {weights && (
            <Fold title="What counts how much">
              <WeightFields view={view} put={put} />
            </Fold>
          )}
          {error && <Trouble what="Your way of working cannot be kept." why={error.message} />}
          {view.own.length > 0 && (
            <Flex gap="2" wrap="wrap">
              <Button onClick={() => void put([]).catch(() => undefined)}>Back to my usual way</Button>
              <Button variant="quiet" onClick={() => keepAsUsual(view)}>
                Make this my usual way
              </Button>
            </Flex>
          )}
        </Box>
      )}
    </Fold>
  );
}
