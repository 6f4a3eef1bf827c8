import type { RevisionSummary } from '@rough-gear/contract';

const KEPT_WHOLE = 50;

/** The revisions to let go: of those before the last fifty, all but the last one of each day. */
export function thinned(revisions: readonly Pick<RevisionSummary, 'revision' | 'savedAt'>[]): readonly number[] {
  const older = [...revisions].sort((a, b) => b.revision - a.revision).slice(KEPT_WHOLE);
  const days = new Set<string>();
  return older
    .filter(({ savedAt }) => {
      const day = savedAt.slice(0, 10);
      const seen = days.has(day);
      days.add(day);
      return seen;
    })
    .map(({ revision }) => revision);
}
