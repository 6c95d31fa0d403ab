import type { Change, Clash, Correction, JobState, Schemas } from "../../api/client";

/** How the set-up of a job that is shown is changed. */
export interface EditTools {
  id: number;
  /** Proves changes without saving them; the newest try wins. Null ends the try. */
  attempt: (changes: Change[] | null) => void;
  /** Saves changes; what is refused is said by the field that asked. As with all that is saved, what is on its way is not sent twice. */
  save: (changes: Change[]) => Promise<JobState>;
  /** The same for buttons: what is refused is said in a bar, since no field can say it. */
  act: (changes: Change[]) => void;
  /** Corrects what is given, in every set-up. */
  correct: (corrections: Correction[]) => Promise<JobState>;
  /** The same for buttons. */
  correctNow: (corrections: Correction[]) => void;
}

/** What the plan is made of at once. */
export interface PlanTools {
  /** Makes an option the plan, and says when it stands. */
  chooseOption: (option: Schemas["ChosenOption"], chosen: () => void) => void;
  /** Keeps an option beside the plan under a name; what is refused is for the field of the name to say. */
  keepOption: (option: Schemas["ChosenOption"]) => Promise<unknown>;
}

/** What the survey writes besides. */
export interface SurveyTools {
  /** Begins the plan, and says when it stands. */
  startPlan: (begun: () => void) => void;
  /** Takes lines typed quickly into one of the lists of the survey. */
  enter: (list: Schemas["QuickList"], text: string) => Promise<JobState>;
  /** Reads a table into the survey. */
  takeTable: (table: Schemas["SurveyTable"], text: string) => Promise<JobState>;
  /** Keeps a reading, and writes what was accepted of it into the survey, in one act. */
  keepReading: (reading: Schemas["KeepRequest"]) => Promise<JobState>;
}

/** What is undone, and how what is said or asked about the whole job is answered. */
export interface HistoryTools {
  undo: (evenOthers?: boolean) => void;
  redo: () => void;
  dismiss: () => void;
  leaveOtherTab: () => void;
  answer: (mine: boolean) => void;
}

/**
 * Everything that can be done to a job that is open. One object as long as the job and its set-up are shown: what it is handed to is not
 * drawn anew when something is saved or tried.
 */
export interface JobTools extends EditTools, PlanTools, SurveyTools, HistoryTools {}

/** What has to be said or asked about the whole job. */
export interface JobStatus {
  /** Whether something is being saved. */
  busy: boolean;
  /** What was last said; null where nothing is. */
  notice: string | null;
  /** Undo stopped before a change of another tab: what it was. */
  otherTab: string | null;
  /** Another user set the same value meanwhile: whose counts is asked before the edit goes on. */
  asking: { clashes: Clash[]; why: string } | null;
}

/** A job that is open. */
export interface OpenJob {
  /** Its head as it was read last, with the set-up that is shown. */
  job: { data: JobState | undefined; error: Error | null; refetch: () => unknown };
  /** What is proven of changes that are only tried; null where none is. */
  preview: Schemas["Preview"] | null;
  tools: JobTools;
  status: JobStatus;
}
