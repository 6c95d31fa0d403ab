import type { UseQueryResult } from "@tanstack/react-query";
import type { ReactNode } from "react";
import { Trouble, Waiting } from "../../ui/pieces";

/** What was asked for, once it is there; until then, or instead, what is the matter. */
export function Asked<T>({ of, what, children }: { of: UseQueryResult<T>; what: string; children: (data: T) => ReactNode }) {
  return of.isError ? (
    <Trouble what={`${what} cannot be worked out.`} why={of.error.message} again={() => void of.refetch()} />
  ) : of.data === undefined ? (
    <Waiting what={`Working out: ${what.toLowerCase()}`} />
  ) : (
    children(of.data)
  );
}
