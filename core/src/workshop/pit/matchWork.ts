import { runOf } from '../../judge/evaluate/mechanism.js';
import type { Mechanism, Plan } from '../../plan/document/plan.js';
import { lengthOf, type Go, type MatchScript } from '../../plan/document/script.js';
import { playedGoes, type PlayedGo } from '../../match/lanes/playedGoes.js';
import { givenUpAfter } from '../../match/lanes/schedule.js';
import type { AnyPath } from '../../path/powerpath/anyPath.js';
import { resolvePath } from '../../path/resolve/resolvePath.js';

/** What a mechanism does in one match. */
export interface MatchWork {
  readonly goes: number;
  /** At work, s. */
  readonly seconds: number;
  /** Turns of its last shaft, either way counted. */
  readonly turns: number;
}

/** The script a robot is judged by; the first where none counts. */
export const scriptOf = ({ scripts = [] }: Plan): MatchScript | undefined =>
  scripts.find(({ counts }) => counts) ?? scripts[0];

/** One go of a job: its time, and how far its last shaft turns. */
function goOf(path: AnyPath): { readonly seconds: number; readonly turns: number } {
  const { asked, radius } = path;
  const seconds = runOf(path)?.time ?? 0;
  if (path.thrown || asked.endless) {
    const speed = asked.target ?? asked.speed;
    return { seconds: asked.every, turns: finite((Math.abs(speed) * asked.every) / radius / (2 * Math.PI)) };
  }
  return { seconds, turns: finite(Math.abs(asked.travel ?? 0) / radius / (2 * Math.PI)) };
}
const finite = (value: number): number => (Number.isFinite(value) ? value : 0);

/**
 * What a mechanism does in a match: as the robot's script says; without one its first job over and over.
 *
 * @example matchWork(plan, mast).goes //=> 26
 */
export function matchWork(plan: Plan, mechanism: Mechanism): MatchWork {
  const none: MatchWork = { goes: 0, seconds: 0, turns: 0 };
  const pathOf = (jobId: string): AnyPath => resolvePath(plan, mechanism, jobId);
  const [first] = mechanism.jobs;
  if (!first) return none;
  const script = scriptOf(plan);
  const lane = script?.lanes.findIndex((one) => one.mechanism === mechanism.id) ?? -1;
  if (!script || lane < 0) {
    const path = pathOf(first.id);
    const go = goOf(path);
    const every = Math.max(path.asked.every, go.seconds);
    const goes = every > 0 ? Math.floor(path.match.length / every) : 0;
    return { goes, seconds: goes * go.seconds, turns: goes * go.turns };
  }
  return playedOf(plan, script)
    .filter((played) => played.lane === lane)
    .reduce((sum, { go, seconds }) => {
      const one = workOf(go, pathOf(go.job ?? first.id), seconds);
      return { goes: sum.goes + 1, seconds: sum.seconds + one.seconds, turns: sum.turns + one.turns };
    }, none);
}

/** Kept for a plan: every mechanism asks for them, and each lane may wait for any other. */
const known = new WeakMap<Plan, readonly PlayedGo[]>();

/** The goes of a script as its match plays them; each takes what it takes by itself, on a full pack. */
function playedOf(plan: Plan, script: MatchScript): readonly PlayedGo[] {
  const played = known.get(plan) ?? playedGoes(script, lengthOf(script), secondsIn(plan, script));
  known.set(plan, played);
  return played;
}

const secondsIn =
  (plan: Plan, script: MatchScript) =>
  (lane: number, { job, cruise }: Go): number | undefined => {
    const mechanism = plan.mechanisms.find(({ id }) => id === script.lanes[lane]!.mechanism);
    if (job === undefined) return mechanism && cruise?.seconds;
    if (!mechanism?.jobs.some(({ id }) => id === job)) return undefined;
    const path = resolvePath(plan, mechanism, job);
    const run = runOf(path);
    // What cannot be told for want of a figure does not move in the match either.
    if (!run) return undefined;
    return run.outcome === 'arrived' ? run.time : givenUpAfter(path.asked.time);
  };

/** What a go does in the time that it has: one that the end cuts off does its share. */
function workOf(
  { job, cruise }: Go,
  path: AnyPath,
  played: number,
): { readonly seconds: number; readonly turns: number } {
  if (job === undefined && cruise)
    return { seconds: played, turns: finite((cruise.speed * played) / path.radius / (2 * Math.PI)) };
  const whole = goOf(path);
  const alone = runOf(path)?.time ?? 0;
  const share = alone > 0 ? Math.min(1, played / alone) : 1;
  return { seconds: share * whole.seconds, turns: share * whole.turns };
}
