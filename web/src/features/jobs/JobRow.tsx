import { Box, chakra, Flex } from "@chakra-ui/react";
import { useMutation, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import { api, unwrap, type Schemas } from "../../api/client";
import { Card, levelColour, levelWord } from "../../ui/pieces";
import { Button, Input } from "../../ui/controls";
import { workStationWords } from "../../ui/words";

interface Props {
  job: Schemas["JobSummary"];
  onChanged: () => void;
  onDuplicate: (name: string) => void;
}

/** Where the work on a job stands, and what its plan comes to; nothing while that is worked out. */
function Standing({ job }: { job: Schemas["JobSummary"] }) {
  const { data } = useQuery({
    queryKey: ["standing", job.id, job.changedAt],
    queryFn: ({ signal }) => unwrap(api.GET("/api/jobs/{id}/standing", { params: { path: { id: job.id } }, signal })),
    staleTime: Infinity,
  });
  return data ? (
    <span title={data.verdict.sentence}>
      {workStationWords[data.station]},{" "}
      <chakra.b fontWeight="600" color={levelColour(data.verdict.kind)}>
        {levelWord(data.verdict.kind).toLowerCase()}
      </chakra.b>
      {data.missing > 0 && `, ${data.missing} not known`} ·
    </span>
  ) : null;
}

/** One job in the list. Archiving it can be undone, so nothing is asked first. */
export function JobRow({ job, onChanged, onDuplicate }: Props) {
  const [renaming, setRenaming] = useState<string | null>(null);
  const edit = useMutation({
    mutationFn: (body: Schemas["JobEdit"]) => unwrap(api.PATCH("/api/jobs/{id}", { params: { path: { id: job.id } }, body })),
    onSuccess: () => {
      setRenaming(null);
      onChanged();
    },
  });
  return (
    <Card as="li" display="flex" flexWrap="wrap" gap="2" alignItems="center" justifyContent="space-between">
      {renaming === null ? (
        <Box minW="0">
          <chakra.span fontSize="lg" fontWeight="700" css={{ overflowWrap: "anywhere" }}>
            <Link to={`/jobs/${job.id}/plan`}>{job.name}</Link>
          </chakra.span>
          <Box color="muted" fontSize="sm">
            <Standing job={job} /> changed {new Date(job.changedAt).toLocaleString("en-GB", { dateStyle: "medium", timeStyle: "short" })}
          </Box>
        </Box>
      ) : (
        <chakra.form
          display="flex"
          gap="2"
          flex="1"
          onSubmit={(e) => {
            e.preventDefault();
            edit.mutate({ name: renaming, archived: null });
          }}
        >
          <Input
            aria-label={`New name of ${job.name}`}
            value={renaming}
            maxLength={80}
            autoFocus
            onChange={(e) => setRenaming(e.target.value)}
          />
          <Button type="submit" variant="main">
            Rename
          </Button>
          <Button variant="quiet" onClick={() => setRenaming(null)}>
            Cancel
          </Button>
        </chakra.form>
      )}
      <Flex gap="1" wrap="wrap">
        {renaming === null && (
          <Button variant="quiet" aria-label={`Rename ${job.name}`} onClick={() => setRenaming(job.name)}>
            Rename
          </Button>
        )}
        <chakra.a
          href={`/api/jobs/${job.id}/design`}
          download
          textDecoration="none"
          display="inline-flex"
          alignItems="center"
          minH="8"
          px="3"
          fontWeight="600"
          color="ink"
          aria-label={`Save as file: ${job.name}`}
        >
          Save as file
        </chakra.a>
        <Button variant="quiet" aria-label={`Duplicate ${job.name}`} onClick={() => onDuplicate(`${job.name.slice(0, 73)}, copy`)}>
          Duplicate
        </Button>
        <Button
          variant="quiet"
          aria-label={`${job.archived ? "Unarchive" : "Archive"} ${job.name}`}
          onClick={() => edit.mutate({ name: null, archived: !job.archived })}
        >
          {job.archived ? "Unarchive" : "Archive"}
        </Button>
      </Flex>
      {edit.isError && (
        <Box role="alert" color="brick" width="100%">
          {edit.error.message}
        </Box>
      )}
    </Card>
  );
}
