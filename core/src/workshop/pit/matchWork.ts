import { runOf } from '../../judge/evaluate/mechanism.js';
import type { Mechanism, Plan } from '../../plan/document/plan.js';
import type { Go, MatchScript, When } from '../../plan/document/script.js';
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

/** How often a go of a script comes. */
const timesOf = (when: When): number =>
  when.kind === 'every' ? Math.max(0, Math.floor((when.to - when.from) / when.time) + 1) : 1;

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
 * @example matchWork(plan, mast).goes //=> 14
 */
export function matchWork(plan: Plan, mechanism: Mechanism): MatchWork {
  const none: MatchWork = { goes: 0, seconds: 0, turns: 0 };
  const pathOf = (jobId: string): AnyPath => resolvePath(plan, mechanism, jobId);
  const [first] = mechanism.jobs;
  if (!first) return none;
  const lane = scriptOf(plan)?.lanes.find((one) => one.mechanism === mechanism.id);
  if (!lane) {
    const path = pathOf(first.id);
    const go = goOf(path);
    const every = Math.max(path.asked.every, go.seconds);
    const goes = every > 0 ? Math.floor(path.match.length / every) : 0;
    return { goes, seconds: goes * go.seconds, turns: goes * go.turns };
  }
  return lane.goes.reduce((sum, go) => {
    const times = timesOf(go.when);
    const one = workOf(go, pathOf(go.job ?? first.id));
    return {
      goes: sum.goes + times,
      seconds: sum.seconds + times * one.seconds,
      turns: sum.turns + times * one.turns,
    };
  }, none);
}

function workOf({ job, cruise }: Go, path: AnyPath): { readonly seconds: number; readonly turns: number } {
  if (job !== undefined || !cruise) return goOf(path);
  return { seconds: cruise.seconds, turns: finite((cruise.speed * cruise.seconds) / path.radius / (2 * Math.PI)) };
}
