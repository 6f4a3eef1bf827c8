/**
 * Goes through steps to their end, and tells nothing on the way.
 *
 * @example atOnce(judgeWholeRobot(plan)).verdict //=> 'gives way'
 */
export function atOnce<End>(steps: Generator<unknown, End>): End {
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
  }
}
