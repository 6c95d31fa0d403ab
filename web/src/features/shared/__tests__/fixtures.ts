import { vi } from "vitest";
import type { JobState } from "../../../api/client";
import type { JobTools } from "../jobTools";

type Part<T> = T extends (infer E)[] ? Part<E>[] : T extends object ? { [K in keyof T]?: Part<T[K]> } : T;

/** A value of which only what matters to a test is written; what is written has the names and types of the whole. */
export const part = <T>(known: Part<T>): T => known as T;

/** A job at version 1 with what is given of it. */
export const jobState = (known: Part<JobState> = {}): JobState => part<JobState>({ job: { id: 1 }, version: 1, ...known });

/** Tools of a job that remember what they were asked; those that save answer at once. */
export function jobTools(known: Partial<JobTools> = {}): JobTools {
  const saves = () => vi.fn<() => Promise<JobState>>().mockResolvedValue(jobState());
  return {
    id: 1,
    attempt: vi.fn(),
    save: saves(),
    act: vi.fn(),
    correct: saves(),
    correctNow: vi.fn(),
    chooseOption: vi.fn(),
    keepOption: saves(),
    startPlan: vi.fn(),
    enter: saves(),
    takeTable: saves(),
    keepReading: saves(),
    undo: vi.fn(),
    redo: vi.fn(),
    dismiss: vi.fn(),
    leaveOtherTab: vi.fn(),
    answer: vi.fn(),
    ...known,
  };
}
