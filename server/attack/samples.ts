import { randomUUID } from 'node:crypto';
import type { DiaryEntry, Trial } from '@rough-gear/core';

/** A tick on one thing before a match. */
export const tick = (match: number): DiaryEntry => ({
  id: randomUUID(),
  at: '2026-11-28T09:00:00Z',
  who: 'Ada',
  kind: 'checked',
  match,
  check: 'chain of the arm',
  state: 'fine',
  asks: 'nothing',
  note: '',
});

/** A trial of a pack without a row yet. */
export const begunTrial = (name: string): Trial => ({
  kind: 'pack',
  subject: { name },
  startedAt: '2026-11-30T17:00:00Z',
  who: '',
  used: '',
  note: '',
  given: {},
  said: {},
  readings: { current: [], voltage: [] },
  rowIds: [],
  struck: [],
});
