import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import {
  applyChanges,
  currentChoice,
  evaluateMechanism,
  findMends,
  machineOf,
  MACHINE_KINDS,
  marginOf,
  MOST,
  anotherMachine,
  partIdsOf,
  putInForce,
  ratioMarks,
  reachOf,
  resolvePath,
  servoScores,
  SERVO_FACTORS,
  SERVO_WEIGHT_SETS,
  spreadBuilds,
  stepMachines,
  stepMoments,
  sweepRatios,
  switchSettings,
  currentRowFor,
  weightedServo,
  type Check,
  type CheckId,
  type DriverPart,
  type LimitId,
  type Mechanism,
  type Plan,
  type ServoPart,
  type ServoPath,
  type Shelved,
  type SituationId,
  type StepPath,
  type WishMachine,
} from '../src/index.js';
import { demoPlan, mechanismOf, plainPlan, typed, withChange, said, through } from './demo.js';
import { allMachinesPlan } from './kinds.js';

const heron = demoPlan('heron');
const limpet = demoPlan('limpet');
const { parts: shelf } = JSON.parse(
  readFileSync(new URL('../../contract/demo/shelf.json', import.meta.url), 'utf8'),
) as { parts: Shelved[] };

const at = (plan: Plan, id: string): number => plan.mechanisms.findIndex((one) => one.id === id);
const drive = (plan: Plan, id: string, key: string, to: unknown): Plan => {
  const index = at(plan, id);
  const choices = plan.mechanisms[index]!.choices;
  const choice = choices.indexOf(currentChoice(plan.mechanisms[index]!));
  return withChange(plan, ['mechanisms', index, 'choices', choice, 'drive', key], to);
};
const job = (plan: Plan, id: string, key: string, si: number): Plan =>
  withChange(plan, ['mechanisms', at(plan, id), 'jobs', 0, key], typed(si));
const part = (plan: Plan, id: string, key: string, to: unknown): Plan =>
  withChange(plan, ['parts', id, 'part', key], to);
const rail = (plan: Plan, key: string, to: unknown): Plan =>
  withChange(plan, ['supply', plan.supply.findIndex(({ kind }) => kind === 'rail'), key], to);
const use = (plan: Plan, id: string, choice: string): Plan =>
  withChange(plan, ['mechanisms', at(plan, id), 'current'], choice);

function firstJob(plan: Plan, id: string) {
  return evaluateMechanism(plan, mechanismOf(plan, id)).jobs[0]!;
}
const checkIn = (plan: Plan, id: string, check: CheckId): Check =>
  firstJob(plan, id).checks.find((one) => one.id === check)!;
const rungIn = (plan: Plan, id: string, situation: SituationId, rung: LimitId) =>
  firstJob(plan, id).ladders[situation].rungs.find((one) => one.id === rung)!;
const pathIn = <P extends StepPath | ServoPath>(plan: Plan, id: string): P => {
  const mechanism = mechanismOf(plan, id);
  return resolvePath(plan, mechanism, mechanism.jobs[0]!.id) as P;
};

describe('every machine', () => {
  it('is in the table, and each demo path knows its own', () => {
    expect(MACHINE_KINDS).toEqual(['dc', 'step', 'servo']);
    expect(machineOf(pathIn(heron, 'turntable')).leading).toContain('pull-out');
    expect(machineOf(pathIn(heron, 'grip')).ceiling?.limit).toBe('servo');
  });

  it('says something of everything in the demo, and each robot says different things', () => {
    const verdicts = (plan: Plan) =>
      new Set(plan.mechanisms.map((mechanism) => evaluateMechanism(plan, mechanism).headline.verdict));
    expect(verdicts(heron)).toEqual(new Set(['enough', 'tight', 'gives way', 'not known']));
    expect(verdicts(limpet)).toEqual(new Set(['enough', 'tight', 'gives way']));
  });

  it('draws an envelope that falls with speed, and spreads', () => {
    for (const [plan, id] of [
      [heron, 'turntable'],
      [heron, 'grip'],
      [heron, 'camera'],
      [limpet, 'legs'],
      [limpet, 'winch'],
    ] as const) {
      const reach = reachOf(pathIn(plan, id))!;
      const forces = reach.points.map(({ force }) => force);
      expect(forces[0]!).toBeGreaterThan(0);
      for (let i = 1; i < forces.length; i++) expect(forces[i]!).toBeLessThanOrEqual(forces[i - 1]! + 1e-9);
      const builds = spreadBuilds(plan, id, mechanismOf(plan, id).jobs[0]!.id, { count: 40, seed: 3 });
      let step = builds.next();
      while (!step.done) step = builds.next();
      expect(step.value.count).toBe(40);
      expect(step.value.passing.length).toBeGreaterThan(3);
    }
  });
});

/** A driver whose current is set by a screw, not by switches. */
const unswitched = part(heron, 'driver-1', 'currentSwitches', undefined as never);

describe('a stepper', () => {
  const stepper = pathIn<StepPath>(heron, 'turntable');

  it('takes a third of the time each for speeding up, going and slowing down', () => {
    const { stretches, seconds, speed, acceleration } = stepper.commanded;
    expect(stretches.map((one) => one.seconds)).toEqual([1 / 3, 1 / 3, 1 / 3].map((x) => expect.closeTo(x, 9)));
    expect(seconds).toBeCloseTo(1, 9);
    expect(speed).toBeCloseTo(1.5 * Math.PI, 9);
    expect(acceleration).toBeCloseTo(4.5 * Math.PI, 9);
    expect(stepMoments(stepper).at(-1)!.place).toBeCloseTo(Math.PI, 9);
  });

  it('asks at the start what its rung asks', () => {
    const [first] = stepMoments(stepper);
    const rung = rungIn(heron, 'turntable', 'starting', 'pull-out');
    // The rung counts its own rotor to the machine, the moment counts it to what is taken.
    expect(Math.abs(marginOf(first!) - rung.multiple!)).toBeLessThan(0.1);
  });

  it('loses steps where a step servo on the very same axis alarms, or does not mind', () => {
    const hurried = job(heron, 'turntable', 'time', 0.62);
    const open = checkIn(hurried, 'turntable', 'keeps-step');
    const closed = checkIn(use(hurried, 'turntable', 'b'), 'turntable', 'keeps-step');
    expect(open.verdict).toBe('gives way');
    expect(said(open.sentence)).toContain('loses steps here, and nothing will tell you');
    expect(closed.verdict).not.toBe('gives way');
    const harder = checkIn(use(job(heron, 'turntable', 'time', 0.4), 'turntable', 'b'), 'turntable', 'keeps-step');
    expect(harder.verdict).toBe('gives way');
    expect(said(harder.sentence)).toContain('alarm: following error');
  });

  it('is sure of less in full steps, of more with more current, and holds by what is left of it', () => {
    const full = drive(heron, 'turntable', 'steps', 1);
    expect(rungIn(full, 'turntable', 'starting', 'pull-out').multiple!).toBeLessThan(
      rungIn(heron, 'turntable', 'starting', 'pull-out').multiple!,
    );
    const weak = drive(heron, 'turntable', 'setCurrent', typed(1.4));
    expect(rungIn(weak, 'turntable', 'starting', 'pull-out').multiple!).toBeLessThan(1.1);
    const sled = withChange(limpet, ['mechanisms', at(limpet, 'sled'), 'choices', 1, 'output', 'holder'], 'nothing');
    const half = rungIn(drive(sled, 'sled', 'idleShare', typed(0.5)), 'sled', 'holding', 'hold-current');
    const whole = rungIn(drive(sled, 'sled', 'idleShare', typed(1)), 'sled', 'holding', 'hold-current');
    expect(whole.multiple! / half.multiple!).toBeCloseTo(2, 9);
  });

  it('warms by what flows while it stands', () => {
    const cut = checkIn(drive(heron, 'turntable', 'idleShare', typed(0.1)), 'turntable', 'standing-heat');
    const whole = checkIn(drive(heron, 'turntable', 'idleShare', typed(1)), 'turntable', 'standing-heat');
    expect(cut.multiple!).toBeGreaterThan(2 * whole.multiple!);
    expect(said(cut.sentence)).toContain('may be cut');
  });

  it.each<readonly [CheckId, Plan, string, RegExp]>([
    ['signal', drive(heron, 'turntable', 'signalStage', 'none'), 'turntable', /too little light/],
    [
      'pulse-rate',
      part(heron, 'board-1', 'pulseLimit', typed(2000)),
      'turntable',
      /the board’s pulse limit allows 2000/,
    ],
    ['pulse-rate', part(heron, 'driver-1', 'leastPulse', typed(0.0005)), 'turntable', /least pulse/],
    ['starts-at-once', drive(heron, 'turntable', 'ramp', 'at once'), 'turntable', /A ramp takes it up/],
    ['resonance', drive(job(heron, 'turntable', 'time', 38), 'turntable', 'steps', 2), 'turntable', /rattles/],
    ['kick', drive(heron, 'turntable', 'engagedInertia', typed(4)), 'turntable', /loses steps/],
    [
      'standing-heat',
      drive(part(heron, 'stepper-1', 'mass', typed(0.1)), 'turntable', 'idleShare', typed(1)),
      'turntable',
      /burns out/,
    ],
    ['set-current', drive(unswitched, 'turntable', 'setCurrent', typed(2.95)), 'turntable', /rated for 2.8 A/],
    ['driver-current', drive(unswitched, 'turntable', 'setCurrent', typed(3.4)), 'turntable', /gives up to 3 A/],
    ['volts-full', part(heron, 'driver-1', 'highestVoltage', typed(13)), 'turntable', /takes up to 13 V/],
    ['volts-least', part(heron, 'driver-1', 'lowestVoltage', typed(12.5)), 'turntable', /works down to/],
    ['draw', part(heron, 'breaker-8', 'rated', typed(1)), 'turntable', /takes/],
    ['motor-kind', drive(heron, 'turntable', 'driver', 'driver-2'), 'turntable', /made for step servos/],
    ['resolves', job(heron, 'turntable', 'settle', 0.004), 'turntable', /One pulse is/],
  ])('is told when %s fails', (id, plan, mechanism, words) => {
    const check = checkIn(plan, mechanism, id);
    expect(check.verdict).toBe('gives way');
    expect(said(check.sentence)).toMatch(words);
  });

  it('is smoothed over its resonance by eight micro-steps', () => {
    const slow = job(heron, 'turntable', 'time', 38);
    expect(checkIn(drive(slow, 'turntable', 'steps', 2), 'turntable', 'resonance').verdict).toBe('gives way');
    const fine = checkIn(drive(slow, 'turntable', 'steps', 8), 'turntable', 'resonance');
    expect(fine.verdict).toBe('enough');
    expect(said(fine.sentence)).toContain('smooth that');
  });

  it('is furthest from losing step at one reduction, and the ruler marks it', () => {
    const points = [...sweepRatios(stepper, 1, 12, 41)];
    const { surest, fastest } = ratioMarks(points);
    expect(fastest).toBeUndefined();
    const best = points.reduce((most, one) => (one.margin! > most.margin! ? one : most));
    expect(Math.abs(Math.log(surest! / best.total))).toBeLessThan(0.1);
    expect([...sweepRatios(pathIn(heron, 'grip'), 1, 5, 9)]).toEqual([]);
  });

  it('falls from what it holds when the power goes, unless the detent is enough', () => {
    const plan = allMachinesPlan();
    const lift = plan.mechanisms.find(({ kind }) => kind === 'lift')!;
    const check = evaluateMechanism(plan, lift).jobs[0]!.checks.find(({ id }) => id === 'stays-up')!;
    expect(check).toMatchObject({ verdict: 'gives way' });
    expect(said(check.sentence)).toContain('detent');
    const light = withChange(plan, ['mechanisms', plan.mechanisms.indexOf(lift), 'jobs', 0, 'mass'], typed(0.5));
    expect(checkIn(light, lift.id, 'stays-up').verdict).toBe('enough');
  });
});

describe('what mends a drive that takes pulses', () => {
  const mended = (plan: Plan, id: string, target: Record<string, string>): readonly string[] => {
    const jobId = mechanismOf(plan, id).jobs[0]!.id;
    return [...findMends(plan, id, { jobId, ...target } as never)].flatMap((mend) => (mend ? [said(mend.label)] : []));
  };

  it.each<readonly [string, Plan, string, Record<string, string>, RegExp]>([
    [
      'a transistor',
      drive(heron, 'turntable', 'signalStage', 'none'),
      'turntable',
      { check: 'signal' },
      /small transistor/,
    ],
    [
      'a resistor',
      part(drive(heron, 'turntable', 'signalStage', 'none'), 'board-1', 'pinVoltage', typed(24)),
      'turntable',
      { check: 'signal' },
      /transistor/,
    ],
    ['a ramp', drive(heron, 'turntable', 'ramp', 'at once'), 'turntable', { check: 'starts-at-once' }, /ramp/],
    [
      'coarser steps',
      part(heron, 'board-1', 'pulseLimit', typed(2000)),
      'turntable',
      { check: 'pulse-rate' },
      /micro-steps|Full steps/,
    ],
    [
      'finer steps',
      drive(job(heron, 'turntable', 'time', 38), 'turntable', 'steps', 2),
      'turntable',
      { check: 'resonance' },
      /8 micro-steps/,
    ],
    [
      'more current',
      drive(heron, 'turntable', 'setCurrent', typed(2)),
      'turntable',
      { rung: 'pull-out', situation: 'starting' },
      /Set its switches to 2\.\d+ A/,
    ],
    [
      'less current',
      drive(unswitched, 'turntable', 'setCurrent', typed(2.95)),
      'turntable',
      { check: 'set-current' },
      /Set 2\.\d+ A/,
    ],
    [
      'less of it while standing',
      drive(part(heron, 'stepper-1', 'mass', typed(0.15)), 'turntable', 'idleShare', typed(1)),
      'turntable',
      { check: 'standing-heat' },
      /% of the current while it stands/,
    ],
  ])('%s', (_what, plan, id, target, words) => {
    expect(mended(plan, id, target).some((label) => words.test(label))).toBe(true);
  });

  it('a gentler motion, which takes its time', () => {
    const hasty = withChange(heron, ['mechanisms', at(heron, 'turntable'), 'jobs', 0, 'acceleration'], typed(30));
    const labels = mended(
      withChange(hasty, ['mechanisms', at(heron, 'turntable'), 'jobs', 0, 'speed'], typed(4.7)),
      'turntable',
      {
        check: 'keeps-step',
      },
    );
    expect(labels.some((label) => /Speed up with/.test(label))).toBe(true);
  });
});

describe('switches', () => {
  const driver = heron.parts['driver-1']!.part as DriverPart;

  it('are set for steps and current, the current never over what is wanted', () => {
    expect(currentRowFor(driver, 2.8)).toMatchObject({ value: 3.9 });
    expect(currentRowFor(driver, 0.1)).toMatchObject({ value: 1 });
    const switches = switchSettings(driver, 8, 2.8);
    expect(switches.map(({ number }) => number)).toEqual([1, 2, 3, 4, 5, 6]);
    expect(switches.map(({ on }) => on)).toEqual([false, true, true, true, true, false]);
    expect(switchSettings(driver, 7, undefined)).toEqual([]);
  });

  it('of every driver on the shelf tell its settings apart', () => {
    for (const { part: one } of shelf) {
      if (one.kind !== 'driver') continue;
      for (const rows of [one.stepSwitches, one.currentSwitches ?? []])
        expect(new Set(rows.map(({ on }) => on)).size).toBe(rows.length);
    }
  });
});

describe('side by side', () => {
  it('puts a stepper on the shaft beside a step servo there and at two reductions', () => {
    const rows = stepMachines(heron, 'turntable', 'turn', shelf, { reductions: [2, 4], pulleyPrice: 20 });
    expect(rows.map(({ id }) => id)).toEqual(['own', 'direct', 'servo-0', 'servo-1', 'servo-2']);
    type Row = (typeof rows)[0];
    const [own, direct, onShaft, low, high] = rows as [Row, Row, Row, Row, Row];
    expect(onShaft.label).toMatch(/on the shaft$/);
    expect(onShaft.price!).toBeLessThan(low.price!);
    expect(low.margin!).toBeGreaterThan(1.8 * onShaft.margin!);
    expect(own.changes).toEqual([]);
    expect(direct.beyond).toBe('loses steps, silently');
    expect(low.beyond).toBe('alarms');
    expect(high.margin!).toBeGreaterThan(1.8 * low.margin!);
    expect(high.pulse).toBeCloseTo(low.pulse / 2, 12);
    expect(low.price).toBe(high.price);
    expect(low.lag).toBe(0);
    // Taking one is taking what was shown.
    const taken = applyChanges(heron, high.changes);
    expect(evaluateMechanism(taken, mechanismOf(taken, 'turntable')).headline.verdict).toBe(high.headline.verdict);
  });

  it.each<WishMachine>(['dc', 'step', 'step-servo', 'servo'])(
    'tries %s beside a mechanism that is there',
    (machine) => {
      const { changes, name, headline, none } = through(anotherMachine(heron, 'turntable', machine, shelf));
      const changed = applyChanges(heron, changes);
      const mechanism: Mechanism = mechanismOf(changed, 'turntable');
      expect(mechanism.choices).toHaveLength(3);
      expect(mechanism.choices.slice(0, 2)).toEqual(mechanismOf(heron, 'turntable').choices);
      // Nothing is put in force by trying it.
      expect(mechanism.current).toBe(mechanismOf(heron, 'turntable').current);
      const beside = mechanism.choices[2]!;
      expect(beside.drive.kind).toBe(machine === 'step-servo' ? 'step' : machine);
      expect(beside.name).toBe(name);
      expect(name).not.toContain('first idea');
      const inForce = applyChanges(changed, putInForce(changed, 'turntable', beside.id));
      expect(evaluateMechanism(inForce, mechanismOf(inForce, 'turntable')).headline).toEqual(headline);
      // What is proposed passes, or none of the shelf does.
      expect(headline.verdict === 'gives way').toBe(none !== undefined);
      for (const id of partIdsOf(beside.drive)) expect(changed.parts[id]).toBeDefined();
    },
  );

  it('shows none at nothing: what is too fast for its volts says how much of the speed it keeps', () => {
    for (const machine of ['step', 'step-servo'] as const) {
      const { headline } = through(anotherMachine(heron, 'lift', machine, shelf));
      expect(headline.multiple ?? 1, machine).toBeGreaterThan(0.01);
    }
    const at = heron.mechanisms.findIndex(({ id }) => id === 'turntable');
    const hurried = withChange(heron, ['mechanisms', at, 'jobs', 0, 'time'], typed(0.05));
    const { rungs } = evaluateMechanism(hurried, mechanismOf(hurried, 'turntable')).jobs[0]!.ladders.working;
    const pullOut = rungs.find(({ id }) => id === 'pull-out')!;
    expect(pullOut.shortfall?.kind).toBe('too slow');
    expect(pullOut.multiple!).toBeGreaterThan(0);
    expect(pullOut.multiple!).toBeLessThan(1);
  });

  it('says that none passes where none does, and shows the best with what fails', () => {
    const lift = heron.mechanisms.findIndex(({ id }) => id === 'lift');
    const heavy = withChange(heron, ['mechanisms', lift, 'jobs', 0, 'mass'], typed(400));
    const { headline, none } = through(anotherMachine(heavy, 'lift', 'servo', shelf));
    expect(headline.verdict).toBe('gives way');
    expect(none).toBeGreaterThan(1);
  });

  it('keeps no more than four, and calls no two alike', () => {
    let plan = heron;
    for (let i = 2; i < MOST.choices; i++)
      plan = applyChanges(plan, through(anotherMachine(plan, 'turntable', 'dc', shelf)).changes);
    const names = mechanismOf(plan, 'turntable').choices.map(({ name }) => name);
    expect(new Set(names).size).toBe(4);
    expect(() => through(anotherMachine(plan, 'turntable', 'dc', shelf))).toThrow(/kept side by side/);
    expect(() => through(anotherMachine(plan, 'nothing', 'dc', shelf))).toThrow(/no mechanism/);
  });
});

describe('servos', () => {
  const rotor = (plan: Plan, id: string) => pathIn<ServoPath>(plan, id);

  it('hang on one budget with everything else on their rail', () => {
    const { rail: one } = rotor(limpet, 'legs');
    expect(one.servos).toHaveLength(7);
    expect(one.budget.moving).toBeGreaterThan(6 * 0.5);
    const slower = job(limpet, 'legs', 'mass', 3.2);
    expect(rotor(slower, 'legs').rail.budget.moving).toBeGreaterThan(one.budget.moving);
    // The winch on the same rail feels it.
    expect(rotor(slower, 'winch').servo.voltage).toBeLessThan(rotor(limpet, 'winch').servo.voltage);
  });

  it.each<readonly [CheckId, Plan, string, RegExp]>([
    ['volts-full', rail(heron, 'voltage', typed(6.5)), 'camera', /stand 6 V/],
    ['volts-full', rail(heron, 'source', 'pack'), 'camera', /Off the charger/],
    ['volts-least', rail(heron, 'voltage', typed(3.2)), 'grip', /gives up/],
    ['rail-moving', rail(heron, 'continuous', typed(0.5)), 'grip', /for long/],
    ['rail-stalled', rail(heron, 'burst', typed(1.5)), 'grip', /Not one of them may stall/],
    ['rail-source', rail(heron, 'source', 'board'), 'grip', /logic board/],
    ['rail-ground', rail(heron, 'ground', 'apart'), 'grip', /Join the grounds/],
    ['travel', part(heron, 'servo-2', 'travel', typed(1.5)), 'camera', /takes 120°/],
    ['in-time', job(heron, 'camera', 'time', 0.15), 'camera', /allowed/],
    ['stands-at-angle', part(heron, 'servo-2', 'motion', 'continuous'), 'camera', /turns on and on/],
    [
      'dead-spots',
      withChange(heron, ['mechanisms', at(heron, 'grip'), 'choices', 0, 'drive', 'linkage', 'rod'], typed(0.03)),
      'grip',
      /does not take|horn/,
    ],
    ['tip', drive(limpet, 'legs', 'tipWindow', typed(0.0005)), 'legs', /at worst/],
    [
      'stays-up',
      withChange(limpet, ['mechanisms', at(limpet, 'winch'), 'choices', 1, 'output', 'holder'], 'nothing'),
      'winch',
      /lets go/,
    ],
  ])('are told when %s fails', (id, plan, mechanism, words) => {
    const check = checkIn(plan, mechanism, id);
    expect(check.verdict).toBe('gives way');
    expect(said(check.sentence)).toMatch(words);
  });

  it('turn on and on behind a rope, where an end or a count says when it is enough', () => {
    expect(rotor(limpet, 'winch').servo.part.motion).toBe('continuous');
    expect(checkIn(limpet, 'winch', 'stands-at-angle')).toBeUndefined();
    expect(checkIn(heron, 'camera', 'stands-at-angle').verdict).toBe('enough');
  });

  it('say which of them may stall together', () => {
    const { sentence, verdict } = checkIn(limpet, 'legs', 'rail-stalled');
    expect(verdict).toBe('enough');
    expect(said(sentence)).toMatch(/may stall together .*Legs/);
  });

  it('are never rated up', () => {
    const high = rail(heron, 'voltage', typed(9));
    expect(rotor(high, 'grip').servo.rating.stallTorque).toBeCloseTo(3.8, 9);
    expect(said(checkIn(high, 'grip', 'volts-full').sentence)).toContain('never rated up');
  });

  it('move as the closed form of the same line says', () => {
    const run = firstJob(heron, 'camera').run!;
    const path = rotor(heron, 'camera');
    expect(run.outcome).toBe('arrived');
    // Never faster than its free speed takes.
    expect(run.time).toBeGreaterThan(path.asked.travel! / path.servo.rating.freeSpeed);
    expect(run.topSpeed).toBeLessThan(path.servo.rating.freeSpeed);
  });

  it('through a linkage still do no more work than they give', () => {
    const path = rotor(heron, 'grip');
    const { hornAt, ratioAt, from, to } = path.linked!;
    const way = path.asked.travel!;
    let turned = 0;
    for (let i = 0; i < 400; i++) turned += way / 400 / ratioAt((way * (i + 0.5)) / 400);
    expect(turned).toBeCloseTo(Math.abs(to - from), 3);
    expect(hornAt(way)).toBeCloseTo(Math.abs(to - from), 6);
  });

  it.each<readonly [string, Plan, Record<string, string>, RegExp]>([
    ['a shorter horn', heron, { rung: 'servo-hold', situation: 'holding' }, /horn of/],
    ['another servo beside it', heron, { rung: 'servo', situation: 'working' }, /One more servo/],
    ['more volts', rail(heron, 'voltage', typed(4.9)), { check: 'volts-least' }, /Set the rail/],
    ['fewer volts', rail(heron, 'voltage', typed(7)), { check: 'volts-full' }, /Set the rail to 6 V/],
    ['a stronger regulator', rail(heron, 'continuous', typed(0.5)), { check: 'rail-moving' }, /A regulator of/],
    ['a regulator at all', rail(heron, 'source', 'board'), { check: 'rail-source' }, /from a regulator/],
    ['joined grounds', rail(heron, 'ground', 'apart'), { check: 'rail-ground' }, /Join the grounds/],
  ])('are mended by %s', (_what, plan, target, words) => {
    const labels = [...findMends(plan, 'grip', { jobId: 'hold', ...target } as never)].flatMap((mend) =>
      mend ? [said(mend.label)] : [],
    );
    if (words.source !== 'Set the rail' || checkIn(plan, 'grip', 'volts-least').verdict === 'gives way')
      expect(
        labels.some((label) => words.test(label)),
        labels.join(' | '),
      ).toBe(true);
  });

  it('are scored on the job, by the weights of a school', () => {
    const scores = servoScores(heron, 'grip', 'hold', shelf, 'steel above titanium');
    expect(scores.length).toBeGreaterThan(8);
    expect(scores[0]).toMatchObject({ id: 'own', changes: [] });
    for (const { scores: one } of scores)
      for (const factor of SERVO_FACTORS) {
        const value = one[factor];
        if (value !== undefined) expect(value).toBeGreaterThanOrEqual(0);
        if (value !== undefined) expect(value).toBeLessThanOrEqual(1 + 1e-9);
      }
    const best = (weights: (typeof SERVO_WEIGHT_SETS)[0]['weights'], plan: Plan, id: string, jobId: string) =>
      servoScores(plan, id, jobId, shelf, 'steel above titanium')
        .map((score) => ({ name: score.name, total: weightedServo(score, weights) }))
        .sort((a, b) => b.total - a.total)[0]!.name;
    const [hard, plain] = SERVO_WEIGHT_SETS as [(typeof SERVO_WEIGHT_SETS)[0], (typeof SERVO_WEIGHT_SETS)[0]];
    // A camera may be plain and cheap; a grip under load asks for metal.
    expect(best(plain.weights, heron, 'camera', 'look')).toMatch(/micro|plastic|small/);
    expect(best(hard.weights, heron, 'grip', 'hold')).toMatch(/strong|titanium|steel/);
    const micro = shelf.find(({ id }) => id === 'servo-micro')!.part as ServoPart;
    expect([hard.refuses(micro), plain.refuses(micro)]).toEqual([true, false]);
  });

  it('rank steel and titanium by the school that is asked', () => {
    const gears = (rank: 'steel above titanium' | 'titanium above steel') =>
      Object.fromEntries(
        servoScores(heron, 'grip', 'hold', shelf, rank).map(({ id, scores }) => [id, scores.gears] as const),
      );
    const [steel, titanium] = [gears('steel above titanium'), gears('titanium above steel')];
    expect(steel['servo-strong']!).toBeGreaterThan(steel['servo-titanium']!);
    expect(titanium['servo-titanium']!).toBeGreaterThan(titanium['servo-strong']!);
  });
});

describe('plans of plain motors', () => {
  it('throw where a machine is asked for what only plain motors have', () => {
    expect(plainPlan('limpet').mechanisms.map(({ id }) => id)).toEqual(['drive', 'winch', 'sled']);
    expect(() =>
      stepMachines(plainPlan('heron'), 'lift', 'raise', shelf, { reductions: [2, 4], pulleyPrice: 1 }),
    ).toThrow(/takes no pulses/);
    expect(() => servoScores(heron, 'lift', 'raise', shelf, 'steel above titanium')).toThrow(/is no servo/);
  });
});
