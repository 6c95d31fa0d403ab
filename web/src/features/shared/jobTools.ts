import type { Change, Clash, Correction, JobState, Schemas } from "../../api/client";

/** What is shown of a job, and how its set-up is changed. */
export interface EditTools {
  id: number;
  /** The head of the job as it was read last, with the set-up that is shown. */
  job: { data: JobState | undefined; error: Error | null; refetch: () => unknown };
  /** Whether something is being saved. */
  busy: boolean;
  /** What is proven of changes that are only tried; null where none is. */
  preview: Schemas["Preview"] | null;
  /** Proves changes without saving them; the newest try wins. Null ends the try. */
  attempt: (changes: Change[] | null) => void;
  /** Saves changes; what is refused is said by the field that asked. */
  save: (changes: Change[]) => Promise<JobState>;
  /** The same for buttons: what is refused is said in a bar, since no field can say it. */
  act: (changes: Change[]) => void;
  /** Corrects what is given, in every set-up. */
  correct: (corrections: Correction[]) => Promise<JobState>;
  /** The same for buttons. */
  correctNow: (corrections: Correction[]) => void;
}

/** What the survey writes besides. */
export interface SurveyTools {
  /** Begins the plan as a copy of what was found; the station that plans shows it from then on. */
  /** Begins the plan, and says when it stands. */
  startPlan: (begun: () => void) => void;
  /** Takes lines typed quickly into one of the lists of the survey. */
  enter: (list: Schemas["QuickList"], text: string) => Promise<JobState>;
  /** Reads a table into the survey. */
  takeTable: (table: Schemas["SurveyTable"], text: string) => Promise<JobState>;
  /** Keeps a reading, and writes what was accepted of it into the survey, in one act. */
  keepReading: (reading: Schemas["KeepRequest"]) => Promise<JobState>;
}

/** What is undone, and what has to be said or asked about the whole job. */
export interface HistoryTools {
  undo: (evenOthers?: boolean) => void;
  redo: () => void;
  /** What was last said about the whole job; null where nothing is. */
  notice: string | null;
  dismiss: () => void;
  /** Undo stopped before a change of another tab: what it was. */
  otherTab: string | null;
  leaveOtherTab: () => void;
  /** Another user set the same value meanwhile: whose counts is asked before the edit goes on. */
  asking: { clashes: Clash[]; why: string } | null;
  answer: (mine: boolean) => void;
}

/** A job that is open, and everything that can be done to it. */
export interface JobTools extends EditTools, SurveyTools, HistoryTools {}
