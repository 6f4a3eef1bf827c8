import type { DiaryEntry } from '@rough-gear/core';
import { drop, keep, kept } from '../../keeping/keeping.js';
import { unsentKey, unsentOf } from '../../keeping/unsent.js';

/** What the server was known to have of a diary, up to a cursor of its own. */
export interface Known {
  readonly entries: readonly DiaryEntry[];
  readonly cursor: string;
}

/** Lines that a window wrote and has not sent. */
interface Left {
  readonly planId: string;
  readonly lines: readonly DiaryEntry[];
  readonly key: string;
  readonly own: boolean;
}

const isLines = (found: unknown): found is readonly DiaryEntry[] =>
  Array.isArray(found) && found.every((line) => typeof (line as DiaryEntry | null)?.id === 'string');

/** Lines that wait have a place of their own: there is room for them when there is none for what is known already. */
export async function keepLines(planId: string, lines: readonly DiaryEntry[]): Promise<void> {
  const key = await unsentKey('diary', planId);
  await (lines.length > 0 ? keep(key, lines) : drop(key));
}

export const keepKnown = (planId: string, known: Known): Promise<boolean> => keep(`diary:${planId}`, known);

export async function knownOf(planId: string): Promise<Known> {
  const found = await kept<Partial<Known>>(`diary:${planId}`);
  return isLines(found?.entries) ? { entries: found.entries, cursor: found.cursor ?? '' } : { entries: [], cursor: '' };
}

async function all(of?: string): Promise<readonly (Left & { readonly open: boolean })[]> {
  const found = await unsentOf('diary', (lines) => (isLines(lines) ? lines : undefined), of);
  return found.map(({ key, of: planId, value: lines, own, open }) => ({ planId, lines, key, own, open }));
}

/** Of all robots: what this window left before it was loaded again, and what windows left that are gone. */
export const linesLeft = async (): Promise<readonly Left[]> => (await all()).filter(({ open }) => !open);

/** What other windows of this browser have written of a robot and not sent yet. */
export const linesElsewhere = async (of: string): Promise<readonly DiaryEntry[]> =>
  (await all(of)).flatMap(({ lines, open }) => (open ? lines : []));

export const letLinesGo = (key: string): Promise<void> => drop(key);
