import { focusManager, QueryClient } from "@tanstack/react-query";
import { ProblemError, ServerGone } from "./api/client";

/** How often what the server is too busy for is asked again: it says to, and each time it waits some ten seconds itself. */
const ASKED_AGAIN = 6;

const busy = (count: number, error: Error) => error instanceof ProblemError && error.is("busy") && count < ASKED_AGAIN;

/**
 * Pulling the laptop's cable must not pause talk with our own server: the network mode is always "always". A save is tried
 * again for as long as the server is gone, also while the page is behind another window: an installer looks at a box's own
 * page just then. What the server is too busy for changed nothing and is asked again. Any other failure is answered at once.
 */
export function makeQueryClient(): QueryClient {
  focusManager.setFocused(true);
  return new QueryClient({
    defaultOptions: {
      queries: { networkMode: "always", retry: busy, retryDelay: 1000, staleTime: 10_000, refetchOnWindowFocus: true },
      mutations: {
        networkMode: "always",
        retry: (count, error) => error instanceof ServerGone || busy(count, error),
        retryDelay: 1500,
      },
    },
  });
}
