/**
 * How many of each thing a plan holds at most. The schema refuses more, so whatever a person does must stop there and
 * say so: a plan that has grown past them could not be saved any more.
 */
export const MOST = {
  mechanisms: 40,
  jobs: 12,
  choices: 4,
  stages: 8,
  supply: 80,
  reasons: 200,
  scripts: 12,
  goes: 40,
  parts: 8,
  eventLimits: 40,
  matches: 40,
  packs: 20,
} as const;

/** A choice's name has no room for more. */
export const LONGEST_NAME = 60;
