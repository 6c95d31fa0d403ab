import { useQuery } from "@tanstack/react-query";
import { api, unwrap } from "../../api/client";

/** The gear shelf, entry by entry. */
export function useShelf() {
  return useQuery({ queryKey: ["shelf"], queryFn: ({ signal }) => unwrap(api.GET("/api/shelf", { signal })) });
}
