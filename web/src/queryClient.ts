import { focusManager, QueryClient } from "@tanstack/react-query";
import { ServerGone } from "./api/client";

/**
 * Pulling the laptop's cable must not pause talk with our own server: the network mode is always "always". A save is tried
 * again for as long as the server is gone, also while the page is behind another window: an installer looks at a box's own
 * page just then. Any other failure is answered at once.
 */
export function makeQueryClient(): QueryClient {
  focusManager.setFocused(true);
  return new QueryClient({
    defaultOptions: {
      queries: { networkMode: "always", retry: false, staleTime: 10_000, refetchOnWindowFocus: true },
      mutations: { networkMode: "always", retry: (_, error) => error instanceof ServerGone, retryDelay: 1500 },
    },
  });
}
