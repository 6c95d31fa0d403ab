import { Box, chakra, Flex } from "@chakra-ui/react";
import { Link } from "react-router";
import type { JobState } from "../../api/client";
import { Button } from "../../ui/controls";
import type { JobTools } from "../shared/jobTools";

/** Set-ups that are kept beside what was found and what is planned. */
export function KeptOptions({ state, tools }: { state: JobState; tools: JobTools }) {
  const kept = state.setUps.filter((s) => s !== "found" && s !== "planned");
  return kept.length === 0 ? null : (
    <Box>
      <chakra.h2 fontSize="md" fontWeight="700">
        Kept for later
      </chakra.h2>
      {kept.map((name) => (
        <Flex key={name} gap="3" align="center" wrap="wrap">
          <Link to={`../plan?setUp=${name}`} relative="path">
            {name}
          </Link>
          {state.setUps.includes("planned") && (
            <Link
              to={`../plan?setUp=planned&compare&before=${state.revision}.planned&after=${state.revision}.${name}`}
              relative="path"
              aria-label={`Compare ${name} with the plan`}
            >
              Compare it with the plan
            </Link>
          )}
          <Button variant="quiet" aria-label={`Remove ${name}`} onClick={() => tools.correctNow([{ kind: "removeSetUp", name }])}>
            Remove
          </Button>
        </Flex>
      ))}
    </Box>
  );
}
