import { Box } from "@chakra-ui/react";
import type { Schemas } from "../../api/client";
import { Labelled } from "../../ui/pieces";
import { Select } from "../../ui/controls";
import { TakeSheet } from "./TakeSheet";

interface Props {
  job: number;
  /** The one that is shown; null for none. */
  chosen: number | null;
  all: readonly Schemas["SheetInfo"][];
  choose: (id: number) => void;
}

/** The lists of acts that the job keeps, and a way to take in another. */
export function OtherSheets({ job, chosen, all, choose }: Props) {
  return (
    <>
      {all.length > (chosen === null ? 0 : 1) && (
        <Box my="2">
          <Labelled label="Shown">
            {(ids) => (
              <Select {...ids} value={chosen ?? ""} onChange={(e) => choose(Number(e.target.value))}>
                {chosen === null && <option value="">the one that is worked out</option>}
                {all.map((s) => (
                  <option key={s.id} value={s.id}>
                    {s.name}
                  </option>
                ))}
              </Select>
            )}
          </Labelled>
        </Box>
      )}
      {chosen !== null && (
        <Box my="2">
          <a href={`/api/jobs/${job}/sheets/${chosen}/content`}>Save this one as a file</a>
        </Box>
      )}
      <TakeSheet job={job} taken={choose} />
    </>
  );
}
