/** What is wrong in a document, and where: "mechanisms[1].jobs[0].mass.si", "must be greater than 0 (is -3)". */
export interface Problem {
  readonly field: string;
  readonly reason: string;
}

/** Problems in one line each. */
export const problemText = (problems: readonly Problem[]): string =>
  problems.map(({ field, reason }) => `${field}: ${reason}`).join('\n');

const LONGEST_FIELD = 120;
const LONGEST_REASON = 300;

/** A problem that is short enough to be read: what a document holds is not said back whole. */
export const shortened = ({ field, reason }: Problem): Problem => ({
  field: cut(field, LONGEST_FIELD),
  reason: cut(reason, LONGEST_REASON),
});

/** A text of a length, its end left out. */
export const cut = (text: string, longest: number): string =>
  text.length > longest ? `${text.slice(0, longest)} …` : text;
