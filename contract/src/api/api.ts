import type { MechanismResult, Part, Plan, Quantity } from '@rough-gear/core';
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
  readonly mechanisms: readonly Pick<MechanismResult, 'id' | 'name' | 'kind' | 'headline'>[];
  /** Why this version of the program cannot read it; it can still be downloaded as it is. */
  readonly unreadable?: string;
}

/** A plan as it stands at one revision. The same number is in the ETag. */
export interface StoredPlan {
  readonly id: string;
  readonly revision: number;
  readonly savedAt: string;
  readonly document: Plan;
}

export interface RevisionSummary {
  readonly revision: number;
  readonly savedAt: string;
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
