import type {
  CheckedEntry,
  DiaryEntry,
  FoundKey,
  MechanismResult,
  Part,
  PartKind,
  Plan,
  Quantity,
  Taking,
  Trial,
  Verdict,
  Words,
} from '@rough-gear/core';
import type { Problem } from '../plan/problem.js';

/** A plan in a list. */
export interface PlanSummary {
  readonly id: string;
  readonly name: string;
  readonly revision: number;
  /** ISO 8601 */
  readonly savedAt: string;
  /** When it went into the bin; absent while it is in use. */
  readonly deletedAt?: string;
  /** As far as they are judged: those of an earlier revision, or none, while it is looked at again. */
  readonly mechanisms: readonly Pick<MechanismResult, 'id' | 'name' | 'kind' | 'headline'>[];
  /** Whether the mechanisms of this very revision have been judged. */
  readonly judged: boolean;
  /** The verdict on the whole robot; absent while it is looked at, which is after it has rested for a while. */
  readonly robot?: RobotSummary;
  /** Why its verdicts are not known here; it opens as any other. */
  readonly unjudged?: string;
  /** Why this version of the program cannot read it; it can still be downloaded as it is. */
  readonly unreadable?: string;
}

/** The one answer for a whole robot. */
interface RobotSummary {
  readonly verdict: Verdict;
  readonly lead: string;
  readonly rest: Words;
}

export const PLAN_SORTS = ['saved', 'name', 'worst'] as const;
/** The last saved in front, by name, or those with most to do in front. */
export type PlanSort = (typeof PLAN_SORTS)[number];

/** What is asked of the list. */
export interface PlanQuery {
  readonly bin?: boolean;
  /** A part of the name of the robot or of one of its mechanisms. */
  readonly find?: string;
  readonly sort?: PlanSort;
  readonly from?: number;
  readonly count?: number;
}

/** A page of the list, and how many there are in all. */
export interface PlanPage {
  readonly total: number;
  readonly plans: readonly PlanSummary[];
}

/** As many as a page has at most. */
export const LONGEST_PAGE = 100;

/** A plan as it stands at one revision. The same number is in the ETag. */
export interface StoredPlan {
  readonly id: string;
  readonly revision: number;
  readonly savedAt: string;
  readonly document: Plan;
}

/** What a save came to: the document is the one that was sent. */
export interface PlanSaved {
  readonly id: string;
  readonly revision: number;
  readonly savedAt: string;
}

export interface RevisionSummary {
  readonly revision: number;
  readonly savedAt: string;
  /** What was done since the one before, in words; absent of the first, and of those too old to be looked at. */
  readonly changed?: readonly string[];
}

/** A generic part that ships with the application, or one of the team's own. */
export interface ShelfPart {
  readonly id: string;
  readonly revision: number;
  readonly part: Part;
  /** The team's own: its figures may be changed. */
  readonly own: boolean;
  /** What others here use: help and spares are near. */
  readonly common: boolean;
  /** Not offered any more; plans that have copies of it keep them. */
  readonly retired: boolean;
}

/** An import that can be taken back. */
export interface ShelfImport {
  readonly id: number;
  readonly takenAt: string;
  readonly kind: PartKind;
  readonly made: number;
  readonly changed: number;
}

/** What taking an import back came to. */
export interface TakenBack {
  readonly removed: number;
  readonly restored: number;
  /** Names of parts that were changed since, and stay as they are. */
  readonly left: readonly string[];
}

/** Made by itself once a day, before the tables were changed, or because somebody wanted one. */
export type BackupKind = 'daily' | 'before-update' | 'by-hand';

export interface Backup {
  readonly name: string;
  readonly kind: BackupKind;
  /** ISO 8601 */
  readonly madeAt: string;
  readonly bytes: number;
}

/** What the server holds, and where copies of it are. */
export interface DataState {
  readonly plans: number;
  readonly binned: number;
  readonly revisions: number;
  readonly parts: number;
  readonly bytes: number;
  readonly freeBytes?: number;
  readonly folder: string;
  /** The newest in front. */
  readonly backups: readonly Backup[];
  /** Why the last one could not be made. */
  readonly backupFailure?: string;
}

/** What came of bringing an archive back. */
export interface ArchiveReport {
  readonly plansAdded: number;
  readonly plansThere: number;
  /** Names of plans that are here in another state: brought in as plans of their own. */
  readonly plansBeside: readonly string[];
  readonly partsAdded: number;
  readonly partsThere: number;
  readonly trialsAdded: number;
  readonly trialsThere: number;
  /** Lines of the robots' diaries. */
  readonly entriesAdded: number;
  /** What could not be taken, and why. */
  readonly refused: readonly string[];
}

/** What a diary has that a device does not know yet. */
export interface DiaryNews {
  /** In the order in which the server received them. */
  readonly entries: readonly DiaryEntry[];
  /** Names the last of them: what is asked for next is what came after it. */
  readonly cursor: string;
  /** All of it: the cursor was not known, or there was none. */
  readonly whole: boolean;
}

/** How long a robot's diary is. */
export interface DiaryLength {
  readonly planId: string;
  readonly robot: string;
  /** Lines that are told; a diary holds so many and no more. */
  readonly lines: number;
  /** Lines that later ones have overtaken, and that were put away. */
  readonly putAway: number;
}

/** A fault of the pit that nobody has mended, and the robot it is on. */
export interface RobotFault {
  readonly planId: string;
  readonly robot: string;
  readonly fault: CheckedEntry;
}

/** Who may do what: nothing is asked of whoever is at the machine itself. */
export type Access = 'open' | 'change' | 'look' | 'signed out';

/** What a team says of a part, whoever made it. `null` takes a price away. */
export interface ShelfMarks {
  readonly owned?: number;
  readonly price?: Quantity | null;
  readonly common?: boolean;
  readonly retired?: boolean;
}

/** application/problem+json (RFC 9457). A stale save carries what is stored. */
export interface ProblemDetails {
  readonly type: string;
  readonly title: string;
  readonly status: number;
  readonly detail?: string;
  readonly problems?: readonly Problem[];
  readonly stored?: StoredPlan;
}

/** Revision → ETag and back. */
export const etagOf = (revision: number): string => `"r${revision}"`;

export function revisionOf(etag: string): number | undefined {
  const match = /^"r(\d+)"$/.exec(etag);
  return match ? Number(match[1]) : undefined;
}

/** A figure that a trial found, as lists and comparisons of specimens use it. SI. */
export interface FoundSummary {
  readonly key: FoundKey;
  readonly value: number;
  /** Absent where the readings say nothing of it. */
  readonly error?: number;
}

/** A trial in the book: all of it but its readings. */
export interface TrialSummary extends Omit<Trial, 'readings' | 'struck'> {
  readonly id: string;
  readonly revision: number;
  readonly rows: number;
  readonly found: readonly FoundSummary[];
  readonly takings: readonly Taking[];
}

/** A trial as it stands; the revision is in the ETag. */
export interface StoredTrial {
  readonly id: string;
  readonly revision: number;
  readonly savedAt: string;
  readonly trial: Trial;
  readonly takings: readonly Taking[];
}

/** What came of bringing trials in. */
export interface TrialsBrought {
  readonly added: number;
  readonly there: number;
  readonly refused: readonly string[];
}

/** So many trials a book holds. */
export const MOST_TRIALS = 5000;
