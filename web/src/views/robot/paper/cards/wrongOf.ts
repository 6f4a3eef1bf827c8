import { capitalised, type SetupCard } from '@rough-gear/core';

/** What a wrong setting costs, in a sentence each; of several that cost the same the first says it. */
export function wrongOf({ lines }: SetupCard): string {
  const seen = new Set<string>();
  return lines
    .flatMap(({ label, wrong: said }) => {
      if (said === undefined || seen.has(said)) return [];
      seen.add(said);
      return [`${capitalised(label)}: ${said}`];
    })
    .join(' ');
}
