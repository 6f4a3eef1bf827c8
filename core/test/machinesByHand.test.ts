import { said } from './demo.js';
import { describe, expect, it } from 'vitest';
import {
  PLAN_VERSION,
  evaluateMechanism,
  hornTurn,
  idleShareNeeded,
  inertiaAtMotor,
  inputDrive,
  lagAtOutput,
  linkedAlong,
  mostRate,
  operatingAt,
  pulseAtOutput,
  pulsesPerTurn,
  rateOf,
  resolvePath,
  resonanceBand,
  resonanceOf,
  servoSystem,
  signalHelp,
  spareAtRest,
  standingTemperature,
  startRateOf,
  steeringTorque,
  tipErrors,
  torqueAtHorn,
  torqueAtMotor,
  valueOf,
  workingOf,
  type LimitId,
  type Plan,
  type Quantity,
  type ServoPath,
  type SituationId,
  type StepPath,
} from '../src/index.js';
import { PARTS } from './workshop/parts.js';

/** Two small robots of round numbers, each worked by hand here. */

const q = (si: number): Quantity => ({ si, as: String(si), source: 'typed' });

interface StepOptions {
  readonly steps?: number;
  readonly idle?: number;
  readonly ramp?: 'ramp' | 'at once';
  readonly total?: number;
  readonly stage?: 'none' | 'transistor' | 'resistor';
  readonly pin?: number;
  readonly motors?: number;
}

/** A table of 0.02 kg·m² and 0.2 N·m of friction, turned by π in 1 s by a stepper of 1 N·m behind loss-free wheels. */
function stepPlan({
  steps = 8,
  idle = 0.5,
  ramp = 'ramp',
  total = 4,
  stage = 'none',
  pin = 5,
  motors = 1,
}: StepOptions = {}): Plan {
  return {
    format: 'rough-gear-plan',
    version: PLAN_VERSION,
    name: 'table',
    parts: {
      pack: {
        part: {
          kind: 'pack',
          name: 'pack',
          chemistry: 'lead',
          series: 12,
          parallel: 1,
          cellResistance: q(0),
          leadResistance: q(0),
        },
      },
      breaker: { part: { kind: 'breaker', name: 'breaker', type: 'snap', rated: q(10) } },
      stepper: {
        part: {
          kind: 'stepper',
          name: 'stepper',
          phaseResistance: q(1),
          phaseInductance: q(0.002),
          ratedCurrent: q(2),
          holdingTorque: q(1),
          detentTorque: q(0.04),
          rotorInertia: q(2e-5),
          stepsPerTurn: 200,
          mass: q(0.6),
        },
      },
      driver: {
        part: {
          kind: 'driver',
          name: 'driver',
          drives: 'stepper',
          lowestVoltage: q(10),
          highestVoltage: q(40),
          mostCurrent: q(3),
          stepSwitches: [1, 2, 4, 8, 16].map((value, i) => ({ value, on: i.toString(2).padStart(3, '0') })),
          pulseLimit: q(100_000),
          leastPulse: q(2e-6),
          inputForward: q(1.2),
          inputResistance: q(270),
          inputCurrent: q(0.01),
          inputRated: q(5),
        },
      },
      board: {
        part: {
          kind: 'board',
          name: 'board',
          pinVoltage: q(pin),
          pinCurrent: q(0.02),
          pulseLimit: q(50_000),
          feedVoltage: q(5),
        },
      },
    },
    supply: [
      { id: 'pack', kind: 'pack', part: 'pack', charge: q(0.5) },
      {
        id: 'branch',
        kind: 'branch',
        parent: 'pack',
        breaker: 'breaker',
        wire: { gauge: q(18), length: q(0), connectors: q(0) },
      },
    ],
    mechanisms: [
      {
        id: 'table',
        name: 'table',
        kind: 'turntable',
        current: 'a',
        jobs: [
          { id: 'turn', kind: 'turn', name: 'turn', angle: q(Math.PI), time: q(1), every: q(10), settle: q(0.02) },
        ],
        choices: [
          {
            id: 'a',
            name: 'stepper',
            drive: {
              kind: 'step',
              motor: 'stepper',
              motors,
              driver: 'driver',
              board: 'board',
              node: 'branch',
              steps,
              setCurrent: q(2),
              idleShare: q(idle),
              ramp,
              signalStage: stage,
            },
            stages: [{ id: 's1', kind: 'ratio', ratio: q(total), efficiency: q(1) }],
            tuning: 's1',
            output: { kind: 'turntable', inertia: q(0.02), friction: q(0.2), backlash: q(0.002) },
          },
        ],
      },
    ],
  };
}

const stepPath = (options?: StepOptions): StepPath => {
  const plan = stepPlan(options);
  return resolvePath(plan, plan.mechanisms[0]!, 'turn') as StepPath;
};
const stepJob = (options?: StepOptions) => {
  const plan = stepPlan(options);
  return evaluateMechanism(plan, plan.mechanisms[0]!).jobs[0]!;
};
const rungOf = (job: ReturnType<typeof stepJob>, situation: SituationId, id: LimitId) =>
  job.ladders[situation].rungs.find((rung) => rung.id === id)!;

// Twelve lead cells at half their charge: 12 × 2.04 V.
const VOLTS = 24.48;
const V = 1.5 * Math.PI;
const A = 3 * V;

describe('a stepper by hand', () => {
  const path = stepPath();

  it('has its volts, its commanded speed and acceleration', () => {
    expect(path.restVoltage).toBeCloseTo(VOLTS, 9);
    expect(path.commanded.speed).toBeCloseTo(V, 9);
    expect(path.commanded.acceleration).toBeCloseTo(A, 9);
    expect(path.step.polePairs).toBe(50);
    expect(pulsesPerTurn(path)).toBe(1600);
  });

  it('sees the load through the reduction', () => {
    expect(inertiaAtMotor(path)).toBeCloseTo(2e-5 + 0.02 / 16, 12);
    expect(torqueAtMotor(path, 0.2)).toBeCloseTo(0.05, 12);
    expect(torqueAtMotor(stepPath({ motors: 2 }), 0.2)).toBeCloseTo(0.025, 12);
  });

  it('starts: pull-out at rest, less its own rotor, over friction and inertia', () => {
    const demand = 0.2 + 0.02 * A;
    const capacity = (1 - 0.04) * 4 - 2e-5 * 16 * A;
    const rung = rungOf(stepJob(), 'starting', 'pull-out');
    expect(rung.capacity).toBeCloseTo(capacity, 9);
    expect(rung.multiple).toBeCloseTo(capacity / demand, 9);
    // Full steps carry 0.707 of it.
    expect(rungOf(stepJob({ steps: 1 }), 'starting', 'pull-out').capacity).toBeCloseTo(
      0.96 * Math.SQRT1_2 * 4 - 2e-5 * 16 * A,
      9,
    );
  });

  it('works: what the volts leave at its speed', () => {
    const omega = 4 * V;
    const constant = 1 / (Math.SQRT2 * 2);
    const impedance = Math.hypot(1, 50 * omega * 0.002);
    const volts = (constant * VOLTS) / impedance - (constant ** 2 * omega) / impedance ** 2;
    const rung = rungOf(stepJob(), 'working', 'pull-out');
    expect(rung.capacity).toBeCloseTo((Math.min(1, volts) - 0.04) * 4, 9);
    expect(rung.multiple).toBeCloseTo(((Math.min(1, volts) - 0.04) * 4) / 0.2, 9);
  });

  it('holds nothing here, since friction is no load', () => {
    expect(stepJob().ladders.holding.idle).toBe('no load');
    expect(idleShareNeeded(path)).toBe(0);
  });

  it('swings by itself, and starts at once up to a rate', () => {
    const inertia = 2e-5 + 0.02 / 16;
    expect(resonanceOf(path)).toBeCloseTo(Math.sqrt((50 * 1) / inertia) / (2 * Math.PI), 9);
    const { from, to } = resonanceBand(path);
    expect(to / from).toBeCloseTo(1.3 / 0.7, 9);
    expect(spareAtRest(path)).toBeCloseTo(0.96 - 0.05, 9);
    expect(startRateOf(path)).toBeCloseTo(Math.sqrt(0.91 / (2 * ((2 * Math.PI) / 200) * inertia)), 9);
  });

  it('takes pulses, and one moves it so far', () => {
    expect(rateOf(path)).toBeCloseTo((V * 4 * 1600) / (2 * Math.PI), 6);
    expect(mostRate(path)).toEqual({ rate: 50_000, by: 'the board’s pulse limit' });
    expect(pulseAtOutput(path)).toBeCloseTo((2 * Math.PI) / 6400, 12);
    expect(lagAtOutput(path)).toBeCloseTo(Math.asin(0.05) / 50 / 4, 12);
    const check = stepJob().checks.find(({ id }) => id === 'resolves')!;
    const uncertain = (2 * Math.PI) / 6400 + Math.asin(0.05) / 200 + 0.002;
    expect(check.multiple).toBeCloseTo(0.02 / uncertain, 9);
  });

  it('warms by its copper at work and standing', () => {
    const resistance = 1 + 0.00393 * 90;
    const [work, idle] = [2 * 4 * resistance, 2 * 1 * resistance];
    const mean = 0.1 * work + 0.9 * idle;
    const thermal = 60 / (0.15 * 0.6 * 385) + 900 / (0.85 * 0.6 * 460);
    expect(standingTemperature(path)).toBeCloseTo(25 + mean * thermal, 9);
  });

  it('takes from the supply what its copper and its shaft take, over the driver’s losses', () => {
    const { supplyCurrent, motorCurrent, motorTorque } = operatingAt(path, 0.2, V);
    expect(motorTorque).toBeCloseTo(0.05, 12);
    expect(motorCurrent).toBe(2);
    expect(supplyCurrent).toBeCloseTo((0.05 * 4 * V + 8) / 0.9 / VOLTS, 9);
    const check = stepJob().checks.find(({ id }) => id === 'draw')!;
    const most = ((0.2 + 0.02 * A) / 4 + 2e-5 * 4 * A) * 4 * V;
    expect(check.asked).toMatchObject({ dimension: 'current' });
    expect((check.asked as { value: number }).value).toBeCloseTo((most + 8) / 0.9 / VOLTS, 6);
  });

  it('drives its input straight, through a resistor, or through a transistor', () => {
    expect(inputDrive(path).current).toBeCloseTo(3.8 / 270, 12);
    expect(inputDrive(stepPath({ pin: 3.3 }))).toMatchObject({ lights: false, pinStands: true });
    expect(said(signalHelp(stepPath({ pin: 3.3 })))).toMatch(/transistor/);
    expect(inputDrive(stepPath({ pin: 24 })).lights).toBe(false);
    expect(said(signalHelp(stepPath({ pin: 24 })))).toMatch(/resistor of 1500 Ω/);
    const through = inputDrive(stepPath({ pin: 24, stage: 'resistor' }));
    expect(through).toMatchObject({ lights: true, pinStands: true });
    expect(through.current).toBeCloseTo((24 - 1.2) / (270 + 1500), 9);
    expect(inputDrive(stepPath({ pin: 3.3, stage: 'transistor' })).current).toBeCloseTo(3.8 / 270, 9);
    // A resistor where none is needed changes nothing.
    expect(inputDrive(stepPath({ stage: 'resistor' })).current).toBeCloseTo(3.8 / 270, 9);
  });

  it('goes at once by travel over time, and then asks its start rate', () => {
    const job = stepJob({ ramp: 'at once' });
    expect(job.run!.time).toBeCloseTo(1, 9);
    const check = job.checks.find(({ id }) => id === 'starts-at-once')!;
    const rate = (Math.PI * 4) / ((2 * Math.PI) / 200);
    expect(check.multiple).toBeCloseTo(startRateOf(stepPath({ ramp: 'at once' })) / rate, 9);
    expect(stepJob().checks.some(({ id }) => id === 'starts-at-once')).toBe(false);
  });

  it('shows how each number came about', () => {
    for (const situation of ['starting', 'working'] as const) {
      const working = workingOf(path, { of: 'rung', rung: 'pull-out', situation })!;
      expect(valueOf(working)).toBeCloseTo(rungOf(stepJob(), situation, 'pull-out').multiple!, 9);
    }
    expect(workingOf(path, { of: 'term', term: 'total' })).toBeDefined();
    // A plain motor's constants mean nothing here.
    expect(workingOf(path, { of: 'term', term: 'torqueConstant' })).toBeUndefined();
    expect(() => workingOf(path, { of: 'rung', rung: 'volts', situation: 'working' })).toThrow(/no limit volts/);
  });
});

interface ServoOptions {
  readonly servos?: number;
  readonly joints?: number;
  readonly volts?: number;
  readonly source?: 'regulator' | 'pack';
  readonly resistance?: number;
  readonly linkage?: NonNullable<Extract<Plan['mechanisms'][0]['choices'][0]['drive'], { kind: 'servo' }>['linkage']>;
  readonly continuous?: number;
}

/** Fingers of 0.1 m that press with 6 N, closed by 1 rad in 1 s by a servo of 2 N·m and 6 rad/s at 6 V. */
function servoPlan(options: ServoOptions = {}): Plan {
  const {
    servos = 1,
    joints = 1,
    volts = 6,
    source = 'regulator',
    resistance = 0,
    linkage = { kind: 'direct' },
    continuous = 5,
  } = options;
  return {
    format: 'rough-gear-plan',
    version: PLAN_VERSION,
    name: 'fingers',
    parts: {
      pack: {
        part: {
          kind: 'pack',
          name: 'pack',
          chemistry: 'lipo',
          series: 2,
          parallel: 1,
          cellResistance: q(0),
          leadResistance: q(0),
          dischargeLimit: q(40),
        },
      },
      servo: { part: PARTS.servo },
    },
    supply: [
      { id: 'pack', kind: 'pack', part: 'pack', charge: q(0.5) },
      {
        id: 'rail',
        kind: 'rail',
        parent: 'pack',
        source,
        ...(source === 'regulator' ? { voltage: q(volts) } : {}),
        continuous: q(continuous),
        burst: q(8),
        resistance: q(resistance),
      },
    ],
    mechanisms: [
      {
        id: 'grip',
        name: 'grip',
        kind: 'grip',
        current: 'a',
        jobs: [
          {
            id: 'hold',
            kind: 'grip',
            name: 'hold',
            gripForce: q(6),
            angle: q(1),
            time: q(1),
            every: q(10),
            held: q(20),
          },
        ],
        choices: [
          {
            id: 'a',
            name: 'servo',
            drive: {
              kind: 'servo',
              servo: 'servo',
              servos,
              joints,
              node: 'rail',
              linkage,
              calibration: [
                { pulse: q(0.001), angle: q(-0.8) },
                { pulse: q(0.002), angle: q(0.8) },
              ],
              chain: [
                { name: 'first', length: q(0.1), angle: q(0) },
                { name: 'second', length: q(0.05), angle: q(0), error: q(0.02) },
              ],
              tipWindow: q(0.003),
            },
            stages: [],
            output: { kind: 'grip', fingerLength: q(0.1), inertia: q(0.001) },
          },
        ],
      },
    ],
  };
}

const servoPath = (options?: ServoOptions): ServoPath => {
  const plan = servoPlan(options);
  return resolvePath(plan, plan.mechanisms[0]!, 'hold') as ServoPath;
};
const servoJob = (options?: ServoOptions) => {
  const plan = servoPlan(options);
  return evaluateMechanism(plan, plan.mechanisms[0]!).jobs[0]!;
};

describe('a servo by hand', () => {
  const path = servoPath();
  const rotor = 1e-8 * 200 ** 2;

  it('reads its gears, its rotor and its rail', () => {
    expect(path.servo.insideRatio).toBe(200);
    expect(path.servo.rotorAtHorn).toBeCloseTo(rotor, 12);
    expect(path.rail.servos).toHaveLength(1);
    expect(path.rail.budget.moving).toBeCloseTo(0.2 + 2 * 0.3, 9);
    expect(path.rail.others).toBeCloseTo(0, 12);
    expect(path.servo.rating).toMatchObject({ stallTorque: 2, freeSpeed: 6, above: false, below: false });
  });

  it('starts, works and holds against the torque of its fingers', () => {
    const demand = 0.6 + 0.001 * 2;
    const starting = rungOf(servoJob(), 'starting', 'servo');
    expect(starting.capacity).toBeCloseTo(2 - rotor * 2, 9);
    expect(starting.multiple).toBeCloseTo((2 - rotor * 2) / demand, 9);
    expect(rungOf(servoJob(), 'working', 'servo').multiple).toBeCloseTo((2 * (1 - 1 / 6)) / 0.6, 9);
    const held = rungOf(servoJob(), 'holding', 'servo-hold');
    expect(held.multiple).toBeCloseTo(2 / 0.6, 9);
    expect(held.wants).toBe(3.3);
  });

  it('shares the load among servos of one output, and the rail with joints alike', () => {
    expect(rungOf(servoJob({ servos: 2 }), 'holding', 'servo-hold').multiple).toBeCloseTo(4 / 0.6, 9);
    const six = servoPath({ joints: 6 });
    expect(six.rail.servos).toHaveLength(6);
    expect(six.rail.budget.stalled).toBeCloseTo(6 * 2.2, 9);
    expect(six.rail.others).toBeCloseTo(5 * 0.8, 9);
    expect(rungOf(servoJob({ joints: 6 }), 'holding', 'servo-hold').multiple).toBeCloseTo(2 / 0.6, 9);
  });

  it('is held by its rail where the others leave it too little', () => {
    // 5 A less five others at 0.8 A: 1 A is left, which is (1 − 0.2)/(2.2 − 0.2) of the stall torque.
    const rung = rungOf(servoJob({ joints: 6 }), 'working', 'rail');
    expect(rung.capacity).toBeCloseTo(2 * 0.4, 9);
    expect(rung.multiple).toBeCloseTo(0.8 / 0.6, 9);
    expect(rung.verdict).toBe('tight');
  });

  it('loses volts in its wires with everything that moves', () => {
    const sagging = servoPath({ joints: 6, resistance: 0.1 });
    expect(sagging.servo.voltage).toBeCloseTo(6 - 0.1 * 6 * 0.8, 9);
    expect(sagging.servo.rating.stallTorque).toBeCloseTo((2 * (6 - 0.48)) / 6, 9);
  });

  it('gets the pack’s own volts where it hangs on it, and is burnt by a full one', () => {
    const straight = servoPath({ source: 'pack' });
    // Two lithium cells at half their charge.
    expect(straight.rail.voltage).toBeCloseTo(2 * 3.82, 9);
    expect(straight.rail.full).toBeCloseTo(8.4, 9);
    const full = servoJob({ source: 'pack' }).checks.find(({ id }) => id === 'volts-full')!;
    expect(full.multiple).toBeCloseTo(7 / 8.4, 9);
    expect(full.verdict).toBe('gives way');
  });

  it('moves no slower than its line, and no faster', () => {
    const { run } = servoJob();
    const settled = 6 * (1 - 0.6 / 2);
    expect(run!.time).toBeGreaterThan(1 / settled);
    expect(run!.topSpeed).toBeLessThanOrEqual(settled * (1 + 1e-3));
    const { drive, load } = servoSystem(path);
    expect(drive.motor.torqueConstant * (2.2 - drive.motor.freeCurrent)).toBeCloseTo(2, 9);
    expect(load.force(0.5, 1)).toBeCloseTo(0.6, 9);
    expect(load.inertia(0.5)).toBeCloseTo(0.001, 9);
  });

  it('is calibrated, and its tip is off by half of deadband and play', () => {
    expect(path.calibration!.atZero).toBeCloseTo(0.0015, 12);
    expect(path.calibration!.perRadian).toBeCloseTo(0.001 / 1.6, 12);
    const own = ((Math.PI / 2e-3) * 4e-6) / 2 + 0.005;
    expect(path.chain[0]!.error).toBeCloseTo(own, 12);
    expect(path.chain[1]!.error).toBe(0.02);
    const { worst, likely } = tipErrors(path);
    expect(worst).toBeCloseTo(0.15 * own + 0.05 * 0.02, 12);
    expect(likely).toBeCloseTo(Math.hypot(0.15 * own, 0.05 * 0.02), 12);
    expect(servoJob().checks.find(({ id }) => id === 'tip')!.multiple).toBeCloseTo(0.003 / worst, 9);
  });

  it('turns as far as its output, and through a lever as far as that asks', () => {
    expect(hornTurn(path)).toBeCloseTo(1, 12);
    // A parallelogram turns one to one as well.
    const even = servoPath({
      linkage: { kind: 'four-bar', ground: q(0.05), horn: q(0.02), rod: q(0.05), lever: q(0.02), start: q(1.2) },
    });
    expect(hornTurn(even)).toBeCloseTo(1, 3);
    expect(torqueAtHorn(even, 0.6, 0.5)).toBeCloseTo(0.6, 3);
    const shorter = servoPath({
      linkage: { kind: 'four-bar', ground: q(0.05), horn: q(0.015), rod: q(0.05), lever: q(0.03), start: q(1) },
    });
    expect(hornTurn(shorter)).toBeGreaterThan(1.5);
    expect(torqueAtHorn(shorter, 0.6, 0.5)).toBeLessThan(0.4);
  });

  it('does not know what a length is missing for', () => {
    const job = servoJob({ linkage: { kind: 'four-bar', ground: q(0.05), horn: q(0.02), rod: q(0.05) } });
    expect(job.run).toBeUndefined();
    expect(job.ladders.holding.verdict).toBe('not known');
    expect(job.ladders.holding.lacks.map(({ label }) => label)).toContain('lever');
    expect(job.links.find(({ kind }) => kind === 'linkage')).toBeDefined();
  });
});

describe('a linkage followed along its way', () => {
  it('is as long as it is asked, straight on the horn', () => {
    const linked = linkedAlong({ linkage: { kind: 'direct' }, start: 0.3, sense: -1, distance: 2, perOutput: 0.5 });
    expect([linked.from, linked.to, linked.short]).toEqual([0.3, -1.7, false]);
    expect(linked.hornAt(0.5)).toBeCloseTo(1, 12);
    expect(linked.ratioAt(0.2)).toBe(0.5);
  });

  it('ends where the output turns back', () => {
    const linkage = { kind: 'push-rod', horn: 0.02, rod: 0.1, offset: 0 } as const;
    const whole = linkedAlong({ linkage, start: 0.1, sense: 1, distance: 0.03, perOutput: 1 });
    expect(whole.short).toBe(false);
    expect(whole.hornAt(0)).toBe(0);
    expect(whole.hornAt(0.03)).toBeCloseTo(whole.to - whole.from, 9);
    const tooFar = linkedAlong({ linkage, start: 0.1, sense: 1, distance: 0.06, perOutput: 1 });
    expect(tooFar.short).toBe(true);
    expect(tooFar.to).toBeLessThan(Math.PI + 0.02);
  });

  it('ends at once where the parts do not meet', () => {
    const linkage = { kind: 'four-bar', ground: 0.2, horn: 0.02, rod: 0.03, lever: 0.03 } as const;
    const linked = linkedAlong({ linkage, start: 0, sense: 1, distance: 1, perOutput: 1 });
    expect(linked.short).toBe(true);
    expect(linked.ratioAt(0.5)).toBe(0);
  });

  it('goes either way round', () => {
    const linkage = { kind: 'four-bar', ground: 0.06, horn: 0.022, rod: 0.058, lever: 0.026 } as const;
    for (const sense of [1, -1] as const) {
      const linked = linkedAlong({ linkage, start: 1.4, sense, distance: 0.4, perOutput: 1 });
      expect(linked.short).toBe(false);
      expect(Math.sign(linked.to - linked.from)).toBe(sense);
      let before = -1;
      for (let q0 = 0; q0 <= 0.4; q0 += 0.05) {
        expect(linked.hornAt(q0)).toBeGreaterThan(before);
        before = linked.hornAt(q0);
      }
    }
  });
});

describe('a use of a servo', () => {
  it('turns a tyre on the spot with the torque of its patch', () => {
    expect(steeringTorque(4, 1, 0.025, 0.01)).toBeCloseTo(4 * 9.80665 * Math.sqrt(0.025 ** 2 / 8 + 0.0001), 12);
    expect(steeringTorque(4, 0.5, 0.025, 0.01)).toBeCloseTo(0.5 * steeringTorque(4, 1, 0.025, 0.01), 12);
  });
});
