import { describe, expect, it } from 'vitest';
import {
  addJob,
  applyChanges,
  evaluateMechanism,
  headingPerTurn,
  jobIsNeeded,
  jobsOf,
  meanReach,
  removeJob,
  resolvePath,
  scrubOf,
  skid,
  valueOf,
  workingOf,
  type Plan,
} from '../src/index.js';
import { demoPlan, mechanismOf, typed, withChange } from './demo.js';

/** Turning on the spot, against the friction of every tread summed up as it slides. */

const G = 9.80665;
const ROBOT = {
  mass: 52,
  inertia: 3,
  wheelRadius: 0.075,
  track: 0.6,
  reach: 0.25,
  grip: 0.9,
  scrub: 0.9,
  drivenShare: 1,
  rollingResistance: 0,
  slope: 0,
};

/**
 * Four wheels on the corners, the robot turning at 1 rad/s, the treads running so much faster than they would roll: each
 * tread is held back against the way it slides. The moment on the robot, and what one wheel's drive pushes with.
 */
function sliding(faster: number): { readonly moment: number; readonly push: number } {
  const [x, y] = [ROBOT.reach, ROBOT.track / 2];
  const along = y * (faster - 1);
  const across = x;
  const carries = (ROBOT.grip * ROBOT.mass * G) / 4 / Math.hypot(along, across);
  return { moment: 4 * carries * (along * y - across * x), push: carries * along };
}

describe('turning on the spot', () => {
  it('runs its treads as much faster as balances the moments, and pushes with that share of its grip', () => {
    let [low, high] = [1, 20];
    for (let i = 0; i < 80; i++) {
      const middle = (low + high) / 2;
      if (sliding(middle).moment < 0) low = middle;
      else high = middle;
    }
    const { push, faster } = scrubOf(ROBOT.track, ROBOT.reach);
    expect(faster).toBeCloseTo(low, 9);
    expect(push * ROBOT.grip * ROBOT.mass * G).toBeCloseTo(4 * sliding(low).push, 6);
    // What its motors do on q is what the treads do on the floor.
    const wheels = 4 * sliding(low).push * ROBOT.wheelRadius;
    expect(skid(ROBOT).force(0, 1) * headingPerTurn(ROBOT)).toBeCloseTo(wheels, 6);
  });

  it('is easier the wider and the shorter the robot, and no scrubbing is left where all wheels stand on one line', () => {
    const push = (of: Partial<typeof ROBOT>) =>
      skid({ ...ROBOT, ...of }).force(0, 1) * headingPerTurn({ ...ROBOT, ...of });
    expect(push({ track: 0.8 })).toBeLessThan(push({}));
    expect(push({ reach: 0.1 })).toBeLessThan(push({}));
    expect(push({ reach: 0 })).toBe(0);
    expect(headingPerTurn({ ...ROBOT, reach: 0 })).toBeCloseTo((2 * 0.075) / 0.6, 12);
    expect(meanReach(2)).toBe(0.5);
    expect(meanReach(3)).toBeCloseTo(1 / 3, 12);
    expect(meanReach(4)).toBeCloseTo(1 / 3, 12);
    expect(meanReach(1)).toBe(0);
  });
});

describe('a drive base asked to turn', () => {
  const heron = demoPlan('heron');
  const drive = mechanismOf(heron, 'drive');
  const added = addJob(heron, 'drive', drive.jobs[0]!, 'About turn', 'skid');
  const empty = applyChanges(heron, added.changes);
  const index = heron.mechanisms.indexOf(drive);
  const put = (plan: Plan, at: readonly (string | number)[], si: number) =>
    withChange(plan, ['mechanisms', index, ...at], typed(si));
  const whole = [
    [['jobs', drive.jobs.length, 'angle'], Math.PI],
    [['jobs', drive.jobs.length, 'time'], 1.2],
    [['choices', 0, 'output', 'track'], 0.6],
    [['choices', 0, 'output', 'base'], 0.5],
  ] as const;
  const asked = whole.reduce((plan, [at, si]) => put(plan, at, si), empty);
  const pathOf = (plan: Plan) => resolvePath(plan, mechanismOf(plan, 'drive'), added.id);

  it('begins with nothing typed, and is not known until it is', () => {
    expect(jobsOf('drive-base')).toEqual(['sprint', 'push', 'skid']);
    expect(jobsOf('lift')).toEqual(['raise']);
    const { headline } = evaluateMechanism(empty, mechanismOf(empty, 'drive'));
    expect(headline.verdict).toBe('not known');
    const labels = evaluateMechanism(empty, mechanismOf(empty, 'drive')).jobs.at(-1)!.ladders.working.lacks;
    expect(labels.map(({ label }) => label)).toEqual(
      expect.arrayContaining(['track, side to side', 'base, first axle to last', 'turns by']),
    );
  });

  it('is judged as any job is: its slip in words of a torque, its working the same number', () => {
    const path = pathOf(asked);
    expect(path.load.unit).toBe('rad');
    const job = evaluateMechanism(asked, mechanismOf(asked, 'drive')).jobs.at(-1)!;
    expect(job.run!.outcome).toBe('arrived');
    const slip = job.ladders.working.rungs.find(({ id }) => id === 'slip')!;
    const working = workingOf(path, { of: 'rung', rung: 'slip', situation: 'working' })!;
    expect(valueOf(working)).toBeCloseTo(slip.multiple!, 6);
    const demand = workingOf(path, { of: 'demand', situation: 'working' })!;
    expect(valueOf(demand)).toBeCloseTo(path.load.force(0, path.asked.speed), 6);
  });

  it('may be taken away again, unlike the sprint and the push', () => {
    const mechanism = mechanismOf(asked, 'drive');
    expect(jobIsNeeded(mechanism, added.id)).toBe(false);
    expect(jobIsNeeded(mechanism, 'push')).toBe(true);
    const gone = applyChanges(asked, removeJob(asked, 'drive', added.id));
    expect(mechanismOf(gone, 'drive').jobs.map(({ id }) => id)).toEqual(drive.jobs.map(({ id }) => id));
  });
});
