import {
  PLAN_VERSION,
  type Choice,
  type DcDrive,
  type Job,
  type Mechanism,
  type MechanismKind,
  type Output,
  type Plan,
  type ServoDrive,
  type Stage,
  type StepDrive,
  type SupplyNode,
} from '../../src/index.js';
import { PART_COPIES, q, type PartName } from './parts.js';

/**
 * A workshop of small plans, none of them a robot: among them every limit, check, load, machine and kind of stage occurs
 * and matters. Who adds one adds a mechanism here; a test says what is not among them.
 */

const DEGREE = Math.PI / 180;

/** A job as a test writes it: its id is its kind. */
type JobOf<K extends Job['kind']> = Omit<Extract<Job, { kind: K }>, 'id' | 'name'>;
const job = <K extends Job['kind']>(of: JobOf<K>): Job => ({ ...of, id: of.kind, name: of.kind }) as unknown as Job;

function mechanism(
  id: string,
  kind: MechanismKind,
  jobs: readonly Job[],
  choice: Pick<Choice, 'drive' | 'stages' | 'output'> & { readonly tuning?: string },
): Mechanism {
  const tuning = choice.tuning ?? choice.stages[0]?.id;
  return { id, name: id, kind, jobs, current: 'a', choices: [{ ...choice, id: 'a', name: 'a', tuning }] };
}

const dc = (motor: PartName, of: Partial<DcDrive> = {}): DcDrive => ({
  kind: 'dc',
  motor,
  motors: 1,
  controller: 'controller',
  node: 'branch',
  ...of,
});
const step = (motor: PartName, of: Partial<StepDrive> = {}): StepDrive => ({
  kind: 'step',
  motor,
  motors: 1,
  driver: 'driver',
  board: 'board',
  node: 'branch',
  steps: 8,
  setCurrent: q(2.5),
  idleShare: q(0.6),
  ramp: 'ramp',
  ...of,
});
const servos = (of: Partial<ServoDrive> = {}): ServoDrive => ({
  kind: 'servo',
  servo: 'servo',
  servos: 1,
  node: 'rail',
  linkage: { kind: 'direct' },
  roomLength: q(0.03),
  ...of,
});

const gears = (
  id: string,
  driver: number,
  driven: number,
  of: Partial<Extract<Stage, { kind: 'teeth' }>> = {},
): Stage => ({
  id,
  kind: 'teeth',
  driver,
  driven,
  pitch: q(0.001),
  face: q(0.01),
  efficiency: q(0.96),
  ...of,
});
const chain = (
  id: string,
  driver: number,
  driven: number,
  of: Partial<Extract<Stage, { kind: 'chain' }>> = {},
): Stage => ({
  id,
  kind: 'chain',
  driver,
  driven,
  pitch: q(0.00635),
  efficiency: q(0.95),
  takeUp: 'tensioner',
  tension: q(15),
  wear: q(0.01),
  ...of,
});
const belt = (
  id: string,
  driver: number,
  driven: number,
  of: Partial<Extract<Stage, { kind: 'belt' }>> = {},
): Stage => ({
  id,
  kind: 'belt',
  driver,
  driven,
  pitch: q(0.005),
  face: q(0.009),
  efficiency: q(0.97),
  beltTeeth: 80,
  ...of,
});

function plan(name: string, pack: PartName, mechanisms: readonly Mechanism[], more: readonly SupplyNode[] = []): Plan {
  const wire = { gauge: q(12), length: q(0.6), connectors: q(2), connectorResistance: q(0.0005) };
  return {
    format: 'rough-gear-plan',
    version: PLAN_VERSION,
    name,
    match: { length: q(120), rest: q(300), rounds: q(2) },
    parts: PART_COPIES,
    supply: [
      { id: 'pack', kind: 'pack', part: pack, charge: q(0.5), others: q(3), brownOut: q(6.8) },
      {
        id: 'main',
        kind: 'main',
        parent: 'pack',
        breaker: 'main breaker',
        wire: { gauge: q(8), length: q(0.4), connectors: q(1), connectorRated: q(120) },
      },
      { id: 'branch', kind: 'branch', parent: 'main', breaker: 'breaker', wire: { ...wire, connectorRated: q(45) } },
      { id: 'thin branch', kind: 'branch', parent: 'main', breaker: 'small breaker', wire: { ...wire, gauge: q(18) } },
      ...more,
    ],
    mechanisms,
  };
}

const drum: Output = {
  kind: 'drum',
  radius: q(0.02),
  loadPerRope: q(1),
  efficiency: q(0.95),
  ropeStrength: q(2500),
  holder: 'nothing',
};

/** Plain motors: every load they turn, and every kind of stage. */
const PLAIN = plan('plain motors', 'pack', [
  mechanism(
    'cart',
    'drive-base',
    [
      job<'sprint'>({ kind: 'sprint', distance: q(5), time: q(2.6), every: q(12), profile: 'stop' }),
      job<'push'>({ kind: 'push', push: q(150), time: q(3), every: q(20), creep: q(0.05) }),
      job<'skid'>({ kind: 'skid', angle: q(Math.PI), time: q(1.5), every: q(15) }),
    ],
    {
      drive: dc('brushed', { motors: 2 }),
      stages: [
        { id: 's1', kind: 'planetary', ratio: q(4), efficiency: q(0.93), ratedTorque: q(20) },
        chain('s2', 16, 34, { links: 75, takeUp: 'slide' }),
      ],
      output: {
        kind: 'wheels',
        radius: q(0.05),
        mass: q(40),
        grip: q(0.9),
        drivenShare: q(1),
        rollingResistance: q(0.02),
        wheels: 6,
        track: q(0.55),
        base: q(0.5),
      },
    },
  ),
  mechanism(
    'mast',
    'lift',
    [
      job<'raise'>({
        kind: 'raise',
        mass: q(15),
        distance: q(1.2),
        time: q(1.8),
        every: q(15),
        held: q(20),
        friction: q(8),
      }),
    ],
    {
      drive: dc('brushed'),
      stages: [
        gears('s1', 16, 54, {
          bore: q(0.008),
          shaft: { form: 'hexagon', size: q(0.008), material: 'mild steel', overhang: q(0.02) },
        }),
        chain('s2', 18, 48, {
          shaft: { form: 'round', size: q(0.01), material: 'hardened steel', overhang: q(0.015) },
        }),
      ],
      output: drum,
    },
  ),
  mechanism(
    'let down',
    'lift',
    [
      job<'raise'>({
        kind: 'raise',
        direction: 'down',
        mass: q(15),
        distance: q(1.2),
        time: q(1.5),
        every: q(15),
        friction: q(8),
        counterforce: q(20),
        profile: 'stop',
        wet: 'dust and splashes',
        dirt: 'any dirt',
      }),
    ],
    {
      drive: dc('brushed', { brakeLimit: q(50), returnLimit: q(20) }),
      stages: [gears('s1', 18, 54), chain('s2', 18, 36)],
      output: drum,
    },
  ),
  mechanism(
    'boom',
    'arm',
    [
      job<'swing'>({
        kind: 'swing',
        payload: q(0.5),
        from: q(-30 * DEGREE),
        to: q(70 * DEGREE),
        time: q(1.6),
        every: q(12),
        held: q(8),
        heldAgainst: q(3),
        profile: 'trapezoid',
      }),
    ],
    {
      drive: dc('wound', { node: 'thin branch' }),
      stages: [
        belt('s1', 16, 60),
        { id: 's2', kind: 'planetary', ratio: q(36), efficiency: q(0.85), ratedTorque: q(40) },
      ],
      output: {
        kind: 'arm',
        length: q(0.7),
        mass: q(2),
        centre: q(0.35),
        inertia: q(0.08),
        friction: q(0.3),
        springRate: q(1.5),
        springZero: q(90 * DEGREE),
        holder: 'nothing',
      },
    },
  ),
  mechanism(
    'winch',
    'climb',
    [
      job<'haul'>({
        kind: 'haul',
        mass: q(40),
        distance: q(0.6),
        time: q(20),
        every: q(120),
        held: q(30),
        friction: q(20),
      }),
    ],
    {
      drive: dc('brushed', { statorLimit: q(61) }),
      stages: [
        { id: 's1', kind: 'ratio', ratio: q(12), efficiency: q(0.85), ratedTorque: q(12) },
        {
          id: 's2',
          kind: 'worm',
          starts: 1,
          teeth: 10,
          leadAngle: q(4 * DEGREE),
          flankAngle: q(14.5 * DEGREE),
          friction: q(0.12),
        },
      ],
      output: { ...drum, radius: q(0.015), ropeStrength: q(6000), knotted: true, holder: 'stage' },
    },
  ),
  mechanism(
    'flinger',
    'thrower',
    [job<'throw'>({ kind: 'throw', pieceMass: q(0.2), exitSpeed: q(10), time: q(2.5), every: q(3), recover: q(1.2) })],
    {
      drive: dc('brushless blind', { controller: 'blind controller', timing: q(20 * DEGREE) }),
      stages: [belt('s1', 24, 24, { beltTeeth: 60, room: q(0.02) })],
      output: {
        kind: 'flywheel',
        radius: q(0.05),
        inertia: q(0.004),
        wheels: 'two',
        ball: 'hollow',
        slip: q(0.9),
        friction: q(0.02),
        airDrag: q(1e-7),
      },
    },
  ),
  mechanism(
    'mouth',
    'roller',
    [
      job<'convey'>({
        kind: 'convey',
        mass: q(1),
        pull: q(12),
        distance: q(0.4),
        time: q(0.6),
        every: q(4),
        jam: q(4),
      }),
    ],
    {
      drive: dc('wound', { node: 'thin branch' }),
      stages: [gears('s1', 14, 56, { material: 'nylon or acetal', pitch: q(0.0008), face: q(0.006) })],
      output: { kind: 'roller', radius: q(0.02) },
    },
  ),
  mechanism(
    'table',
    'turntable',
    [job<'turn'>({ kind: 'turn', angle: q(Math.PI), time: q(1.4), every: q(10), settle: q(0.03) })],
    {
      drive: dc('wound', { node: 'thin branch' }),
      stages: [gears('s1', 15, 60), belt('s2', 18, 72, { beltTeeth: 100, tension: q(20) })],
      output: { kind: 'turntable', inertia: q(0.15), friction: q(0.3), counts: q(48), backlash: q(0.006) },
    },
  ),
  mechanism(
    'slide',
    'carriage',
    [
      job<'slide'>({
        kind: 'slide',
        mass: q(6),
        distance: q(0.25),
        time: q(2),
        every: q(10),
        push: q(40),
        friction: q(6),
        slope: q(0.3),
        held: q(5),
      }),
    ],
    {
      drive: dc('wound', { node: 'thin branch' }),
      stages: [
        { id: 's1', kind: 'ratio', ratio: q(4), efficiency: q(0.9) },
        {
          id: 's2',
          kind: 'screw',
          lead: q(0.016),
          pitchDiameter: q(0.016 / (Math.PI * Math.tan(25 * DEGREE))),
          flankAngle: q(15 * DEGREE),
          friction: q(0.12),
        },
      ],
      output: { kind: 'carriage', screwDiameter: q(0.006), freeLength: q(0.35), ends: 'supported', holder: 'nothing' },
    },
  ),
  mechanism(
    'pinch',
    'grip',
    [job<'grip'>({ kind: 'grip', mass: q(1.2), angle: q(0.8), time: q(0.5), every: q(8), held: q(12) })],
    {
      drive: dc('wound', { node: 'thin branch' }),
      stages: [{ id: 's1', kind: 'planetary', ratio: q(60), efficiency: q(0.8), ratedTorque: q(6) }],
      output: { kind: 'grip', fingerLength: q(0.1), inertia: q(4e-4) },
    },
  ),
  mechanism(
    'crawler',
    'drive-base',
    [job<'sprint'>({ kind: 'sprint', distance: q(2), time: q(4), every: q(30), slope: q(0.2), creep: q(0.02) })],
    {
      drive: dc('brushless blind', { controller: 'blind controller', motors: 2 }),
      stages: [
        { id: 's1', kind: 'planetary', ratio: q(9), efficiency: q(0.87) },
        belt('s2', 16, 32, { face: q(0.006) }),
      ],
      output: {
        kind: 'wheels',
        radius: q(0.04),
        mass: q(12),
        grip: q(0.6),
        drivenShare: q(0.5),
        rollingResistance: q(0.03),
      },
    },
  ),
]);

/** Motors that take pulses. */
const PULSED = plan('pulses', 'high pack', [
  mechanism(
    'dial',
    'turntable',
    [
      job<'turn'>({
        kind: 'turn',
        angle: q(Math.PI),
        time: q(0.9),
        every: q(6),
        settle: q(0.02),
        dirt: 'some dirt',
        surroundings: 'score',
      }),
    ],
    {
      drive: step('stepper', { engagedInertia: q(0.004) }),
      stages: [gears('s1', 20, 80), gears('s2', 17, 34)],
      output: { kind: 'turntable', inertia: q(0.05), friction: q(0.3), backlash: q(0.004) },
    },
  ),
  mechanism(
    'hoist',
    'lift',
    [
      job<'raise'>({
        kind: 'raise',
        mass: q(2.5),
        distance: q(0.5),
        time: q(3),
        every: q(20),
        held: q(10),
        friction: q(2),
      }),
    ],
    {
      drive: step('stepper', { board: 'board of 3.3 V', driver: 'quiet driver', idleShare: q(0.5) }),
      stages: [belt('s1', 16, 48)],
      output: { ...drum, radius: q(0.018) },
    },
  ),
  mechanism(
    'feeder',
    'roller',
    [job<'convey'>({ kind: 'convey', mass: q(0.3), pull: q(4), distance: q(0.12), time: q(1), every: q(3) })],
    {
      drive: step('stepper', { steps: 1, ramp: 'at once', board: 'timer board' }),
      stages: [belt('s1', 20, 40, { beltTeeth: 70, room: q(0.012) })],
      output: { kind: 'roller', radius: q(0.012) },
    },
  ),
  mechanism(
    'saddle',
    'carriage',
    [
      job<'slide'>({
        kind: 'slide',
        mass: q(8),
        distance: q(0.3),
        time: q(2.5),
        every: q(9),
        push: q(60),
        friction: q(5),
        slope: q(0.4),
        held: q(6),
      }),
    ],
    {
      drive: step('step servo', { driver: 'servo driver', steps: 1600 }),
      stages: [
        { id: 's1', kind: 'ratio', ratio: q(2), efficiency: q(0.95) },
        {
          id: 's2',
          kind: 'screw',
          lead: q(0.012),
          pitchDiameter: q(0.012 / (Math.PI * Math.tan(20 * DEGREE))),
          flankAngle: q(15 * DEGREE),
          friction: q(0.1),
        },
      ],
      output: {
        kind: 'carriage',
        screwDiameter: q(0.008),
        freeLength: q(0.4),
        ends: 'fixed-supported',
        holder: 'nothing',
      },
    },
  ),
]);

/** Position servos on one rail. */
const SERVOS = plan(
  'servos',
  'pack',
  [
    mechanism(
      'fingers',
      'grip',
      [job<'grip'>({ kind: 'grip', gripForce: q(5), angle: q(0.7), time: q(0.6), every: q(8), held: q(15) })],
      {
        drive: servos({
          linkage: {
            kind: 'four-bar',
            ground: q(0.04),
            horn: q(0.016),
            rod: q(0.042),
            lever: q(0.024),
            start: q(70 * DEGREE),
            turns: 'with',
          },
          chain: [
            { name: 'shoulder', length: q(0.12), angle: q(0.2), error: q(0.008) },
            { name: 'own', length: q(0.08), angle: q(-0.3) },
          ],
          tipWindow: q(0.004),
        }),
        stages: [],
        output: { kind: 'grip', fingerLength: q(0.08), inertia: q(2e-4) },
      },
    ),
    mechanism(
      'walker',
      'leg',
      [
        job<'stride'>({
          kind: 'stride',
          mass: q(1.2),
          legsDown: q(3),
          angle: q(0.6),
          time: q(0.35),
          every: q(0.7),
          blows: true,
          wet: 'under water',
        }),
      ],
      {
        drive: servos({ joints: 4 }),
        stages: [],
        output: { kind: 'leg', lever: q(0.06), inertia: q(5e-5) },
      },
    ),
    mechanism(
      'flap',
      'arm',
      [
        job<'swing'>({
          kind: 'swing',
          from: q(-20 * DEGREE),
          to: q(60 * DEGREE),
          time: q(0.5),
          every: q(5),
          held: q(5),
        }),
      ],
      {
        drive: servos({ servos: 2 }),
        stages: [gears('s1', 20, 40, { pitch: q(0.0005), face: q(0.004), material: 'printed' })],
        output: {
          kind: 'arm',
          length: q(0.2),
          mass: q(0.3),
          centre: q(0.1),
          inertia: q(0.001),
          friction: q(0.02),
          holder: 'nothing',
        },
      },
    ),
  ],
  [
    {
      id: 'rail',
      kind: 'rail',
      parent: 'branch',
      source: 'regulator',
      voltage: q(6),
      continuous: q(6),
      burst: q(12),
      resistance: q(0.02),
      ground: 'common',
      board: 'servo board',
    },
  ],
);

/** The workshop, by name. */
export const WORKSHOP: Readonly<Record<string, Plan>> = { plain: PLAIN, pulsed: PULSED, servos: SERVOS };
