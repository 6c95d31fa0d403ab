import createClient from "openapi-fetch";
import type { components, paths } from "./schema";

export type Schemas = components["schemas"];
export type JobState = Schemas["JobState"];
export type Proof = Schemas["ProofDocument"];
export type Finding = Schemas["Finding"];
export type Remedy = Schemas["Remedy"];
export type Design = Schemas["DesignDocument"];
export type Change = Schemas["Change"];
export type Correction = Schemas["Correction"];
export type AnswerKind = Schemas["AnswerKind"];

/** One thing that is wrong with a file or a request. */
export interface FileError {
  pointer: string;
  found: string;
  allowed: string;
}

/** Problem details (RFC 9457) as the server writes them. */
export interface Problem {
  type: string;
  title: string;
  status: number;
  detail?: string;
  errors?: FileError[];
  head?: JobState;
  /** What this edit and one that was made meanwhile both set; null where that is not known. */
  clashes?: Clash[] | null;
}

/** One value that two edits set to different things. */
export interface Clash {
  what: string;
  setUp: string | null;
  yours: string | null;
  theirs: string | null;
}

/** A request that the server answered with a problem. */
export class ProblemError extends Error {
  constructor(readonly problem: Problem) {
    super(problem.detail ?? problem.title);
  }

  is(type: string): boolean {
    return this.problem.type === `urn:altrin:problem:${type}`;
  }
}

/** The server did not answer at all. */
export class ServerGone extends Error {
  constructor() {
    super("Altrin does not answer.");
  }
}

/** This tab's own name for itself, so that undo does not silently take back what another tab did. */
const tab = (() => {
  const kept = sessionStorage.getItem("altrin-tab");
  const name = kept ?? crypto.randomUUID();
  sessionStorage.setItem("altrin-tab", name);
  return name;
})();

export const api = createClient<paths>({
  baseUrl: window.location.origin,
  headers: { "Altrin-Tab": tab },
  fetch: (request) => globalThis.fetch(request),
});

interface Result<T> {
  data?: T;
  error?: unknown;
  response: Response;
}

/** The data of a request; throws what went wrong with it. */
export async function unwrap<T>(request: Promise<Result<T>>): Promise<T> {
  let result: Result<T>;
  try {
    result = await request;
  } catch (e) {
    throw e instanceof DOMException && e.name === "AbortError" ? e : new ServerGone();
  }
  if (result.response.ok && result.data !== undefined) {
    return result.data;
  }
  const problem = result.error as Problem | undefined;
  throw new ProblemError(
    typeof problem === "object" && "title" in problem
      ? problem
      : { type: "about:blank", title: `The server answered ${result.response.status}.`, status: result.response.status },
  );
}
