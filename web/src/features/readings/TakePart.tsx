import { Box, chakra, Flex } from "@chakra-ui/react";
import { useDeferredValue, useState } from "react";
import type { JobState, Schemas } from "../../api/client";
import { Button, Mono, TextArea } from "../../ui/controls";
import { FilePick } from "../../ui/FilePick";
import { Fold } from "../../ui/Fold";
import { Card, Labelled } from "../../ui/pieces";
import type { JobTools } from "../shared/jobTools";
import { contentOf, isEmpty } from "./content";
import { Taken, WhereFields, type Where } from "./Taken";

export interface Draft {
  content: Schemas["ReadingContent"];
  /** The file that it came from; null where it was pasted. */
  file: string | null;
}

interface Props {
  state: JobState;
  tools: JobTools;
  where: Where;
  setWhere: (where: Where) => void;
  draft: Draft;
  setDraft: (draft: Draft) => void;
}

/** Pasted, dropped or picked: what a machine printed, read at once. */
export function TakePart({ state, tools, where, setWhere, draft, setDraft }: Props) {
  const [said, setSaid] = useState<string | null>(null);
  const [over, setOver] = useState(false);
  const content = useDeferredValue(draft.content);
  const pick = async (file: File | undefined) => {
    if (file) {
      setSaid(null);
      setDraft({ content: await contentOf(file), file: file.name });
    }
  };
  const empty = isEmpty(content);
  return (
    <Box display="grid" gap="4" gridTemplateColumns={{ base: "minmax(0, 1fr)", lg: "minmax(0, 1fr) minmax(0, 1.1fr)" }} alignItems="start">
      <Card
        as="section"
        aria-label="What was printed"
        borderColor={over ? "copper" : "line"}
        onDragOver={(e) => {
          e.preventDefault();
          setOver(true);
        }}
        onDragLeave={() => setOver(false)}
        onDrop={(e) => {
          e.preventDefault();
          setOver(false);
          void pick(e.dataTransfer.files[0]);
        }}
      >
        <WhereFields state={state} where={where} set={setWhere} />
        <Box mt="3">
          {draft.content.capture === undefined ? (
            <Labelled label="What the machine printed, as it is">
              {(ids) => (
                <TextArea
                  {...ids}
                  rows={14}
                  fontFamily="mono"
                  fontSize="sm"
                  spellCheck={false}
                  placeholder="Paste here, or drop a file"
                  value={draft.content.text ?? ""}
                  onChange={(e) => {
                    setSaid(null);
                    setDraft({ content: { text: e.target.value }, file: null });
                  }}
                />
              )}
            </Labelled>
          ) : (
            <Box>
              A capture: <Mono>{draft.file}</Mono>
            </Box>
          )}
        </Box>
        <Flex gap="3" mt="2" align="end" wrap="wrap">
          <Labelled label="Or a file: a text, a lease file, a capture">
            {(ids) => <FilePick {...ids} accept="" take={(file) => void pick(file)} />}
          </Labelled>
          {!isEmpty(draft.content) && (
            <Button variant="quiet" onClick={() => setDraft({ content: { text: "" }, file: null })}>
              Clear
            </Button>
          )}
        </Flex>
        <Fold title="What can be read" mt="3">
          <Box color="muted" mt="1">
            Any of these, alone or one after another, in any language, with prompts and noise around:
            <chakra.ul ps="4" listStyleType="disc">
              {readable.map((r) => (
                <li key={r}>
                  <chakra.span fontFamily="mono">{r}</chakra.span>
                </li>
              ))}
              <li>a box&apos;s list of devices, copied from its page or saved</li>
              <li>lease files of DHCP servers, logs of DHCP clients</li>
              <li>a capture (pcap, pcapng) with DHCP or ARP messages in it</li>
            </chakra.ul>
          </Box>
        </Fold>
      </Card>
      <Card as="section" aria-label="What it says" minH="12rem">
        {said && (
          <Box role="status" mb="2" color="moss" fontWeight="600">
            {said}
          </Box>
        )}
        {empty && !said && (
          <Box color="muted">
            What was read stands here, beside what is recorded: what agrees, what does not and what would explain it, and what can be
            accepted into the survey.
          </Box>
        )}
        {!empty && (
          <Taken
            state={state}
            tools={tools}
            content={content}
            name={draft.file ?? "pasted"}
            where={where}
            kept={(accepted) => {
              setSaid(accepted > 0 ? `Kept. ${accepted} accepted; undo reverses that and leaves the reading.` : "Kept.");
              setDraft({ content: { text: "" }, file: null });
            }}
          />
        )}
      </Card>
    </Box>
  );
}

const readable = [
  "ipconfig, ipconfig /all, route print, arp -a, ping, tracert",
  "netsh wlan show interfaces, … networks mode=bssid",
  "ip addr, ip route, ip neigh, ifconfig, route -n, netstat -rn",
  "ping, traceroute, ethtool, iw … link, iw … scan, nmcli device wifi",
];
