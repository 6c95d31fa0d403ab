import { useQuery } from "@tanstack/react-query";
import { api, unwrap } from "../../api/client";

/** The run sheets that a job keeps, the newest first. */
export function useSheets(job: number) {
  return useQuery({
    queryKey: ["sheets", job],
    queryFn: ({ signal }) => unwrap(api.GET("/api/jobs/{id}/sheets", { params: { path: { id: job } }, signal })),
  });
}
