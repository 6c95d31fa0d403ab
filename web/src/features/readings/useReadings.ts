import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { api, unwrap, type JobState, type Schemas } from "../../api/client";
import { useAsked, asking } from "../shared/useAsked";
import { isEmpty } from "./content";

/** What a content says and how it stands to the home; nothing is kept. */
export function useRead(state: JobState, content: Schemas["ReadingContent"], seat: string | null, place: string | null) {
  return useQuery({
    queryKey: ["reading", state.job.id, state.version, state.proof.setUp, seat, place, content],
    queryFn: ({ signal }) =>
      unwrap(
        api.POST("/api/jobs/{id}/readings/read", {
          params: { path: { id: state.job.id } },
          body: { content, setUp: state.proof.setUp, seat, place },
          signal,
        }),
      ),
    enabled: !isEmpty(content),
    gcTime: 0,
  });
}

export function useKept(state: JobState, archived = false) {
  return useQuery({
    queryKey: ["readings", state.job.id, archived],
    queryFn: ({ signal }) =>
      unwrap(api.GET("/api/jobs/{id}/readings", { params: { path: { id: state.job.id }, query: { archived, perPage: 100 } }, signal })),
    placeholderData: (before) => before,
  });
}

/** One kept reading, held against the home as it is now. */
export function useOne(state: JobState, reading: number | null) {
  return useQuery({
    queryKey: ["readings", state.job.id, "one", reading, state.version],
    queryFn: ({ signal }) =>
      unwrap(api.GET("/api/jobs/{id}/readings/{reading}", { params: { path: { id: state.job.id, reading: reading ?? 0 } }, signal })),
    enabled: reading !== null,
  });
}

export function useArchive(state: JobState) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: async ({ reading, archived }: { reading: number; archived: boolean }) => {
      const done = await api.PUT("/api/jobs/{id}/readings/{reading}/archived", {
        params: { path: { id: state.job.id, reading } },
        body: { archived },
      });
      if (!done.response.ok) {
        throw new Error("The reading is not there any more.");
      }
    },
    onSettled: () => void client.invalidateQueries({ queryKey: ["readings", state.job.id] }),
  });
}

/** Where a reading can be taken. */
export const useSeats = (state: JobState) =>
  useAsked<Schemas["Seat"][]>(state, ["seats"], (signal) => api.GET("/api/jobs/{id}/proof/seats", { params: asking(state), signal }));
