import type { Highs } from 'highs';

/** What solves integer programmes: text in, the best of all there is out. */
export type JointSolver = Pick<Highs, 'solve'>;

let loaded: Promise<JointSolver> | undefined;

/**
 * The solver, read when a choice for all mechanisms is first asked for: it is larger than the rest of the program. One that
 * could not be read is asked for again.
 */
export function loadJointSolver(): Promise<JointSolver> {
  loaded ??= import('highs')
    .then(({ default: load }) => load())
    .catch((problem: unknown) => {
      loaded = undefined;
      throw problem;
    });
  return loaded;
}
