import { readEntries } from '@rough-gear/contract/diary';
import { stillCounts, type DiaryEntry } from '@rough-gear/core';
import type { Limits } from '../reading/limits.js';
import { jsonOf } from '../reading/json.js';
import { taken, thrownOut, type Read } from '../read.js';

const LIMITS: Limits = { name: 'it', depth: 20, values: 500_000, objects: 200_000 };

/** Entries that a device brings home. */
export function readEntriesBody(body: Uint8Array): Read<readonly DiaryEntry[]> {
  const json = jsonOf(body, LIMITS);
  if (!json.ok) return json;
  const read = readEntries((json.value as { entries?: unknown } | null)?.entries);
  return read.ok ? taken(read.entries) : thrownOut('This is no entry of a diary', read.problems);
}

/** Of entries as they are written, the ids of those on which nothing rests any more. */
export function overtaken(entries: readonly string[]): readonly string[] {
  const diary = entries.map((entry) => JSON.parse(entry) as DiaryEntry);
  const counts = new Set(stillCounts(diary));
  return diary.filter((entry) => !counts.has(entry)).map(({ id }) => id);
}
