import { Flex } from "@chakra-ui/react";
import { Minus, Plus } from "lucide-react";
import { useState } from "react";
import { Button, Input, Select } from "../../ui/controls";
import type { JobTools } from "../shared/jobTools";
import type { Candidate } from "./candidates";
import { nextFree, toAddress, toNumber, type Stretch } from "./scale";

interface Props {
  candidates: Candidate[];
  /** What is chosen on the drawing: it is meant first. */
  chosen: string | null;
  free: Stretch[];
  /** The address that was pointed at; null for the first free one. */
  at: number | null;
  move: (at: number) => void;
  tools: JobTools;
}

/** Gives a host one of the free addresses: pointed at on the rule, stepped to, or typed. */
export function GiveAddress({ candidates, chosen, free, at, move, tools }: Props) {
  const [picked, setPicked] = useState<string | null>(null);
  const [draft, setDraft] = useState<string | null>(null);
  const whom = candidates.find((c) => c.key === picked) ?? candidates.find((c) => c.owner === chosen) ?? candidates[0];
  const address = draft ?? toAddress(at ?? nextFree(free, 0, true) ?? 0);
  const whole = /^\d{1,3}(\.\d{1,3}){3}$/.test(address);
  if (!whom || (free.length === 0 && draft === null)) {
    return null;
  }
  const show = (to: string | null) => {
    setDraft(to);
    tools.attempt(to === null ? null : whom.give(to));
  };
  const step = (up: boolean) => {
    const next = nextFree(free, whole ? toNumber(address) : 0, up);
    if (next !== null) {
      move(next);
      setDraft(null);
      tools.attempt(whom.give(toAddress(next)));
    }
  };
  return (
    <Flex align="center" gap="1.5" wrap="wrap" role="group" aria-label="Give an address">
      <span>Give</span>
      <Input
        aria-label="Address to give"
        width="9.5rem"
        fontFamily="mono"
        value={address}
        spellCheck={false}
        autoComplete="off"
        onChange={(e) => show(e.target.value)}
        onBlur={() => tools.attempt(null)}
        onKeyDown={(e) => {
          if (e.key === "ArrowUp" || e.key === "ArrowDown") {
            e.preventDefault();
            step(e.key === "ArrowUp");
          } else if (e.key === "Escape") {
            show(null);
          } else if (e.key === "Enter" && whole) {
            tools.act(whom.give(address));
            setDraft(null);
          }
        }}
      />
      <Button variant="quiet" px="2" aria-label="Next free address down" onClick={() => step(false)}>
        <Minus size={16} aria-hidden />
      </Button>
      <Button variant="quiet" px="2" aria-label="Next free address up" onClick={() => step(true)}>
        <Plus size={16} aria-hidden />
      </Button>
      <span>to</span>
      <Select aria-label="Who gets the address" width="12rem" value={whom.key} onChange={(e) => setPicked(e.target.value)}>
        {candidates.map((c) => (
          <option key={c.key} value={c.key}>
            {c.name}
          </option>
        ))}
      </Select>
      <Button
        disabled={!whole}
        onClick={() => {
          tools.act(whom.give(address));
          setDraft(null);
        }}
      >
        Give it
      </Button>
    </Flex>
  );
}
