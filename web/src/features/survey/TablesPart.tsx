import { Box, chakra, Flex } from "@chakra-ui/react";
import { useState } from "react";
import { ProblemError, type FileError, type JobState, type Schemas } from "../../api/client";
import { Button } from "../../ui/controls";
import { Card, Labelled } from "../../ui/pieces";
import { FilePick } from "../../ui/FilePick";
import { keysOf, tableWords } from "../../ui/words";
import { FileErrors } from "../../ui/FileErrors";
import { useDownload } from "../../ui/useDownload";
import type { JobTools } from "../shared/jobTools";

/** The survey as tables, both ways, and the whole home as a file. */
export function TablesPart({ state, tools }: { state: JobState; tools: JobTools }) {
  const [table, setTable] = useState<Schemas["SurveyTable"]>("gear");
  const [refused, setRefused] = useState<{ name: string; errors: FileError[] } | null>(null);
  const [said, setSaid] = useState<string | null>(null);
  const download = useDownload();
  const take = async (file: File) => {
    setRefused(null);
    setSaid(null);
    try {
      await tools.takeTable(table, await file.text());
      setSaid(`${file.name} is read into ${tableWords[table].toLowerCase()}.`);
    } catch (e) {
      const problem = e instanceof ProblemError ? e.problem : null;
      setRefused({
        name: file.name,
        errors: problem?.errors ?? [{ pointer: "", found: "a file that was not taken", allowed: (e as Error).message }],
      });
    }
  };
  return (
    <Box
      display="grid"
      gap="3"
      gridTemplateColumns={{ base: "minmax(0, 1fr)", lg: "minmax(0, 1fr) minmax(0, 1fr)" }}
      alignItems="start"
      maxW="64rem"
    >
      <Card as="section" aria-label="Tables">
        <chakra.h2 fontSize="lg">As tables</chakra.h2>
        <Box fontSize="sm" color="muted" mb="2">
          Comma-separated text with a row of heads. No table holds passwords.
        </Box>
        <Box as="ul" display="grid" gap="1">
          {keysOf(tableWords).map((t) => (
            <li key={t}>
              <a href={`/api/jobs/${state.job.id}/survey/${t}.csv`} download>
                {tableWords[t]} as CSV
              </a>
            </li>
          ))}
        </Box>
        <chakra.h3 fontSize="md" mt="4">
          Import one
        </chakra.h3>
        <Box fontSize="sm" color="muted" mb="2">
          A row with an id or name that is there changes it, any other adds one; nothing is removed. With one wrong cell, nothing is
          imported.
        </Box>
        <Flex gap="2" wrap="wrap" role="group" aria-label="Which table" mb="2">
          {keysOf(tableWords).map((t) => (
            <Button key={t} variant={t === table ? "act" : "quiet"} aria-pressed={t === table} onClick={() => setTable(t)}>
              {tableWords[t]}
            </Button>
          ))}
        </Flex>
        <Labelled label={`Table of ${tableWords[table].toLowerCase()}`}>
          {(ids) => <FilePick {...ids} accept=".csv,text/csv,text/plain" take={(file) => void take(file)} />}
        </Labelled>
        {said && <Box role="status">{said}</Box>}
        {refused && <FileErrors name={refused.name} errors={refused.errors} />}
      </Card>
      <Card as="section" aria-label="The whole home">
        <chakra.h2 fontSize="lg">The whole home</chakra.h2>
        <Box mt="1">
          <a href={`/api/jobs/${state.job.id}/design`} download>
            Design file, without passwords
          </a>
        </Box>
        <Box fontSize="sm" color="muted" mt="3" mb="1">
          A file with passwords opens the whole home: keep it where you would keep a door key.
        </Box>
        <Button
          disabled={download.busy}
          onClick={() => download.get({ address: `/api/jobs/${state.job.id}/design/with-secrets`, method: "POST" })}
        >
          Design file with passwords
        </Button>
        {download.error && (
          <Box role="alert" color="brick" fontSize="sm">
            {download.error}
          </Box>
        )}
      </Card>
    </Box>
  );
}
