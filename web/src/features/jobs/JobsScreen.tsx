import { Box, chakra, Flex } from "@chakra-ui/react";
import { keepPreviousData, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useDeferredValue, useState } from "react";
import { Link, useNavigate } from "react-router";
import { api, ProblemError, unwrap, type FileError, type Schemas } from "../../api/client";
import { Card, Labelled, Trouble, Waiting } from "../../ui/pieces";
import { ColourSwitch } from "../../ui/ColourSwitch";
import { FilePick } from "../../ui/FilePick";
import { FileErrors } from "../../ui/FileErrors";
import { JobRow } from "./JobRow";
import { WordSelect } from "../../ui/WordSelect";
import { Button, Input } from "../../ui/controls";

type Summary = Schemas["JobSummary"];

const orderWords = { changed: "last changed first", created: "newest first", name: "by name" } as const;
type Order = keyof typeof orderWords;

/** The list of jobs: one home is one job. */
export function JobsScreen() {
  const [search, setSearch] = useState("");
  const [archived, setArchived] = useState(false);
  const [page, setPage] = useState(1);
  const [order, setOrder] = useState<Order>("changed");
  const [refused, setRefused] = useState<{ name: string; errors: FileError[] } | null>(null);
  const wanted = useDeferredValue(search);
  const client = useQueryClient();
  const navigate = useNavigate();

  const jobs = useQuery({
    queryKey: ["jobs", wanted, archived, order, page],
    queryFn: ({ signal }) =>
      unwrap(api.GET("/api/jobs", { params: { query: { search: wanted, archived, order, page, perPage: 50 } }, signal })),
    placeholderData: keepPreviousData,
  });
  const open = (job: Summary) => navigate(`/jobs/${job.id}/plan`);
  const create = useMutation({
    mutationFn: (body: Schemas["NewJob"]) => unwrap(api.POST("/api/jobs", { body })),
    // A copy goes on where the plan is, an empty home begins with the survey.
    onSuccess: (job, asked) => (asked.from === null ? navigate(`/jobs/${job.id}/survey`) : open(job)),
  });
  const importing = useMutation({
    mutationFn: async (file: File) => {
      const text = await file.text();
      return unwrap(
        api.POST("/api/jobs/import", {
          body: text as never,
          bodySerializer: () => text,
          headers: { "content-type": "application/json" },
        }),
      );
    },
    onMutate: () => setRefused(null),
    onSuccess: open,
    onError: (error, file) => {
      const problem = error instanceof ProblemError ? error.problem : null;
      setRefused({
        name: file.name,
        errors: problem?.errors ?? [{ pointer: "", found: "a file that was not taken", allowed: error.message }],
      });
    },
  });
  const refresh = () => client.invalidateQueries({ queryKey: ["jobs"] });
  const pages = jobs.data ? Math.max(1, Math.ceil(jobs.data.total / jobs.data.perPage)) : 1;

  return (
    <Box maxW="60rem" mx="auto" p={{ base: "3", md: "6" }}>
      <Flex as="header" align="center" justify="space-between" mb="5">
        <chakra.span fontSize="1.5rem" fontWeight="800" color="copper">
          altrin
        </chakra.span>
        <Flex gap="4" align="center">
          <Link to="/shelf">Gear shelf</Link>
          <Link to="/ways">My way of working</Link>
          <ColourSwitch />
        </Flex>
      </Flex>
      <chakra.main>
        <chakra.h1 fontSize="xl" mb="3">
          Jobs
        </chakra.h1>
        <Box display="grid" gap="4" gridTemplateColumns={{ base: "1fr", md: "1fr 1fr" }} alignItems="start" mb="5">
          <NewJob busy={create.isPending} error={create.error?.message} onCreate={(name) => create.mutate({ name, from: null })} />
          <Card>
            <chakra.h2 fontSize="lg">Open a design file</chakra.h2>
            <Box color="muted" fontSize="sm" mb="2">
              A file that Altrin wrote, up to 2 MB. It becomes a new job.
            </Box>
            <Labelled label="Design file">
              {(ids) => <FilePick {...ids} accept=".json,application/json" take={(file) => importing.mutate(file)} />}
            </Labelled>
            {importing.isPending && <Box role="status">Reading the file</Box>}
            {refused && <FileErrors name={refused.name} errors={refused.errors} />}
          </Card>
        </Box>
        <Flex gap="3" wrap="wrap" align="end" mb="4">
          <Box flex="1 1 14rem">
            <Labelled label="Search by name">
              {(ids) => (
                <Input
                  {...ids}
                  type="search"
                  value={search}
                  onChange={(e) => {
                    setSearch(e.target.value);
                    setPage(1);
                  }}
                />
              )}
            </Labelled>
          </Box>
          <Box flex="0 1 12rem">
            <WordSelect
              label="Order"
              words={orderWords}
              value={order}
              onChange={(o) => {
                setOrder(o);
                setPage(1);
              }}
            />
          </Box>
          <Button
            onClick={() => {
              setArchived(!archived);
              setPage(1);
            }}
          >
            {archived ? "Show open jobs" : "Show archived jobs"}
          </Button>
        </Flex>
        {jobs.isError ? (
          <Trouble what="The jobs cannot be read." why={jobs.error.message} again={() => void jobs.refetch()} />
        ) : !jobs.data ? (
          <Waiting what="Reading the jobs" />
        ) : jobs.data.items.length === 0 ? (
          <Card>
            {wanted
              ? `No ${archived ? "archived" : "open"} job has "${wanted}" in its name.`
              : archived
                ? "No job is archived."
                : "No job yet. Begin with a new one below, or open a design file."}
          </Card>
        ) : (
          <Box as="ul" display="grid" gap="2" aria-label={archived ? "Archived jobs" : "Open jobs"}>
            {jobs.data.items.map((job) => (
              <JobRow
                key={job.id}
                job={job}
                onChanged={() => void refresh()}
                onDuplicate={(name) => create.mutate({ name, from: job.id })}
              />
            ))}
          </Box>
        )}
        {pages > 1 && (
          <Flex as="nav" aria-label="Pages" gap="2" mt="3" align="center">
            <Button disabled={page <= 1} onClick={() => setPage(page - 1)}>
              Back
            </Button>
            <span>
              Page {page} of {pages}, {jobs.data?.total ?? 0} jobs
            </span>
            <Button disabled={page >= pages} onClick={() => setPage(page + 1)}>
              Further
            </Button>
          </Flex>
        )}
      </chakra.main>
    </Box>
  );
}

function NewJob({ busy, error, onCreate }: { busy: boolean; error?: string; onCreate: (name: string) => void }) {
  const [name, setName] = useState("");
  return (
    <Card as="section">
      <chakra.h2 fontSize="lg">New job</chakra.h2>
      <Box color="muted" fontSize="sm" mb="2">
        An empty home; it begins with the survey.
      </Box>
      <chakra.form
        display="flex"
        gap="2"
        alignItems="end"
        onSubmit={(e) => {
          e.preventDefault();
          onCreate(name);
        }}
      >
        <Box flex="1">
          <Labelled label="Name of the home" error={error}>
            {(ids) => <Input {...ids} value={name} maxLength={80} onChange={(e) => setName(e.target.value)} />}
          </Labelled>
        </Box>
        <Button type="submit" variant="main" disabled={busy || name.trim() === ""}>
          Create
        </Button>
      </chakra.form>
    </Card>
  );
}
