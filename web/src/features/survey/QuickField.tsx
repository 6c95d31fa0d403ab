import { Box, chakra, Flex } from "@chakra-ui/react";
import { useQuery } from "@tanstack/react-query";
import { useDeferredValue, useEffect, useId, useRef, useState } from "react";
import { api, unwrap, type JobState, type Schemas } from "../../api/client";
import { Button, Input, Mono, TextArea } from "../../ui/controls";
import type { JobTools } from "../shared/jobTools";

interface Props {
  list: Schemas["QuickList"];
  label: string;
  example: string;
  state: JobState;
  tools: JobTools;
  /** Whether typing begins here. */
  first: boolean;
  /** Goes on to the next list: Enter in an empty field. */
  next: () => void;
}

/** The id of the field of a list. */
export const quickId = (list: Schemas["QuickList"]) => `quick-${list}`;

/** Lines that were not taken, with the reason; they are kept until they are corrected or dropped. */
interface Refused {
  key: number;
  text: string;
  why: string;
}

/**
 * A line for each thing, read while it is typed and taken on Enter. Nothing waits for the answer: the next line can be typed
 * at once, and what is refused comes back below the field.
 */
export function QuickField({ list, label, example, state, tools, first, next }: Props) {
  const [text, setText] = useState("");
  const [refused, setRefused] = useState<Refused[]>([]);
  const read = useReading(state, list, text);
  const line = read?.at(-1);

  const take = (lines: string) => {
    tools
      .enter(list, lines)
      .catch((e: Error) => setRefused((all) => [...all, { key: (all.at(-1)?.key ?? 0) + 1, text: lines, why: e.message }]));
  };
  const enter = () => {
    if (text.trim() === "") {
      next();
      return;
    }
    take(text);
    setText("");
  };
  const id = quickId(list);
  return (
    <Box>
      <chakra.label htmlFor={id} display="block" fontSize="xs" color="muted" mb="0.5">
        {label}
      </chakra.label>
      <Flex gap="2">
        <Input
          id={id}
          autoFocus={first}
          value={text}
          placeholder={example}
          spellCheck={false}
          autoComplete="off"
          maxLength={500}
          aria-describedby={`${id}-read`}
          _placeholder={{ color: "muted", fontStyle: "italic" }}
          onChange={(e) => setText(e.target.value)}
          onKeyDown={(e) => {
            if (e.key === "Enter") {
              enter();
            } else if (e.key === "Escape") {
              setText("");
            }
          }}
          onPaste={(e) => {
            const pasted = e.clipboardData.getData("text");
            if (pasted.trim().includes("\n")) {
              // A pasted list is taken as it is, line by line.
              e.preventDefault();
              take(text + pasted);
              setText("");
            }
          }}
        />
        <Button disabled={text.trim() === ""} onClick={enter}>
          Add
        </Button>
      </Flex>
      <Flex id={`${id}-read`} aria-live="polite" gap="1.5" wrap="wrap" fontSize="xs" minH="1.5rem" mt="0.5" align="baseline">
        {line &&
          text.trim() !== "" &&
          line.parts.map((part, i) => {
            // The last part is still being typed: that it is not known yet is no error.
            const typing = i === line.parts.length - 1 && i > 0;
            return (
              <chakra.span key={i} color={part.means || typing ? "muted" : "brick"}>
                <chakra.b color={part.means || typing ? "ink" : "brick"}>{part.text}</chakra.b>{" "}
                {part.means ?? (typing ? "…" : "not understood")}
              </chakra.span>
            );
          })}
        {line?.error && line.parts.slice(0, -1).some((p) => !p.means) && <chakra.span color="brick">{line.error}</chakra.span>}
      </Flex>
      {refused.map((r) => (
        <Back
          key={r.key}
          refused={r}
          list={list}
          state={state}
          // A person who types the next line already is not called back from it.
          calls={text === ""}
          take={(lines) => {
            setRefused((all) => all.filter((x) => x !== r));
            take(lines);
            document.getElementById(id)?.focus();
          }}
          drop={() => {
            setRefused((all) => all.filter((x) => x !== r));
            document.getElementById(id)?.focus();
          }}
        />
      ))}
    </Box>
  );
}

interface BackProps {
  refused: Refused;
  list: Schemas["QuickList"];
  state: JobState;
  /** Whether what may be meant takes the focus. */
  calls: boolean;
  take: (lines: string) => void;
  drop: () => void;
}

/**
 * What was not taken, line by line as it was, with the reason; it is corrected here and taken again. What a single line may mean is
 * picked with one digit.
 */
function Back({ refused, list, state, calls, take, drop }: BackProps) {
  const [text, setText] = useState(refused.text);
  const why = useId();
  const read = useReading(state, list, text.includes("\n") ? "" : text);
  const offers = text.includes("\n") ? [] : (read?.at(-1)?.offers ?? []);
  return (
    <Box role="alert" fontSize="sm" bg="clay.1" rounded="md" px="2" py="1" mt="1">
      <Box id={why} color="brick">
        {refused.why}
      </Box>
      {offers.length > 0 && <Offers offers={offers} calls={calls} take={take} drop={drop} />}
      <Flex gap="2" align="start" wrap="wrap">
        <TextArea
          aria-label="Not added yet"
          aria-describedby={why}
          flex="1 1 14rem"
          width="auto"
          rows={Math.min(8, text.split("\n").length)}
          spellCheck={false}
          value={text}
          onChange={(e) => setText(e.target.value)}
          onKeyDown={(e) => {
            if (e.key === "Enter" && !text.includes("\n")) {
              e.preventDefault();
              take(text);
            }
          }}
        />
        <Button disabled={text.trim() === ""} onClick={() => take(text)}>
          Add it
        </Button>
        <Button variant="quiet" onClick={drop}>
          Discard it
        </Button>
      </Flex>
    </Box>
  );
}

/** What a line may mean, numbered; a digit picks one, Escape discards the line. */
function Offers({
  offers,
  calls,
  take,
  drop,
}: {
  offers: Schemas["QuickOffer"][];
  calls: boolean;
  take: (line: string) => void;
  drop: () => void;
}) {
  const first = useRef<HTMLButtonElement>(null);
  // Only when they come: who goes on typing afterwards is not called back.
  const [called] = useState(calls);
  useEffect(() => {
    if (called) {
      first.current?.focus();
    }
  }, [called]);
  return (
    <Box
      role="group"
      aria-label="What is meant? A digit picks one"
      display="grid"
      gap="1"
      gridTemplateColumns={{ base: "1fr", sm: "1fr 1fr" }}
      my="1"
      onKeyDown={(e) => {
        const picked = /^[1-9]$/.test(e.key) ? offers[Number(e.key) - 1] : undefined;
        if (picked) {
          e.preventDefault();
          take(picked.line);
        } else if (e.key === "Escape") {
          drop();
        }
      }}
    >
      <Box gridColumn="1 / -1" color="muted" fontSize="xs">
        Press its digit:
      </Box>
      {offers.map((offer, i) => (
        <Button key={offer.line} ref={i === 0 ? first : undefined} justifyContent="start" px="2" onClick={() => take(offer.line)}>
          <Mono color="muted">{i + 1}</Mono> {offer.says}
        </Button>
      ))}
    </Box>
  );
}

/** What the server takes the line for. A reading that does not come says nothing: what is entered is judged again. */
function useReading(state: JobState, list: Schemas["QuickList"], text: string): Schemas["QuickLine"][] | undefined {
  const asked = useDeferredValue(text);
  return useQuery({
    queryKey: ["reading", state.job.id, state.version, list, asked],
    queryFn: ({ signal }) =>
      unwrap(api.POST("/api/jobs/{id}/survey/read", { params: { path: { id: state.job.id } }, body: { list, text: asked }, signal })),
    enabled: asked.trim() !== "",
    gcTime: 0,
    placeholderData: (before) => before,
  }).data;
}
