import { Box, chakra, Flex } from "@chakra-ui/react";
import { useEffect } from "react";
import { Button } from "../../ui/controls";
import { Card, Trouble, Waiting } from "../../ui/pieces";
import { TopBar } from "../../ui/TopBar";
import { useWays } from "../shared/useWays";
import { WayFields } from "../shared/WayFields";
import { WeightFields } from "../shared/WeightFields";

/** How the installer goes about it in every job, but for those that say otherwise. */
export default function WaysScreen() {
  const { ways, put, error } = useWays(null);
  const view = ways.data;
  useEffect(() => {
    document.title = "My way of working · Altrin";
  }, []);
  return (
    <Box maxW="70rem" mx="auto" p={{ base: "3", md: "6" }}>
      <TopBar />
      <chakra.main display="grid" gap="4">
        <Flex justify="space-between" align="center" gap="3" wrap="wrap">
          <chakra.h1 fontSize="xl">My way of working</chakra.h1>
          {view && view.own.length > 0 && <Button onClick={() => void put([]).catch(() => undefined)}>Back to what is usual</Button>}
        </Flex>
        <Box color="muted">
          Good installers differ, and none of these ways is wrong. What is chosen here holds in every job, but where a job says otherwise.
          Plans and run sheets follow it, and say where they depart from it.
        </Box>
        {error && <Trouble what="Your way of working cannot be kept." why={error.message} />}
        {ways.isError ? (
          <Trouble what="Your way of working cannot be read." why={ways.error.message} again={() => void ways.refetch()} />
        ) : !view ? (
          <Waiting what="Reading your way of working" />
        ) : (
          <>
            <Card>
              <WayFields
                view={view}
                put={put}
                columns={{ base: "minmax(0, 1fr)", md: "1fr 1fr", lg: "1fr 1fr 1fr" }}
                but={(usual) => `Usual: ${usual}.`}
              />
            </Card>
            <Card>
              <chakra.h2 fontSize="lg">What counts how much</chakra.h2>
              <WeightFields view={view} put={put} />
            </Card>
          </>
        )}
      </chakra.main>
    </Box>
  );
}
