import { auditServo } from '../../models/servo/audit.js';
import { ifFinite } from '../../plan/figures/ifFinite.js';
import { FigureCollector, type Estimate } from '../../plan/figures/collector.js';
import type { FigureName } from '../../plan/figures/table.js';
import { Memory } from '../../plan/figures/memory.js';
import { supplyAt, type Place } from '../../plan/document/place.js';
import type { BoardPart, ServoPart } from '../../plan/document/part.js';
import {
  currentChoice,
  piecesIn,
  type LinkagePlan,
  type Mechanism,
  type Plan,
  type ServoDrive,
} from '../../plan/document/plan.js';
import type { RailNode } from '../../plan/document/supply.js';
import { timerPulses } from '../../models/signal/timerChip.js';
import { calibrate } from '../../models/servo/calibration.js';
import { linkedAlong } from '../../models/servo/linked.js';
import { rotorAtHorn } from '../../models/servo/moveTime.js';
import { deadbandAngle, type ChainJoint } from '../../models/servo/precision.js';
import { servoSize } from '../../models/servo/sizeClass.js';
import { railBudget, type RailServo } from '../../models/servo/rail.js';
import { estimatedStallCurrent, loadedCurrent, ratingAt, type RatingPoint } from '../../models/servo/ratings.js';
import type { Linkage } from '../../models/servo/throughTravel.js';
import { servoThermal } from '../../models/servo/warmth.js';
import type { PathPack } from '../powerpath/path.js';
import { asPath, beginPath, resolveLoadSide, type Begun } from './beginPath.js';
import { partOf, resolveSupply } from './resolveSupply.js';
import {
  torqueAtHorn,
  worstHornPlace,
  type HornSide,
  type PathRail,
  type ServoPath,
  type Sides,
} from '../powerpath/servoPath.js';
import type { Linked } from '../../models/servo/linked.js';

const RUNNING_SHARE = 1 / 6;
const DEADBAND = { digital: 3e-6, analogue: 8e-6 } as const;
const YIELDS = { digital: (2 * Math.PI) / 180, analogue: (6 * Math.PI) / 180 } as const;
const INSIDE = 250;
/** Rotor inertia of the motor inside a servo of 50 g, kg·m². */
const ROTOR = { brushed: 6e-8, coreless: 2e-8, brushless: 4e-8 } as const;
const ROTOR_AT_MASS = 0.05;

/** Puts one job of a mechanism driven by position servos together. */
export function resolveServo(begun: Begun, drive: ServoDrive): ServoPath {
  const { plan, mechanism, choiceAt, collect } = begun;
  const motors = drive.servos;
  const supply = resolveSupply(plan, drive.node, motors, collect);
  const part = partOf(plan, drive.servo, 'servo');
  const partAt = ['parts', drive.servo, 'part'];
  const figures = collect.once(SERVOS, [part, drive.servo], () => readServo(part, partAt, collect));
  const railFigures = readRail(plan, drive.node, supply.pack, supply.restVoltage, collect);
  const linkage = readLinkage(drive.linkage ?? { kind: 'direct' }, [...choiceAt, 'drive', 'linkage'], collect);
  const size = readSize(part, partAt, collect);
  const room = readRoom(drive, [...choiceAt, 'drive'], collect);
  const loadSide = resolveLoadSide(begun);
  const linked = linkOf(linkage, loadSide);
  const cap = collect.takeOptional('drive.speedCap', drive.speedCap, [...choiceAt, 'drive', 'speedCap']);
  const startPoint = collect.takeOptional('drive.startPoint', drive.startPoint, [...choiceAt, 'drive', 'startPoint']);
  const servoBoard = readServoBoard(plan, drive.node, collect);
  const chain = readChain(drive, figures, [...choiceAt, 'drive', 'chain'], collect);
  const tipWindow = collect.takeOptional('drive.tipWindow', drive.tipWindow, [...choiceAt, 'drive', 'tipWindow']);
  const pairs = (drive.calibration ?? []).map(({ pulse, angle }) => ({ pulse: pulse.si, angle: angle.si }));
  const distinct = new Set(pairs.map(({ angle }) => angle)).size > 1;

  const servos = railServos(plan, drive.node, railFigures.voltage);
  const budget = railBudget(servos, railFigures);
  // A rail that is pulled down altogether moves nothing; a millivolt keeps its numbers finite.
  const voltage = Math.max(1e-3, budget.voltsMoving);
  const rating = ratingAt(figures.points, voltage);
  return asPath<ServoPath>(loadSide, {
    machine: 'servo',
    motors,
    figures: collect.figures(),
    lacks: collect.lacks(),
    pack: supply.pack,
    main: supply.main,
    branch: supply.branch,
    restVoltage: supply.restVoltage,
    servo: Object.assign({}, figures, { rating, voltage }),
    speedCap: cap === undefined ? undefined : cap * rating.freeSpeed,
    startPoint,
    servoBoard,
    rail: Object.assign(railFigures, {
      servos,
      budget,
      others: budget.moving - motors * railServoOf(plan, mechanism, drive, railFigures.voltage).moving,
    }),
    fit: { splineTeeth: part.splineTeeth, hornTeeth: drive.hornTeeth, size, room },
    linkage: linkage.linkage,
    linked,
    calibration: distinct ? calibrate(pairs) : undefined,
    pairs,
    chain,
    tipWindow,
  });
}

/** Its case as its sheet says, else as servos of its mass usually are. */
function readSize(part: ServoPart, at: Place, collect: FigureCollector): Sides {
  const usual = part.mass && servoSize(part.mass.si);
  const read = (key: 'caseLength' | 'caseWidth' | 'caseHeight', value: number | undefined) =>
    ifFinite(
      collect.take(`servo.${key}`, part[key], [...at, key], {
        value,
        why: `usual of a ${usual?.name ?? ''} servo`,
        source: 'typical',
      }),
    );
  return {
    length: read('caseLength', usual?.length),
    width: read('caseWidth', usual?.width),
    height: read('caseHeight', usual?.height),
  };
}

/** The board for servos on a rail, where one is chosen. */
function readServoBoard(plan: Plan, rail: string, collect: FigureCollector): ServoPath['servoBoard'] {
  const { board } = railNodeOf(plan, rail);
  if (board === undefined) return undefined;
  const part = partOf(plan, board, 'board');
  const take = (key: 'pulseStep' | 'servoCurrent' | 'servoVoltage') =>
    collect.takeOptional(`board.${key}`, part[key], ['parts', board, 'part', key]);
  return {
    name: part.name,
    channels: part.channels,
    pulseStep: take('pulseStep'),
    current: take('servoCurrent'),
    voltage: take('servoVoltage'),
    slowest: slowestOf(part),
  };
}

/** Pulses a second of a board that is a timer chip, at the slow end of its knob. */
function slowestOf({ timerUpper, timerLower, timerLowerMost, timerCapacitor }: BoardPart): number | undefined {
  const lower = timerLowerMost ?? timerLower;
  return timerUpper && lower && timerCapacitor
    ? timerPulses(timerUpper.si, lower.si, timerCapacitor.si).rate
    : undefined;
}

function readRoom(drive: ServoDrive, at: Place, collect: FigureCollector): Sides {
  const read = (key: 'roomLength' | 'roomWidth' | 'roomHeight') =>
    collect.takeOptional(`drive.${key}`, drive[key], [...at, key]);
  return { length: read('roomLength'), width: read('roomWidth'), height: read('roomHeight') };
}

const SERVOS = new Memory();

type ServoFigures = Omit<ServoPath['servo'], 'rating' | 'voltage'>;

/** One rating of its sheet; what takes a volt the sheet does not tell is worked out from it. */
function readPoint(part: ServoPart, i: number, at: Place, collect: FigureCollector): RatingPoint {
  const point = part.points[i]!;
  const take = (figure: FigureName, name: keyof typeof point, estimate?: Estimate): number =>
    collect.take(figure, point[name], [...at, 'points', i, name], estimate, `servo.point.${i}.${name}`);
  const linear = part.motion === 'linear';
  const voltage = take('servo.pointVoltage', 'voltage');
  const stallTorque = linear ? take('servo.stallForce', 'stallForce') : take('servo.stallTorque', 'stallTorque');
  const freeSpeed = linear ? take('servo.velocity', 'velocity') : take('servo.speed', 'speed');
  const stallCurrent = take('servo.stallCurrent', 'stallCurrent', {
    value: ifFinite(estimatedStallCurrent(stallTorque, freeSpeed, voltage)),
    why: 'Ts·ω0/(0.6·V): measure it idle, moving and stalled',
  });
  return { voltage, stallTorque, freeSpeed, stallCurrent };
}

/** How far it goes, m or rad; one that turns on and on has no end. */
function readTravel(part: ServoPart, at: Place, collect: FigureCollector): number {
  if (part.motion === 'linear') return collect.take('servo.stroke', part.stroke, [...at, 'stroke']);
  if (part.motion === 'continuous') return Infinity;
  return collect.take('servo.travel', part.travel, [...at, 'travel']);
}

/** Its rotor as it is felt at the horn, and how much slower that is. */
function readInside(part: ServoPart, mass: number, at: Place, collect: FigureCollector) {
  const motor = part.motor ?? 'brushed';
  // Its stages are a table of their own: there is no one figure to type.
  const insideRatio = collect.take('servo.insideRatio', undefined, [], {
    value: part.inside?.reduce((product, { driver, driven }) => product * (driven / driver), 1) ?? INSIDE,
    why: part.inside ? 'its stages multiplied' : 'a usual servo',
  });
  const rotorInertia = collect.take('servo.rotorInertia', part.rotorInertia, [...at, 'rotorInertia'], {
    value: ROTOR[motor] * (Number.isNaN(mass) ? 1 : (mass / ROTOR_AT_MASS) ** (5 / 3)),
    why: `a ${motor} motor in a servo of this mass`,
  });
  return { insideRatio, rotorAtHorn: part.motion === 'linear' ? 0 : rotorAtHorn(rotorInertia, insideRatio) };
}

function readServo(part: ServoPart, at: Place, collect: FigureCollector): ServoFigures {
  const points = part.points.map((_, i) => readPoint(part, i, at, collect));
  const highestPoint = Math.max(...points.map(({ voltage }) => voltage));
  const stall = points.find(({ voltage }) => voltage === highestPoint)?.stallCurrent ?? NaN;
  const signal = part.signal ?? 'analogue';
  const shortestPulse = collect.take('servo.shortestPulse', part.shortestPulse, [...at, 'shortestPulse']);
  const longestPulse = collect.take('servo.longestPulse', part.longestPulse, [...at, 'longestPulse']);
  const travel = readTravel(part, at, collect);
  const mass = collect.take('motor.mass', part.mass, [...at, 'mass']);
  const inside = readInside(part, mass, at, collect);
  collect.takeOptional('motor.price', part.price, [...at, 'price']);
  const runningCurrent = collect.take('servo.runningCurrent', part.runningCurrent, [...at, 'runningCurrent'], {
    value: ifFinite(RUNNING_SHARE * stall),
    why: 'a sixth of the stall current: measure it idle, moving and stalled',
  });
  // What was worked out agrees with itself: only stated currents are held against physics.
  const stated = points.filter((_, i) => part.points[i]?.stallCurrent);
  return {
    part,
    audit: auditServo(stated, runningCurrent),
    points,
    idleCurrent: collect.take('servo.idleCurrent', part.idleCurrent, [...at, 'idleCurrent']),
    runningCurrent,
    highestVoltage: collect.take('servo.highestVoltage', part.highestVoltage, [...at, 'highestVoltage'], {
      value: ifFinite(highestPoint),
      why: 'that of its highest rating',
    }),
    lowestPoint: Math.min(...points.map(({ voltage }) => voltage)),
    travel,
    shortestPulse,
    longestPulse,
    deadband: collect.take('servo.deadband', part.deadband, [...at, 'deadband'], {
      value: DEADBAND[signal],
      why: `usual for a ${signal} servo`,
      source: 'typical',
    }),
    slop: collect.take('servo.slop', part.slop, [...at, 'slop']),
    ...inside,
    yields: collect.take('servo.yields', part.yields, [...at, 'yields'], {
      value: YIELDS[signal],
      why: `usual for a ${signal} servo`,
      source: 'typical',
    }),
    thermal: servoThermal(
      mass,
      collect.take('servo.windingLimit', part.windingLimit, [...at, 'windingLimit']),
      collect.take('ambient', undefined, []),
    ),
  };
}
/** The rail a servo hangs on. Throws where the node is none. */
export function railNodeOf(plan: Plan, id: string): RailNode {
  const node = plan.supply.find((candidate) => candidate.id === id);
  if (node?.kind !== 'rail') throw new Error(`supply node ${id} is no rail`);
  return node;
}

type RailFigures = Omit<PathRail, 'servos' | 'budget' | 'others'>;

function readRail(plan: Plan, id: string, pack: PathPack, rest: number, collect: FigureCollector): RailFigures {
  const node = railNodeOf(plan, id);
  const at = supplyAt(plan, node.id);
  const source = node.source ?? 'regulator';
  // A rail on the pack has the pack's own volts; a regulator holds its own, full pack or empty.
  const voltage = source === 'pack' ? rest : collect.take('rail.voltage', node.voltage, [...at, 'voltage']);
  const continuous = collect.take('rail.continuous', node.continuous, [...at, 'continuous'], {
    value: source === 'pack' && Number.isFinite(pack.dischargeLimit) ? pack.dischargeLimit : undefined,
    why: 'what the pack gives',
  });
  return {
    id,
    name: node.name ?? 'Servo rail',
    source,
    voltage,
    full: source === 'pack' ? pack.full : voltage,
    continuous,
    burst: collect.take('rail.burst', node.burst, [...at, 'burst'], {
      value: ifFinite(continuous),
      why: 'what it gives steadily',
    }),
    resistance: collect.take('rail.resistance', node.resistance, [...at, 'resistance']),
    apart: node.ground === 'apart',
  };
}

interface ReadLinkage {
  readonly linkage: Linkage;
  readonly start: number;
  readonly sense: 1 | -1;
}

function readLinkage(plan: LinkagePlan, at: Place, collect: FigureCollector): ReadLinkage {
  if (plan.kind === 'direct') return { linkage: { kind: 'direct' }, start: 0, sense: 1 };
  const sense = plan.turns === 'against' ? -1 : 1;
  const start = collect.take('linkage.start', plan.start, [...at, 'start']);
  const horn = collect.take('linkage.horn', plan.horn, [...at, 'horn']);
  const rod = collect.take('linkage.rod', plan.rod, [...at, 'rod']);
  if (plan.kind === 'push-rod') {
    const offset = collect.take('linkage.offset', plan.offset, [...at, 'offset']);
    return { linkage: { kind: 'push-rod', horn, rod, offset }, start, sense };
  }
  const ground = collect.take('linkage.ground', plan.ground, [...at, 'ground']);
  const lever = collect.take('linkage.lever', plan.lever, [...at, 'lever']);
  return {
    linkage: { kind: 'four-bar', ground, horn, rod, lever, crossed: plan.crossed ?? false },
    start,
    sense,
  };
}

type LoadSide = ReturnType<typeof resolveLoadSide>;

function linkOf({ linkage, start, sense }: ReadLinkage, { asked, train, radius }: LoadSide): Linked | undefined {
  const perOutput = radius / train.total;
  const distance = (asked.travel ?? 0) / perOutput;
  const lengths = Object.values(linkage).filter((value) => typeof value === 'number');
  if (![...lengths, start, distance].every(Number.isFinite)) return undefined;
  return linkedAlong({ linkage, start, sense, distance, perOutput });
}

function readChain(drive: ServoDrive, servo: ServoFigures, at: Place, collect: FigureCollector): readonly ChainJoint[] {
  const own =
    deadbandAngle(servo.travel, servo.longestPulse - servo.shortestPulse, servo.deadband) / 2 + servo.slop / 2;
  return (drive.chain ?? []).map(({ length, angle, error }, i) => {
    const key = (name: string) => `chain.${i}.${name}`;
    return {
      length: collect.take('chain.length', length, [...at, i, 'length'], undefined, key('length')),
      angle: collect.take('chain.angle', angle, [...at, i, 'angle'], undefined, key('angle')),
      error: collect.take(
        'chain.error',
        error,
        [...at, i, 'error'],
        { value: ifFinite(own), why: 'half of deadband and play of this servo' },
        key('error'),
      ),
    };
  });
}

/** Every servo of every mechanism on a rail, at the rail's own volts. */
function railServos(plan: Plan, node: string, voltage: number): readonly RailServo[] {
  return plan.mechanisms.flatMap((mechanism) => {
    const { drive } = currentChoice(mechanism);
    if (drive.kind !== 'servo' || drive.node !== node) return [];
    const one = railServoOf(plan, mechanism, drive, voltage);
    return Array.from({ length: piecesIn(drive) }, () => one);
  });
}

interface Remembered {
  readonly part: ServoPart;
  readonly voltage: number;
  readonly servo: RailServo;
}

/**
 * What the rail's other servos draw changes only with their own mechanism, part and volts: a keystroke on one need
 * not work out all the others again. Plans share what they do not change, so that sameness is enough to ask.
 */
const remembered = new WeakMap<Mechanism, Remembered>();

function railServoOf(plan: Plan, mechanism: Mechanism, drive: ServoDrive, voltage: number): RailServo {
  const part = partOf(plan, drive.servo, 'servo');
  const before = remembered.get(mechanism);
  if (before?.part === part && before.voltage === voltage) return before.servo;
  const figures = readServo(part, [], new FigureCollector());
  const rating = ratingAt(figures.points, voltage);
  const moving = loadedCurrent(rating, figures.runningCurrent, worstTorqueOf(plan, mechanism, drive));
  const servo: RailServo = {
    name: mechanism.name,
    idle: figures.idleCurrent,
    moving: Number.isFinite(moving) ? moving : figures.runningCurrent,
    stalled: rating.stallCurrent,
    highestVoltage: figures.highestVoltage,
    guessed: part.highestVoltage === undefined,
  };
  remembered.set(mechanism, { part, voltage, servo });
  return servo;
}

/** Greatest torque at the horn over a mechanism's jobs while they are done. */
function worstTorqueOf(plan: Plan, mechanism: Mechanism, drive: ServoDrive): number {
  const torques = mechanism.jobs.map((job) => {
    const begun = beginPath(plan, mechanism, job.id);
    const side = resolveLoadSide(begun);
    const linkage = readLinkage(drive.linkage ?? { kind: 'direct' }, [], begun.collect);
    const behind: HornSide = Object.assign(side, { linked: linkOf(linkage, side), motors: drive.servos });
    const force = (q: number) => side.load.force(q, side.asked.speed);
    const place = worstHornPlace(behind, force);
    return torqueAtHorn(behind, force(place), place);
  });
  return Math.max(...torques);
}
