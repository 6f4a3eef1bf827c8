import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import {
  auditServo,
  compareVariant,
  driveBase,
  evaluateMechanism,
  fallEnergy,
  GRAVITY,
  headlineSentence,
  headlineText,
  ladderOf,
  motorCounts,
  operatingAt,
  packCurrentOf,
  proposeBeside,
  proposeMechanism,
  regearServo,
  resolvePath,
  rollBackOf,
  runOf,
  stepCeilingOf,
  type AnyPath,
  type DcPath,
  type Plan,
  type ServoPart,
  type ServoPath,
  type Shelved,
  type StepPath,
} from '../src/index.js';
import { demoPlan, mechanismOf, plainPlan, said, typed, withChange } from './demo.js';

/** Places where a number, a word or a verdict was not true, or where two places disagreed: each with figures of its own. */

const heron = plainPlan('heron');
const demo = demoPlan('heron');
const limpet = demoPlan('limpet');

const at = (plan: Plan, id: string): number => plan.mechanisms.findIndex((mechanism) => mechanism.id === id);
const job = (plan: Plan, id: string, key: string, to: unknown, index = 0): Plan =>
  withChange(plan, ['mechanisms', at(plan, id), 'jobs', index, key], to);
const output = (plan: Plan, id: string, key: string, to: unknown): Plan =>
  withChange(plan, ['mechanisms', at(plan, id), 'choices', 0, 'output', key], to);
const drive = (plan: Plan, id: string, key: string, to: unknown): Plan =>
  withChange(plan, ['mechanisms', at(plan, id), 'choices', 0, 'drive', key], to);
function pathOf<P extends AnyPath>(plan: Plan, id: string, index = 0): P {
  const mechanism = mechanismOf(plan, id);
  return resolvePath(plan, mechanism, mechanism.jobs[index]!.id) as P;
}
const judged = (plan: Plan, id: string, index = 0) => evaluateMechanism(plan, mechanismOf(plan, id)).jobs[index]!;
const checkOf = (plan: Plan, id: string, check: string, index = 0) =>
  judged(plan, id, index).checks.find((one) => one.id === check)!;

describe('what falls', () => {
  it('frees m·g·h, or what an arm stands above its lowest, and a spring takes its share', () => {
    const lift = pathOf<DcPath>(heron, 'lift');
    expect(fallEnergy(lift.load, 1.35)).toBeCloseTo(20 * GRAVITY * 1.35, 6);
    const arm = pathOf<DcPath>(heron, 'arm');
    const of = (key: string) => arm.figures[key]!.value!;
    const moment =
      GRAVITY * (of('output.armMass') * of('output.armCentre') + of('job.payload') * of('output.armLength'));
    const stored = (angle: number) =>
      moment * Math.sin(angle) + (of('output.springRate') / 2) * (of('output.springZero') - angle) ** 2;
    const way = Array.from({ length: 501 }, (_, i) =>
      stored(of('job.from') + ((of('job.to') - of('job.from')) * i) / 500),
    );
    expect(fallEnergy(arm.load, arm.asked.travel!)).toBeCloseTo(Math.max(...way) - Math.min(...way), 3);
  });

  it('is a note up to two joules, and where the person says why it may; above it gives way', () => {
    // 0.1 kg from 1.35 m: 1.3 J.
    const light = output(job(heron, 'lift', 'mass', typed(0.1)), 'lift', 'holder', 'nothing');
    expect(checkOf(light, 'lift', 'stays-up')).toMatchObject({ verdict: 'enough', note: true });
    const heavy = output(heron, 'lift', 'holder', 'nothing');
    expect(checkOf(heavy, 'lift', 'stays-up').verdict).toBe('gives way');
    const may = output(heavy, 'lift', 'mayFall', 'a cage stands round it');
    expect(checkOf(may, 'lift', 'stays-up')).toMatchObject({ verdict: 'enough', note: true });
    expect(said(checkOf(may, 'lift', 'stays-up').sentence)).toContain('a cage stands round it');
    const choosy = output(light, 'lift', 'harmlessFall', typed(1));
    expect(checkOf(choosy, 'lift', 'stays-up').verdict).toBe('gives way');
  });
});

describe('one answer for a mechanism', () => {
  it('is that of its list, in a sentence, over all its jobs', () => {
    for (const plan of [demo, limpet, heron])
      for (const mechanism of plan.mechanisms) {
        const { headline, jobs } = evaluateMechanism(plan, mechanism);
        const { lead, rest } = headlineSentence(headline, jobs);
        const word = { enough: 'Enough.', tight: 'Tight.', 'gives way': 'Gives way.', 'not known': 'Not known.' };
        expect(lead, mechanism.name).toBe(word[headline.verdict]);
        expect(said(rest).length, mechanism.name).toBeGreaterThan(10);
        if (mechanism.jobs.length > 1)
          expect(headlineText(headline)).toContain(jobs.find(({ jobId }) => jobId === headline.jobId)!.name);
      }
  });

  it('names nothing that gives first while the machine itself is not known', () => {
    const plan = withChange(heron, ['parts', 'motor-1', 'part', 'data', 'stallTorque'], undefined);
    const { ladders } = judged(plan, 'lift');
    expect(ladders.working).toMatchObject({ verdict: 'not known', first: undefined });
    expect(ladders.working.rungs.some(({ multiple }) => multiple !== undefined)).toBe(true);
  });

  it('asks no run that there is not: what cannot be run is not known, and not late', () => {
    const plan = withChange(demo, ['parts', 'driver-1', 'part', 'mostCurrent'], undefined);
    expect(checkOf(plan, 'turntable', 'in-time').verdict).toBe('not known');
    const railless = withChange(
      demo,
      ['supply', demo.supply.findIndex(({ kind }) => kind === 'rail'), 'voltage'],
      undefined,
    );
    expect(checkOf(railless, 'grip', 'in-time').verdict).toBe('not known');
  });

  it('is the same in a comparison, whose other numbers are of one job', () => {
    const own = compareVariant(heron, 'drive', 'push', { id: 'own', label: 'as it is', changes: [] });
    expect(own.headline).toEqual(evaluateMechanism(heron, mechanismOf(heron, 'drive')).headline);
  });
});

describe('a load that drives', () => {
  const parked = (degrees: number): Plan => job(heron, 'drive', 'slope', typed((degrees * Math.PI) / 180));
  const mass = pathOf<DcPath>(heron, 'drive').figures['output.mass']!.value!;
  const rolling = pathOf<DcPath>(heron, 'drive').figures['output.rollingResistance']!.value!;

  it('is held at rest, whichever way it pulls', () => {
    const slope = (25 * Math.PI) / 180;
    for (const way of [-25, 25]) {
      const ladder = ladderOf(pathOf(parked(way), 'drive'), 'holding');
      expect(ladder.demand).toBeCloseTo(mass * GRAVITY * Math.sin(slope), 6);
      expect(ladder.rungs.length).toBeGreaterThan(3);
    }
  });

  it('is held by rolling resistance up to its own size, and the words say so', () => {
    const gentle = (Math.atan(rolling) * 180) / Math.PI;
    expect(ladderOf(pathOf(parked(-0.8 * gentle), 'drive'), 'holding').idle).toBe('held by rolling resistance');
    expect(ladderOf(pathOf(parked(-1.2 * gentle), 'drive'), 'holding').idle).toBeUndefined();
    expect(ladderOf(pathOf(parked(0), 'drive'), 'holding').idle).toBe('no load');
  });

  it('asks the brakes and no pull where it runs down by itself, at the start and on the way', () => {
    const path = pathOf<DcPath>(job(parked(-40), 'drive', 'time', typed(30)), 'drive');
    const down = mass * GRAVITY * (Math.sin((40 * Math.PI) / 180) - rolling * Math.cos((40 * Math.PI) / 180));
    expect(ladderOf(path, 'starting').demand).toBeCloseTo(down, 6);
    expect(ladderOf(path, 'working').idle).toBe('load drives');
  });

  it('rolls back with a speed and a distance, where nothing holds it', () => {
    const path = pathOf<DcPath>(parked(25), 'drive');
    const back = rollBackOf(path);
    if (back.stays) throw new Error('it should roll back');
    const { motor, motors, controllerResistance, rotorInertia } = path.drive;
    const lever = path.train.total / path.radius;
    const slope = (25 * Math.PI) / 180;
    const pulls = mass * GRAVITY * (Math.sin(slope) - rolling * Math.cos(slope)) * path.train.backEfficiency;
    const drag = motors * (motor.torqueConstant * motor.freeCurrent + path.motor.detent) * lever;
    const torque = (pulls - drag) / (motors * lever);
    const shorted =
      (torque * (motor.resistance + controllerResistance)) / (motor.torqueConstant * motor.backEmfConstant) / lever;
    expect(back.shorted).toBeCloseTo(shorted, 9);
    const moved = mass * path.train.backEfficiency + motors * rotorInertia * lever ** 2;
    expect(back.free.speed).toBeCloseTo((pulls - drag) / moved, 9);
    expect(back.free.distance).toBeCloseTo((pulls - drag) / moved / 2, 9);
    expect(rollBackOf(pathOf<DcPath>(heron, 'drive'))).toEqual({ stays: true, by: 'nothing pulls' });
  });
});

describe('what a motor stands', () => {
  it('in volts and speed is a figure of its own: usual of a brushed one, not known of a brushless', () => {
    const lift = pathOf<DcPath>(heron, 'lift');
    expect(lift.motor.highestVoltage).toBeCloseTo(18, 9);
    expect(lift.motor.highestSpeed).toBeCloseTo((1.5 * 5800 * Math.PI) / 30, 6);
    const cells = withChange(heron, ['parts', 'pack-1', 'part', 'series'], 24);
    expect(checkOf(cells, 'lift', 'motor-volts')).toMatchObject({ verdict: 'gives way' });
    const limited = withChange(cells, ['parts', 'controller-1', 'part', 'greatestDuty'], typed(0.25));
    expect(checkOf(limited, 'lift', 'motor-volts').verdict).toBe('enough');
    expect(checkOf(demo, 'thrower', 'motor-speed')).toMatchObject({
      verdict: 'enough',
      note: true,
      there: 'not known',
    });
  });

  it('a stepper turns no faster than the least of pulses, torque, volts and itself, and says which', () => {
    const table = pathOf<StepPath>(demo, 'turntable');
    const ceiling = stepCeilingOf(table);
    expect(['the volts', 'the torque the load takes']).toContain(ceiling.by);
    const slowBoard = withChange(demo, ['parts', 'board-1', 'part', 'pulseLimit'], typed(1000));
    const slow = stepCeilingOf(pathOf<StepPath>(slowBoard, 'turntable'));
    expect(slow.by).toContain('board');
    expect(slow.speed).toBeCloseTo((1000 * 2 * Math.PI) / (table.step.stepsPerTurn * table.step.microsteps), 9);
    const servo = withChange(demo, ['mechanisms', at(demo, 'turntable'), 'current'], 'b');
    const closed = pathOf<StepPath>(servo, 'turntable');
    expect(stepCeilingOf(closed).speed).toBeLessThanOrEqual(
      closed.step.motor.loop === 'closed' ? closed.step.motor.figures.topSpeed : NaN,
    );
  });

  it('a driver with switches sets what its switch says, and nothing between two', () => {
    const path = (amperes: number) =>
      pathOf<StepPath>(drive(demo, 'turntable', 'setCurrent', typed(amperes)), 'turntable').step.setCurrent;
    expect(path(2.5)).toBeCloseTo(3.3 / Math.SQRT2, 9);
    expect(path(2.34)).toBeCloseTo(3.3 / Math.SQRT2, 9);
    expect(path(2.3)).toBeCloseTo(2.8 / Math.SQRT2, 9);
  });
});

describe('what does not move', () => {
  it('is pushed at as long as the job lasts: heat and charge count it, and it is never there', () => {
    const stuck = job(heron, 'lift', 'mass', typed(400));
    const path = pathOf<DcPath>(stuck, 'lift');
    const run = runOf(path)!;
    expect(run.outcome).toBe('stalled');
    expect(run.samples.at(-1)!.time).toBeCloseTo(path.asked.time, 9);
    const { packVoltage, supplyCurrent } = run.samples[0]!;
    expect(run.packEnergy).toBeCloseTo(packVoltage * supplyCurrent * path.asked.time, 6);
    expect(run.rmsMotorCurrent).toBeCloseTo(run.peakMotorCurrent, 9);
    expect(checkOf(stuck, 'lift', 'in-time').there).toBe('does not move');
    expect(checkOf(stuck, 'lift', 'match-heat').multiple!).toBeLessThan(
      0.5 * checkOf(heron, 'lift', 'match-heat').multiple!,
    );
  });
});

describe('a servo', () => {
  it('has its own volts and energy at the rail, and others at the pack', () => {
    const path = pathOf<ServoPath>(demo, 'grip');
    const run = runOf(path)!;
    expect(run.rail!.leastVoltage).toBe(path.servo.voltage);
    expect(run.leastPackVoltage).toBeCloseTo(
      path.restVoltage - path.pack.resistance * packCurrentOf(path, run.rail!.peakCurrent),
      9,
    );
    // A regulator takes from the pack what the rail gives, over its efficiency.
    expect(run.packEnergy).toBeGreaterThan((run.rail!.energy * 0.97) / 0.85);
    const [first] = run.samples;
    expect(first!.packVoltage).toBeGreaterThan(path.rail.voltage);
  });

  it('with other gears inside pulls harder and turns slower by the same share', () => {
    const id = Object.entries(limpet.parts).find(
      ([, { part }]) => part.kind === 'servo' && (part.inside?.length ?? 0) > 1,
    )![0];
    const before = limpet.parts[id]!.part as ServoPart;
    const stage = before.inside!.length - 1;
    const { driver, driven } = before.inside![stage]!;
    const halved = regearServo(limpet, id, stage, { driver: driver * 2, driven });
    const after = halved.reduce((plan, { at: place, to }) => withChange(plan, place as (string | number)[], to), limpet)
      .parts[id]!.part as ServoPart;
    for (const [i, point] of after.points.entries()) {
      expect(point.stallTorque!.si).toBeCloseTo(before.points[i]!.stallTorque!.si / 2, 12);
      expect(point.speed!.si).toBeCloseTo(before.points[i]!.speed!.si * 2, 9);
      expect(point.stallCurrent).toEqual(before.points[i]!.stallCurrent);
    }
    expect(() => regearServo(limpet, id, 9, { driver, driven })).toThrow(`the plan has no servo ${id} with a stage 10`);
  });

  it('that would make power from nothing is called out, and none of those that ship does', () => {
    const sheet = [{ voltage: 5, stallTorque: 1.6, freeSpeed: Math.PI / 3 / 0.18, stallCurrent: 1.9 }];
    expect(auditServo(sheet, 0.24)).toMatchObject({ verdict: 'impossible' });
    expect(auditServo([{ ...sheet[0]!, stallCurrent: 2.4 }], 0.1)).toMatchObject({ verdict: 'suspicious' });
    expect(auditServo([{ ...sheet[0]!, stallCurrent: 2.9 }], 0.24)).toMatchObject({
      verdict: 'plausible',
      findings: [],
    });
    const shelf = JSON.parse(readFileSync(new URL('../../contract/demo/shelf.json', import.meta.url), 'utf8')) as {
      parts: Shelved[];
    };
    for (const { part } of shelf.parts) {
      if (part.kind !== 'servo' || part.motion === 'linear') continue;
      const points = part.points.map(({ voltage, stallTorque, speed, stallCurrent }) => ({
        voltage: voltage!.si,
        stallTorque: stallTorque!.si,
        freeSpeed: speed!.si,
        stallCurrent: stallCurrent?.si,
      }));
      expect(auditServo(points, part.runningCurrent?.si ?? NaN).verdict, part.name).toBe('plausible');
    }
  });
});

describe('what the tyres carry', () => {
  it('caps every pull and every braking that is shown', () => {
    const slick = output(heron, 'drive', 'grip', typed(0.3));
    const path = pathOf<DcPath>(slick, 'drive');
    const row = compareVariant(slick, 'drive', 'sprint', { id: 'own', label: 'as it is', changes: [] });
    expect(row.pull).toBeCloseTo(path.load.traction!, 9);
    expect(row.braking!).toBeLessThanOrEqual(path.load.traction!);
  });

  it('is each driven wheel’s share, and a motor with a wheel of its own adds one', () => {
    const six = output(output(heron, 'drive', 'drivenShare', undefined), 'drive', 'wheels', 6);
    const share = (plan: Plan) => pathOf<DcPath>(plan, 'drive').figures['output.drivenShare']!.value;
    expect(share(six)).toBe(1);
    expect(share(output(six, 'drive', 'driven', 2))).toBeCloseTo(2 / 6, 12);
    const apart = (motors: number) => drive(drive(six, 'drive', 'apart', true), 'drive', 'motors', motors);
    expect(share(apart(2))).toBeCloseTo(2 / 6, 12);
    expect(share(apart(3))).toBeCloseTo(3 / 6, 12);
    expect(share(output(apart(3), 'drive', 'drivenShare', typed(0.7)))).toBe(0.7);
    const grip = driveBase({ mass: 52, rollingResistance: 0.03, grip: 0.9, drivenShare: 0.5, slope: 0 }).traction;
    expect(grip).toBeCloseTo(0.45 * 52 * GRAVITY, 9);
  });

  it('a motor with a train of its own loads its own chain only', () => {
    const rung = (plan: Plan) =>
      judged(plan, 'drive', 0).ladders.starting.rungs.find(({ id }) => id === 'chain-snap')!.capacity!;
    const motors = pathOf<DcPath>(heron, 'drive').motors;
    expect(motors).toBeGreaterThan(1);
    expect(rung(drive(heron, 'drive', 'apart', true)) / rung(heron)).toBeCloseTo(motors, 9);
  });
});

describe('a comparison of motor counts', () => {
  it('has no numbers for one motor that is dead', () => {
    const alone = motorCounts(heron, 'lift', true, false).find(({ id }) => id === 'count-1');
    const { headline, time, pull, motorCurrent } = compareVariant(heron, 'lift', 'raise', alone!);
    expect(headline).toMatchObject({ verdict: 'gives way', name: 'nothing turns it' });
    expect([time, pull, motorCurrent]).toEqual([undefined, undefined, undefined]);
  });
});

describe('a chain that runs steeply', () => {
  const stage = (plan: Plan, key: string, to: unknown): Plan =>
    withChange(plan, ['mechanisms', at(plan, 'lift'), 'choices', 0, 'stages', 1, key], to);
  const skip = (plan: Plan) => judged(plan, 'lift').ladders.starting.rungs.find(({ id }) => id === 'chain-skip')!;
  const sliding = stage(heron, 'takeUp', 'slide');

  it('is not known where the lower wheel’s strand hangs free, unless its pull is typed', () => {
    const steep = skip(sliding);
    expect(steep).toMatchObject({ verdict: 'not known', capacity: undefined });
    expect(steep.lacks[0]!.why).toContain('steeper than 45°');
    expect(skip(stage(sliding, 'tension', typed(6))).capacity).toBeGreaterThan(0);
    expect(skip(heron).capacity).toBeGreaterThan(0);
  });

  it('lying level hangs by the strand’s own length, which is shorter than its shafts are apart', () => {
    const level = stage(sliding, 'direction', typed(0.3));
    const path = pathOf<DcPath>(level, 'lift');
    const chain = path.stageParts[1]!;
    if (chain.kind !== 'chain') throw new Error('a chain');
    const strand = Math.sqrt(chain.tautCentre ** 2 - (chain.drivenRadius - chain.driverRadius) ** 2);
    expect(chain.tension).toBeCloseTo((0.14 * 9.80665 * strand) / (8 * 0.02), 6);
  });
});

describe('a speed out of reach', () => {
  it('yields no current beyond what the volts give', () => {
    const path = pathOf<DcPath>(heron, 'lift');
    for (const speed of [1, 3, 10, 100]) {
      const { motorCurrent, supplyCurrent } = operatingAt(path, 150, speed);
      expect(supplyCurrent!).toBeLessThanOrEqual(motorCurrent + 1e-9);
    }
  });
});

describe('the servo that is proposed', () => {
  const { parts } = JSON.parse(readFileSync(new URL('../../contract/demo/shelf.json', import.meta.url), 'utf8')) as {
    parts: Shelved[];
  };
  const proposed = (mass: number) => {
    const values = { mass: typed(mass), length: typed(0.12), time: typed(0.4) };
    return proposeMechanism(demo, { kind: 'grip', machine: 'servo', name: 'Claw', values }, parts);
  };

  it('has its margins, or is the nearest that there is, and says so', () => {
    expect(proposed(0.08).note).toBeUndefined();
    const note = proposed(40).note!;
    expect(note).toMatch(
      /^No servo of the shelf does it with its margins\. The nearest is proposed, .*: it has \d+ % /,
    );
  });
});

describe('another machine before a screw', () => {
  it('is geared for the turns of the screw, and not for metres a second taken as turns', () => {
    const { parts } = JSON.parse(readFileSync(new URL('../../contract/demo/shelf.json', import.meta.url), 'utf8')) as {
      parts: Shelved[];
    };
    const changes = proposeBeside(limpet, 'sled', 'dc', parts);
    const tried = changes.reduce(
      (plan, { at: place, to }) => withChange(plan, place as (string | number)[], to),
      limpet,
    );
    const sled = mechanismOf(tried, 'sled');
    const beside = sled.choices.at(-1)!;
    const own = { ...sled, current: beside.id };
    const path = resolvePath(
      { ...tried, mechanisms: tried.mechanisms.map((one) => (one.id === 'sled' ? own : one)) },
      own,
      sled.jobs[0]!.id,
    );
    const screw = beside.stages.findIndex(({ kind }) => kind === 'screw');
    const before = path.train.total / path.train.stages[screw]!.ratio;
    expect(before).toBeGreaterThan(0.5);
    expect(before).toBeLessThan(60);
  });
});
