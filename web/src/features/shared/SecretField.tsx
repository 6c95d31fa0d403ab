import { Box, Flex } from "@chakra-ui/react";
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { api, unwrap } from "../../api/client";
import { Button, Input, Mono } from "../../ui/controls";
import { Labelled } from "../../ui/pieces";
import { secretWords } from "../../ui/words";

/** The passwords of a job: references and how they stand, never values. */
export function useSecrets(job: number) {
  return useQuery({
    queryKey: ["secrets", job],
    queryFn: ({ signal }) => unwrap(api.GET("/api/jobs/{id}/secrets", { params: { path: { id: job } }, signal })),
  });
}

const ask = (job: number, reference: string) =>
  unwrap(api.POST("/api/jobs/{id}/secrets/{reference}/shown", { params: { path: { id: job, reference } } }));

/** Shows a value for half a minute, or copies it without showing it. */
export function SecretValue({ job, reference, name }: { job: number; reference: string; name: string }) {
  const [shown, setShown] = useState<string | null>(null);
  const [said, setSaid] = useState<string | null>(null);
  useEffect(() => {
    if (shown === null) {
      return;
    }
    const hide = setTimeout(() => setShown(null), 30_000);
    return () => clearTimeout(hide);
  }, [shown]);
  const failed = (e: Error) => setSaid(e.message);
  return (
    <Flex gap="1.5" align="center" wrap="wrap">
      <Mono whiteSpace="normal" css={{ overflowWrap: "anywhere" }} aria-hidden={shown === null || undefined}>
        {shown ?? "••••••••"}
      </Mono>
      <Button
        variant="quiet"
        px="2"
        aria-pressed={shown !== null}
        aria-label={`${shown === null ? "Show" : "Hide"}: ${name}`}
        onClick={() => (shown === null ? ask(job, reference).then((s) => setShown(s.value), failed) : setShown(null))}
      >
        {shown === null ? "Show" : "Hide"}
      </Button>
      <Button
        variant="quiet"
        px="2"
        aria-label={`Copy: ${name}`}
        onClick={() =>
          ask(job, reference)
            .then((s) => navigator.clipboard.writeText(s.value))
            .then(() => setSaid("copied"), failed)
        }
      >
        Copy
      </Button>
      {said && (
        <Box as="span" role="status" fontSize="xs" color="muted">
          {said}
        </Box>
      )}
    </Flex>
  );
}

/** Types a key or password, or has one made, and gives its reference on. The value itself is forgotten at once. */
export function SecretTyping({
  job,
  label,
  save,
  done,
  make = true,
}: {
  job: number;
  label: string;
  save: (value: string | null) => Promise<unknown>;
  done?: () => void;
  make?: boolean;
}) {
  const client = useQueryClient();
  const [value, setValue] = useState("");
  const saving = useMutation({
    mutationFn: save,
    onSuccess: () => {
      setValue("");
      void client.invalidateQueries({ queryKey: ["secrets", job] });
      // A key that was typed twice becomes one reference, and the job moves on by it.
      void client.invalidateQueries({ queryKey: ["job", job] });
      done?.();
    },
  });
  return (
    <Labelled label={label} error={saving.error?.message}>
      {(ids) => (
        <Flex gap="1.5" wrap="wrap">
          <Input
            {...ids}
            flex="1 1 9rem"
            width="auto"
            type="password"
            autoComplete="new-password"
            fontFamily="mono"
            maxLength={200}
            value={value}
            onChange={(e) => setValue(e.target.value)}
            onBlur={() => value !== "" && !saving.isPending && saving.mutate(value)}
            onKeyDown={(e) => {
              if (e.key === "Enter" && value !== "" && !saving.isPending) {
                saving.mutate(value);
              } else if (e.key === "Escape") {
                setValue("");
                done?.();
              }
            }}
          />
          {make && (
            <Button
              variant="quiet"
              aria-label={`Make one: ${label}`}
              disabled={saving.isPending}
              onMouseDown={(e) => e.preventDefault()}
              onClick={() => saving.mutate(null)}
            >
              Make one
            </Button>
          )}
        </Flex>
      )}
    </Labelled>
  );
}

/** A key or password that something uses by reference. What is read off a label is not made. */
export function SecretField({
  job,
  label,
  name,
  reference,
  refer,
  make = true,
}: {
  job: number;
  label: string;
  name: string;
  reference: string | null;
  refer: (reference: string | null) => Promise<unknown>;
  make?: boolean;
}) {
  const secrets = useSecrets(job);
  const [typing, setTyping] = useState(false);
  const state = reference === null ? null : (secrets.data?.find((s) => s.reference === reference)?.state ?? "notTyped");
  const keep = async (value: string | null) =>
    refer((await unwrap(api.POST("/api/jobs/{id}/secrets", { params: { path: { id: job } }, body: { value, name } }))).reference);
  if (reference === null || typing) {
    return <SecretTyping job={job} label={label} make={make} save={keep} done={() => setTyping(false)} />;
  }
  if (state !== "held") {
    return (
      <SecretTyping
        job={job}
        label={`${label}: ${secretWords[state ?? "notTyped"]}`}
        make={false}
        save={(value) =>
          unwrap(api.PUT("/api/jobs/{id}/secrets/{reference}", { params: { path: { id: job, reference } }, body: { value: value ?? "" } }))
        }
      />
    );
  }
  return (
    <Box minW="0">
      <Box fontSize="xs" color="muted" mb="0.5">
        {label}
      </Box>
      <SecretValue job={job} reference={reference} name={label} />
      <Flex gap="1.5">
        <Button variant="quiet" px="2" aria-label={`Another one: ${label}`} onClick={() => setTyping(true)}>
          Another one
        </Button>
        <Button variant="quiet" px="2" aria-label={`None: ${label}`} onClick={() => void refer(null)}>
          None
        </Button>
      </Flex>
    </Box>
  );
}
