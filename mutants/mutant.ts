/** A fault that is set into the program on purpose: a test ought to notice. */
export interface Mutant {
  /** What goes wrong, in a few words. */
  readonly name: string;
  /** In which file of the project. */
  readonly file: string;
  /** What stands there, once. */
  readonly is: string;
  /** What it is made into. */
  readonly becomes: string;
  /** The test files that ought to notice. */
  readonly tests: readonly string[];
}

/** Mutants of one file that the same tests watch. */
export const inFile = (
  file: string,
  tests: readonly string[],
  faults: readonly (readonly [name: string, is: string, becomes: string])[],
): readonly Mutant[] => faults.map(([name, is, becomes]) => ({ name, file, is, becomes, tests }));
