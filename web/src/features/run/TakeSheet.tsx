import { Box } from "@chakra-ui/react";
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api, ProblemError, unwrap, type FileError } from "../../api/client";
import { FileErrors } from "../../ui/FileErrors";
import { FilePick } from "../../ui/FilePick";
import { Labelled } from "../../ui/pieces";

/** Takes a list of acts in as a run sheet of the job. */
export function TakeSheet({ job, taken }: { job: number; taken: (id: number) => void }) {
  const client = useQueryClient();
  const [refused, setRefused] = useState<{ name: string; errors: FileError[] } | null>(null);
  const take = useMutation({
    mutationFn: async (file: File) =>
      unwrap(
        api.POST("/api/jobs/{id}/sheets", {
          params: { path: { id: job } },
          body: { name: file.name, content: await file.text() },
        }),
      ),
    onMutate: () => setRefused(null),
    onSuccess: async (kept) => {
      await client.invalidateQueries({ queryKey: ["sheets", job] });
      taken(kept.id);
    },
    onError: (error, file) => {
      const problem = error instanceof ProblemError ? error.problem : null;
      setRefused({
        name: file.name,
        errors: problem?.errors ?? [{ pointer: "", found: "a file that was not taken", allowed: error.message }],
      });
    },
  });
  return (
    <>
      <Labelled label="Take in a list of acts" hint="A file of the format altrin-acts; docs/acts.md says what stands in it.">
        {(ids) => <FilePick {...ids} accept=".json,application/json" take={(file) => take.mutate(file)} />}
      </Labelled>
      {take.isPending && (
        <Box role="status" color="muted" fontSize="sm">
          Taking it in
        </Box>
      )}
      {refused && <FileErrors {...refused} />}
    </>
  );
}
