/** What is asked of the server, and by which key the answer is remembered. */
export interface Ask<T> {
  queryKey: readonly unknown[];
  queryFn: (context: { signal: AbortSignal }) => Promise<T>;
}
