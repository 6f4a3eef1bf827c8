import type { Mechanism, Plan } from '../../plan/document/plan.js';
import { lengthOf, type Go, type Lane, type MatchPart, type MatchScript } from '../../plan/document/script.js';
import { runOf } from '../../judge/evaluate/mechanism.js';
import { resolvePath } from '../../path/resolve/resolvePath.js';

/** How a match is played: one thing after another, or everything as it comes. */
export type Play = 'calm' | 'frantic';

/** Seconds from the start before anything moves, between two mechanisms, and before the end at which repeats stop. */
const AT_FIRST = 1;
const BETWEEN = 0.5;
const AT_LAST = 2;
/** Seconds between a job and the one that undoes it. */
const TO_AND_FRO = 2;
/** Until a mechanism's go is known, s. */
const UNKNOWN_GO = 1;
/** Boards, radio and lights of a robot, A, typical. */
const STANDING = 1.5;

/**
 * A script from the jobs' own *once every*: each mechanism does its first job that often, and its other jobs after it. A
 * climb comes once, at the end. Calm begins one mechanism after the other, frantic all of them together.
 *
 * @example proposeScript(plan, 'calm', 'm1').lanes.length //=> 10
 */
export function proposeScript(plan: Plan, play: Play, id: string, name: string = play): MatchScript {
  const [first] = plan.mechanisms;
  const seconds = first ? resolvePath(plan, first, first.jobs[0]!.id).match.length : 150;
  const parts: readonly MatchPart[] = [{ name: 'match', seconds }];
  let start = AT_FIRST;
  const lanes = plan.mechanisms.map((mechanism): Lane => {
    const { goes, busy } = laneOf(plan, mechanism, play === 'calm' ? start : AT_FIRST, lengthOf({ parts }));
    start += busy + BETWEEN;
    return { mechanism: mechanism.id, goes };
  });
  const draws = [{ id: 'boards', name: 'boards, lights', current: STANDING, from: 0 }];
  return { id, name, counts: true, parts, lanes, draws };
}

function laneOf(
  plan: Plan,
  mechanism: Mechanism,
  start: number,
  length: number,
): { goes: readonly Go[]; busy: number } {
  let busy = 0;
  const goes = mechanism.jobs.map((job, i): Go => {
    const path = resolvePath(plan, mechanism, job.id);
    const { every } = path.asked;
    const seconds = runOf(path)?.time ?? UNKNOWN_GO;
    busy += seconds + (i > 0 ? TO_AND_FRO : 0);
    const id = `${mechanism.id}-${job.id}`;
    if (i > 0)
      return {
        id,
        job: job.id,
        when: { kind: 'after', go: `${mechanism.id}-${mechanism.jobs[i - 1]!.id}`, wait: TO_AND_FRO },
      };
    if (mechanism.kind === 'climb') {
      const time = Math.max(0, length - AT_LAST - 1.5 * Math.max(seconds, path.asked.time));
      return { id, job: job.id, when: { kind: 'at', time } };
    }
    return {
      id,
      job: job.id,
      when: { kind: 'every', time: every, from: start, to: Math.max(start, length - AT_LAST) },
    };
  });
  return { goes, busy };
}
