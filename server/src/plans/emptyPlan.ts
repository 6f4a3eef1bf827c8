import { PLAN_FORMAT, PLAN_VERSION, type Plan } from '@rough-gear/core';
import { readShelf } from '../shelf/data.js';

/** A new robot: a name, the usual pack behind a main breaker, and no mechanism yet. */
export function emptyPlan(name: string): Plan {
  const shelf = readShelf();
  const copy = (shelfId: string) => {
    const { part, revision } = shelf.find((candidate) => candidate.id === shelfId)!;
    return { part, shelfId, shelfRevision: revision };
  };
  return {
    format: PLAN_FORMAT,
    version: PLAN_VERSION,
    name,
    parts: { 'pack-1': copy('pack-lead-18'), 'breaker-1': copy('breaker-main-120') },
    supply: [
      { id: 'pack', kind: 'pack', part: 'pack-1' },
      { id: 'main', kind: 'main', parent: 'pack', breaker: 'breaker-1' },
    ],
    mechanisms: [],
  };
}
