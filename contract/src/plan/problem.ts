/** What is wrong in a document, and where: "mechanisms[1].jobs[0].mass.si", "must be greater than 0 (is -3)". */
export interface Problem {
  readonly field: string;
  readonly reason: string;
}

/** Problems in one line each. */
export const problemText = (problems: readonly Problem[]): string =>
  problems.map(({ field, reason }) => `${field}: ${reason}`).join('\n');
