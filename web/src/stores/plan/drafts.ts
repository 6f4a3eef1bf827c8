import { migrate } from '@rough-gear/contract/migrate';
import type { Plan } from '@rough-gear/core';
import { drop, keep, kept, keptUnder } from '../../keeping/keeping.js';
import { unsentKey, unsentOf } from '../../keeping/unsent.js';

/** A plan as the server had it, by its revision. */
export interface Copy {
  readonly revision: number;
  readonly document: Plan;
}

/** What a window has not sent yet, and the revision it began with. */
export interface Draft extends Copy {
  /** ISO 8601; absent in one that an earlier version kept. */
  readonly at?: string;
}

/** A draft that a window left which is no longer open. */
export interface LeftDraft extends Draft {
  readonly key: string;
  /** This window left it, before it was loaded again. */
  readonly mine: boolean;
}

/** Keeps what this window has not sent of a plan, under its own name; nothing where there is none. */
export async function keepDraft(planId: string, draft: Draft | undefined): Promise<void> {
  const key = await unsentKey('plan', planId);
  await (draft ? keep(key, draft) : drop(key));
}

export const keepCopy = (planId: string, copy: Copy): Promise<boolean> => keep(`plan:${planId}`, copy);

/** What an earlier version of the program kept is read as the plan it is today; what cannot be read is passed over. */
function today<Found extends Copy>(found: Found | undefined): Found | undefined {
  try {
    return found && { ...found, document: migrate(found.document) as Plan };
  } catch {
    return undefined;
  }
}

/** The last the server was known to have. */
export const keptCopy = async (planId: string): Promise<Copy | undefined> => today(await kept<Copy>(`plan:${planId}`));

function asDraft(found: unknown): Draft | undefined {
  const draft = today(found as Draft | undefined);
  return typeof draft?.revision === 'number' && Array.isArray(draft.document?.mechanisms) ? draft : undefined;
}

/** What was left unsent of a plan by this window before it was loaded again, and by windows that are gone: the newest first. */
export async function draftsLeft(planId: string): Promise<readonly LeftDraft[]> {
  const found = await unsentOf('plan', asDraft, planId);
  return found
    .filter(({ open }) => !open)
    .map(({ key, value, own }) => ({ ...value, key, mine: own }))
    .sort((a, b) => Number(b.mine) - Number(a.mine) || (b.at ?? '').localeCompare(a.at ?? ''));
}

export const letGo = ({ key }: LeftDraft): Promise<void> => drop(key);

/** The plans this browser has a copy of, by id and name: what can be opened while the server is away. */
export async function listKept(): Promise<readonly { readonly id: string; readonly name: string }[]> {
  const all = [...(await keptUnder<Copy>('plan:')), ...(await keptUnder<Copy>('unsent:plan:'))];
  const names = new Map(
    all.flatMap(([key, copy]): (readonly [string, string])[] => {
      const id = key.replace(/^unsent:/, '').split(':')[1];
      const name = today(copy)?.document.name;
      return id === undefined || name === undefined ? [] : [[id, name]];
    }),
  );
  return [...names].map(([id, name]) => ({ id, name })).sort((a, b) => a.name.localeCompare(b.name));
}
