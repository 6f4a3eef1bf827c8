import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import {
  applyChanges,
  bindOf,
  candidatesFor,
  choiceAt,
  currentChoice,
  evaluateMechanism,
  putPart,
  resolveDcPath,
  resolvePath,
  scoreCard,
  stepsOf,
  withChoice,
  type DriverPart,
  type Plan,
  type ServoDrive,
  type Shelved,
  type StepDrive,
  type StepPath,
} from '../src/index.js';
import { demoPlan, mechanismOf, said, through, typed, withChange } from './demo.js';

/** What was set, measured or owned belongs to the part it was set, measured or owned of. */

const heron = demoPlan('heron');
const { parts: shelf } = JSON.parse(
  readFileSync(new URL('../../contract/demo/shelf.json', import.meta.url), 'utf8'),
) as { parts: Shelved[] };
const driveOf = (plan: Plan, id: string) => currentChoice(mechanismOf(plan, id)).drive;
const driveAt = (plan: Plan, id: string) => [...choiceAt(plan, mechanismOf(plan, id)), 'drive'];
const checkOf = (plan: Plan, id: string, check: string) =>
  evaluateMechanism(plan, mechanismOf(plan, id)).jobs[0]!.checks.find((one) => one.id === check);

describe('another part in the place of one', () => {
  const put = (plan: Plan, id: string, key: string, item: Shelved): Plan =>
    applyChanges(plan, putPart(plan, [...driveAt(plan, id), key], { part: item.part, shelfId: item.id }));

  it('frees micro-steps that mean pulses of a turn on the other kind of driver', () => {
    const at = driveAt(heron, 'turntable');
    const set = applyChanges(heron, [
      { at: [...at, 'steps'], to: 8 },
      { at: [...at, 'setCurrent'], to: typed(2) },
    ]);
    const servo = shelf.find(({ part }) => part.kind === 'step-servo')!;
    const driver = shelf.find(({ part }) => part.kind === 'driver' && part.drives === 'step-servo')!;
    const swapped = put(put(set, 'turntable', 'motor', servo), 'turntable', 'driver', driver);
    const drive = driveOf(swapped, 'turntable') as StepDrive;
    expect(drive.steps).toBeUndefined();
    expect(drive.setCurrent).toBeUndefined();
    expect(stepsOf(drive, driver.part as DriverPart)).toBeGreaterThan(100);
    // A driver of the same kind, with the same switch, keeps what was set.
    const alike = shelf.find(
      ({ id, part }) =>
        part.kind === 'driver' &&
        part.drives === 'stepper' &&
        id !== set.parts[(driveOf(set, 'turntable') as StepDrive).driver]!.shelfId &&
        part.stepSwitches.some(({ value }) => value === 8),
    )!;
    expect((driveOf(put(set, 'turntable', 'driver', alike), 'turntable') as StepDrive).steps).toBe(8);
  });

  it('does not keep the angles that were measured on another servo', () => {
    const pairs = [0.001, 0.002].map((pulse) => ({ pulse: typed(pulse), angle: typed(pulse * 900) }));
    const measured = withChange(heron, [...driveAt(heron, 'camera'), 'calibration'], pairs);
    const other = shelf.find(
      ({ part }) => part.kind === 'servo' && part.motion === 'joint' && !part.name.includes('micro'),
    )!;
    expect((driveOf(measured, 'camera') as ServoDrive).calibration).toHaveLength(2);
    expect((driveOf(put(measured, 'camera', 'servo', other), 'camera') as ServoDrive).calibration).toBeUndefined();
  });
});

describe('a score card', () => {
  it('shows nothing owned as nothing, and what lies there by how many are wanted', () => {
    const owned = (plan: Plan) =>
      through(scoreCard(plan, 'drive', 'push', candidatesFor(plan, 'drive', 'push', [])))[0]!.scores.owned;
    const motor = (driveOf(heron, 'drive') as { motor: string }).motor;
    const lying = (pieces: number | undefined) => withChange(heron, ['parts', motor, 'part', 'owned'], pieces);
    expect([undefined, 0, 1, 4, 9].map((pieces) => owned(lying(pieces)))).toEqual([0, 0, 0.25, 1, 1]);
  });
});

describe('a job that goes on and on', () => {
  const at = heron.mechanisms.findIndex(({ id }) => id === 'turntable');
  const plan = applyChanges(heron, [
    { at: ['mechanisms', at, 'jobs', 0, 'onAndOn'], to: true },
    { at: ['mechanisms', at, 'jobs', 0, 'time'], to: typed(1) },
  ]);
  it('keeps the speed that is asked, and no ramp takes half as much again', () => {
    for (const choice of mechanismOf(plan, 'turntable').choices) {
      const there = withChoice(plan, mechanismOf(plan, 'turntable'), choice.id);
      const path = resolvePath(there.plan, there.mechanism, there.mechanism.jobs[0]!.id) as StepPath;
      // Half a turn in a second: 30 rpm.
      expect((path.commanded.speed * 30) / Math.PI, choice.name).toBeCloseTo(30, 4);
      const { jobs } = evaluateMechanism(there.plan, there.mechanism);
      expect(jobs[0]!.checks.some(({ id }) => id === 'in-time')).toBe(false);
    }
  });

  it('has no current between goes: its winding settles at all of it', () => {
    const check = checkOf(plan, 'turntable', 'standing-heat')!;
    expect(said(check.sentence)).toMatch(/^Turning on and on at all of its current it /);
    expect(said(check.sentence)).not.toMatch(/between goes|may be cut/);
    expect(said(checkOf(heron, 'turntable', 'standing-heat')!.sentence)).toMatch(/between goes/);
  });
});

describe('in a bind', () => {
  it('nothing pushes harder than its tyres hold', () => {
    const drive = resolveDcPath(heron, mechanismOf(heron, 'drive'), 'push');
    const slippery = withChange(
      heron,
      [...choiceAt(heron, mechanismOf(heron, 'drive')), 'output', 'grip'],
      typed(0.05),
    );
    const path = resolveDcPath(slippery, mechanismOf(slippery, 'drive'), 'push');
    const [free, held] = [bindOf(drive), bindOf(path)];
    expect(free.effort.force).toBeLessThanOrEqual(drive.load.traction!);
    expect(held.effort.force).toBeCloseTo(path.load.traction!, 9);
    expect(held.lock.force).toBeLessThanOrEqual(path.load.traction!);
    expect(held.effort.force).toBeLessThan(0.1 * free.effort.force);
  });
});

describe('a timer chip', () => {
  it('whose pulses come thousands of times a second is no board for servos', () => {
    const rail = heron.supply.findIndex(({ kind }) => kind === 'rail');
    const node = heron.supply[rail] as { board?: string };
    const chip = {
      kind: 'board',
      name: 'timer',
      timerUpper: typed(1000),
      timerLower: typed(10_000),
      timerCapacitor: typed(1e-8),
    };
    const board = node.board ?? 'timer-board';
    const plan = applyChanges(heron, [
      { at: ['parts', board], to: { part: chip } },
      { at: ['supply', rail, 'board'], to: board },
    ]);
    const check = checkOf(plan, 'camera', 'servo-board')!;
    expect(check.verdict).toBe('gives way');
    expect(said(check.sentence)).toMatch(/at least 6\s?87\d.* servos are made for 50 a second/);
    const slow = withChange(plan, ['parts', board, 'part', 'timerCapacitor'], typed(1.4e-6));
    expect(checkOf(slow, 'camera', 'servo-board')!.verdict).toBe('enough');
  });
});

describe('the load of an arm', () => {
  it('names what is at its tip beside its own mass', () => {
    const { links } = evaluateMechanism(heron, mechanismOf(heron, 'arm')).jobs[0]!;
    expect(links.map(({ detail }) => said(detail)).join('; ')).toMatch(/kg, tip [\d.]+ kg/);
  });
});
