import { Box } from "@chakra-ui/react";
import { useQueryClient } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { ServerGone } from "../api/client";

/** Says that the server does not answer, asks until it does, and then reads everything anew. Drafts stay where they are. */
export function ServerGoneBar() {
  const client = useQueryClient();
  const [gone, setGone] = useState(false);

  useEffect(() => {
    const look = (error: unknown) => {
      if (error instanceof ServerGone) {
        setGone(true);
      }
    };
    const queries = client.getQueryCache().subscribe((event) => look(event.query.state.error ?? event.query.state.fetchFailureReason));
    const mutations = client
      .getMutationCache()
      .subscribe((event) => look(event.mutation?.state.error ?? event.mutation?.state.failureReason));
    return () => {
      queries();
      mutations();
    };
  }, [client]);

  useEffect(() => {
    if (!gone) {
      return;
    }
    const timer = setInterval(() => {
      fetch("/health").then(
        (answer) => {
          if (answer.ok) {
            setGone(false);
            void client.invalidateQueries();
          }
        },
        () => undefined,
      );
    }, 1500);
    return () => clearInterval(timer);
  }, [gone, client]);

  return gone ? (
    <Box role="alert" bg="brick" color="card" px="4" py="2" position="sticky" top="0" zIndex="2">
      Altrin does not answer. What you typed is kept; it goes on by itself as soon as Altrin runs again.
    </Box>
  ) : null;
}
