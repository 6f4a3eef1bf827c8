import type { AnyPath, CheckId, DcPath, ServoPath, StepPath } from '../../src/index.js';
import { flowsAt, fullBraking, fullCommand, heatAfter, windingAfter } from './electrics.js';
import { runOfJob, type PlainRun } from './runs.js';

/**
 * Each check once more, from the figures a path has read and nothing else of core. The table is complete by its type: a new
 * check does not compile until its mechanics stand here. A number is how many times what is asked is there; `undefined`
 * where a check has nothing to say of a path.
 */
type Answer = number | boolean | undefined;
type Mechanics = (path: AnyPath) => Answer;

const dc =
  (answer: (path: DcPath) => Answer): Mechanics =>
  (path) =>
    path.machine === 'dc' ? answer(path) : undefined;
const step =
  (answer: (path: StepPath) => Answer): Mechanics =>
  (path) =>
    path.machine === 'step' ? answer(path) : undefined;
const servo =
  (answer: (path: ServoPath) => Answer): Mechanics =>
  (path) =>
    path.machine === 'servo' ? answer(path) : undefined;

const ran = new WeakMap<DcPath, PlainRun>();
function runOf(path: DcPath): PlainRun {
  const known = ran.get(path) ?? runOfJob(path);
  ran.set(path, known);
  return known;
}

const lever = ({ train, radius }: AnyPath): number => train.total / radius;
const places = ({ asked }: AnyPath): readonly number[] =>
  Array.from({ length: 65 }, (_, i) => ((asked.travel ?? 0) * i) / 64);
const worst = (path: AnyPath, of: (q: number) => number): number => Math.max(...places(path).map(of));

/** What must be held at rest, whichever way it pulls; what friction holds need not be. */
function heldBack(path: AnyPath): number {
  const pulls = worst(path, (q) => Math.abs(path.load.holdForce(q)));
  return pulls > (path.load.rest?.force ?? 0) ? pulls : 0;
}

/** Copper, both ways. */
const AWG: Readonly<Record<number, number>> = { 6: 120, 8: 80, 10: 50, 12: 40, 14: 30, 16: 20, 18: 15, 20: 10, 22: 5 };

const wire =
  (where: 'branch' | 'main'): Mechanics =>
  (path) => {
    const { breaker, gauge = NaN } = path[where] ?? {};
    return breaker && AWG[gauge]! / breaker.rated;
  };

/** What one motor, driver or rail takes from the supply while the job is done. */
function working(path: AnyPath): number {
  const v = path.asked.speed;
  const force = Math.max(0, worst(path, (q) => path.load.force(q, v)) + (path.asked.recovery ?? 0));
  const torque = force / (path.motors * lever(path) * path.train.efficiency);
  const omega = v * lever(path);
  if (path.machine === 'dc') {
    const { motor } = path.drive;
    const current = torque / motor.torqueConstant + motor.freeCurrent + motor.freeCurrentPerSpeed * omega;
    return flowsAt(path, omega, current)?.supplyCurrent ?? Infinity;
  }
  if (path.machine === 'servo') {
    const { servo: one, rail, linked, motors, train } = path;
    const onHorn = worst(path, (q) => (path.load.force(q, v) * linked!.ratioAt(q)) / (train.efficiency * motors));
    const { stallCurrent, stallTorque } = one.rating;
    const draws = one.runningCurrent + (stallCurrent - one.runningCurrent) * (onHorn / stallTorque);
    return rail.source === 'pack' ? draws : (draws * rail.voltage) / (0.85 * path.restVoltage);
  }
  return currentFor(path, stepWatts(path, torque, omega));
}

const stepWatts = ({ step: own }: StepPath, torque: number, omega: number): number =>
  own.kind === 'step-servo'
    ? (Math.max(0, torque) * omega) / own.efficiency
    : (Math.max(0, torque) * omega + 2 * own.setCurrent ** 2 * own.phaseResistance) / 0.9;

/** Amperes that bring a power through the supply's resistance, by halving. */
function currentFor({ restVoltage, supplyResistance }: StepPath, watts: number): number {
  let [low, high] = [0, restVoltage / (2 * Math.max(supplyResistance, 1e-9))];
  for (let i = 0; i < 80; i++) {
    const middle = (low + high) / 2;
    if ((restVoltage - supplyResistance * middle) * middle < watts) low = middle;
    else high = middle;
  }
  return high;
}

const plug =
  (where: 'branch' | 'main'): Mechanics =>
  (path) => {
    const rated = path[where]?.connectorRated;
    if (rated === undefined) return undefined;
    const one = working(path);
    return (
      rated / (where === 'main' ? path.motors * one + path.pack.others : (path.branch.together ? path.motors : 1) * one)
    );
  };

/** A job over and over through the matches, second by second: winding, breakers and charge. */
interface PlainDay {
  readonly winding: number;
  readonly branch: number;
  readonly main: number;
  readonly charge: number;
}

const lived = new WeakMap<DcPath, PlainDay>();
function dayOf(path: DcPath): PlainDay {
  const known = lived.get(path) ?? live(path);
  lived.set(path, known);
  return known;
}

type Stretch = {
  readonly seconds: number;
  readonly squared: number;
  readonly friction: number;
  readonly supply: number;
};

/** What one go is made of: work, hold, rest. */
function goOf(path: DcPath): { readonly once: readonly Stretch[]; readonly go: readonly Stretch[] } {
  const { drive, asked, motor, train, load } = path;
  const constants = drive.motor;
  const frictionAt = (current: number, omega: number) =>
    Math.max(
      0,
      (constants.torqueConstant * constants.freeCurrent +
        (constants.backEmfConstant - constants.torqueConstant) * current) *
        omega,
    ) +
    (constants.brushDrop ?? 0) * Math.abs(current);
  const atRest = motor.type === 'brushless' ? 2 : 1;
  const work = runOf(path).moments.map(({ seconds, speed, current, supply, stuck }) => ({
    seconds,
    squared: (stuck ? atRest : 1) * current ** 2,
    friction: frictionAt(current, speed * lever(path)),
    supply: Math.max(0, supply),
  }));
  if (path.thrown) {
    const target = asked.target!;
    const omega = target * train.total;
    const full = fullCommand(path, omega);
    const torque = load.force(0, target) / (drive.motors * lever(path) * train.efficiency);
    const kept = torque / constants.torqueConstant + constants.freeCurrent + constants.freeCurrentPerSpeed * omega;
    const back = Math.min(recoveryOf(path), asked.every);
    return {
      once: work,
      go: [
        {
          seconds: back,
          squared: full.motorCurrent ** 2,
          friction: frictionAt(full.motorCurrent, omega),
          supply: full.supplyCurrent,
        },
        {
          seconds: asked.every - back,
          squared: kept ** 2,
          friction: frictionAt(kept, omega),
          supply: flowsAt(path, omega, kept)!.supplyCurrent,
        },
      ],
    };
  }
  const taken = work.reduce((sum, { seconds }) => sum + seconds, 0);
  const held = heldBack(path);
  const holds = path.holder !== 'brake' && path.holder !== 'ratchet' && train.backEfficiency > 0 && held > 0;
  const current = holds ? (held * train.backEfficiency) / (drive.motors * constants.torqueConstant * lever(path)) : 0;
  const holding: readonly Stretch[] = holds
    ? [
        {
          seconds: asked.held,
          squared: atRest * current ** 2,
          friction: 0,
          supply: flowsAt(path, 0, current)!.supplyCurrent,
        },
      ]
    : [];
  const busy = taken + (holds ? asked.held : 0);
  const rest = { seconds: Math.max(0, asked.every - busy), squared: 0, friction: 0, supply: 0 };
  return { once: [], go: [...work, ...holding, rest] };
}

function live(path: DcPath): PlainDay {
  const { match, motor, drive, pack } = path;
  const { windingCapacity, caseCapacity, windingToCase, caseToAir, ambient } = motor.thermal;
  const { once, go } = goOf(path);
  const goSeconds = go.reduce((sum, { seconds }) => sum + seconds, 0);
  const goes = Math.max(1, Math.floor(match.length / goSeconds));
  let [winding, shell, hottest, charge] = [ambient, ambient, ambient, 0];
  const breakers = (['branch', 'main'] as const).map((where) => ({ where, heat: 0, peak: 0 }));
  const pass = ({ seconds, squared, friction, supply }: Stretch, counts: boolean): void => {
    // A stretch of the run is shorter than anything that warms; a long hold or rest is cut.
    const cuts = Math.max(1, Math.ceil(seconds / 0.05));
    const h = seconds / cuts;
    for (let i = 0; i < cuts; i++) {
      const across = (winding - shell) / windingToCase;
      const copper = squared * drive.motor.resistance * (1 + 0.00393 * (winding - 20));
      winding += (h * (copper - across)) / windingCapacity;
      shell += (h * (across + friction - (shell - ambient) / caseToAir)) / caseCapacity;
      hottest = Math.max(hottest, winding);
    }
    for (const on of breakers) {
      const breaker = path[on.where]?.breaker;
      if (!breaker) continue;
      const share = on.where === 'main' || path.branch.together ? drive.motors : 1;
      const through = share * supply + (on.where === 'main' ? pack.others : 0);
      const settles = (through / (breaker.rated * breaker.holdMultiple)) ** 2;
      on.heat = settles + (on.heat - settles) * Math.exp(-seconds / breaker.timeConstant);
      on.peak = Math.max(on.peak, on.heat);
    }
    if (!counts) return;
    const amperes = drive.motors * supply;
    const rate = Math.max(1, (20 * 3600 * amperes) / pack.capacity!);
    charge += amperes * rate ** (pack.capacityExponent - 1) * seconds;
  };
  for (let round = 0; round < match.rounds; round++) {
    once.forEach((one) => pass(one, round === 0));
    for (let i = 0; i < goes; i++) go.forEach((one) => pass(one, round === 0));
    if (round < match.rounds - 1) pass({ seconds: match.rest, squared: 0, friction: 0, supply: 0 }, false);
  }
  return { winding: hottest, branch: breakers[0]!.peak, main: breakers[1]!.peak, charge };
}

/** Seconds until thrown wheels are back at speed, in plain steps. */
function recoveryOf(path: DcPath): number {
  const { drive, load, train, asked, thrown } = path;
  const { pieceMass, wheelRadius, speedShare, slip, ballInertiaFactor } = thrown!;
  const target = asked.target!;
  const speed = speedShare * slip * wheelRadius * target;
  const kappa = speedShare <= 0.5 ? (1 + ballInertiaFactor) / 2 : 1;
  const turning = load.inertia(0) + drive.motors * drive.rotorInertia * train.total ** 2;
  let v = target - (kappa * wheelRadius * pieceMass * speed) / turning;
  const rotors = drive.motors * drive.rotorInertia * train.total ** 2;
  const h = 1e-5;
  let time = 0;
  while (v < target && time < 30) {
    const { torque } = fullCommand(path, v * train.total);
    v +=
      (h * (drive.motors * torque * train.total * train.efficiency - load.force(0, v))) /
      (load.inertia(0) + rotors * train.efficiency);
    time += h;
  }
  return time;
}

/** Which start the pair really has: sensors on one side are none. */
const startOf = ({ motor, controller }: DcPath) =>
  controller.startStyle === 'sensors' && !motor.sensors ? 'bump' : controller.startStyle;
const blind = (path: DcPath): boolean => path.motor.type === 'brushless' && startOf(path) !== 'sensors';

/** Least steady speed of the motor's shaft. */
function slowest({ motor, controller, control, drive, settling }: DcPath): number {
  const { backEmfConstant, torqueConstant, freeCurrent, resistance } = drive.motor;
  const stuck = 0.3 * freeCurrent + motor.detent / torqueConstant;
  return Math.max(
    (stuck * (resistance + drive.controllerResistance)) / backEmfConstant,
    (controller.dutyStep * drive.restVoltage) / backEmfConstant,
    motor.type === 'brushless' ? controller.leastErpm / (motor.polePairs ?? 1) : 0,
    control.mode === 'lock' && settling?.counts ? (2 * Math.PI) / (0.02 * settling.counts) : 0,
  );
}

/** A stepping motor's torque at a speed. */
function gives({ step: own, restVoltage }: StepPath, omega: number): number {
  if (own.motor.loop === 'closed') {
    const { peakTorque, ratedSpeed, topSpeed, voltageShare } = own.motor.figures;
    const scale = Math.min(1, voltageShare);
    if (omega <= ratedSpeed * scale) return peakTorque;
    return peakTorque * Math.max(0, (topSpeed * scale - omega) / ((topSpeed - ratedSpeed) * scale));
  }
  const { phaseResistance: r, phaseInductance: l, holdingTorque, ratedCurrent, detentTorque } = own.motor.figures;
  const k = holdingTorque / (Math.SQRT2 * ratedCurrent);
  const z = Math.hypot(r, own.polePairs * omega * l);
  return Math.max(
    0,
    Math.min((k * restVoltage) / z - (k * k * omega * r) / z ** 2, (holdingTorque * own.setCurrent) / ratedCurrent) -
      detentTorque,
  );
}

/** The commanded motion, moment by moment: speed and acceleration at the output. */
function commanded({
  commanded: motion,
  asked,
  ramp,
}: StepPath): readonly { readonly v: number; readonly a: number }[] {
  const travel = asked.travel ?? 0;
  if (!ramp) return [{ v: motion.speed, a: 0 }];
  const top = Math.min(motion.speed, Math.sqrt(motion.acceleration * travel));
  return Array.from({ length: 257 }, (_, i) => (top * i) / 256).flatMap((v) => [
    { v, a: motion.acceleration },
    { v, a: -motion.acceleration },
    ...(v === top ? [{ v, a: 0 }] : []),
  ]);
}

function torqueFor(path: StepPath, v: number, a: number): number {
  const { load, train, motors, step: own } = path;
  return worst(path, (q) => {
    const mesh = load.force(q, v) + load.inertia(q) * a;
    const through = mesh >= 0 ? mesh / train.efficiency : mesh * train.backEfficiency;
    return Math.abs(through / (motors * lever(path)) + own.rotorInertia * lever(path) * a);
  });
}

const turned = ({ step: own, train, radius, motors, load }: StepPath): number =>
  own.rotorInertia + load.inertia(0) / (motors * (train.total / radius) ** 2 * train.efficiency);

const pulsesATurn = ({ step: own }: StepPath): number => own.stepsPerTurn * own.microsteps;

/** Where the wheels of a laid-out train lie, and whether any two of a plane, or a wheel and a shaft, run into each other. */
function clear(path: AnyPath): boolean | undefined {
  if (path.stages.length < 2 || path.stageParts.some(({ kind, centre }) => kind !== 'screw' && Number.isNaN(centre)))
    return undefined;
  const shafts = [{ x: 0, y: 0 }];
  const wheels = path.stageParts.flatMap((parts, i) => {
    const from = shafts[i]!;
    const to = {
      x: from.x + parts.centre * Math.cos(parts.direction),
      y: from.y + parts.centre * Math.sin(parts.direction),
    };
    shafts.push(to);
    if (!('driver' in parts))
      return 'across' in parts && parts.across > 0
        ? [{ ...from, plane: parts.plane, i, shaft: i, tip: parts.across / 2, box: true }]
        : [];
    const add = parts.kind === 'teeth' ? parts.pitch : parts.kind === 'chain' ? 0.3 * parts.pitch : 0;
    return [
      { ...from, plane: parts.plane, i, shaft: i, tip: parts.driverRadius + add, box: false },
      { ...to, plane: parts.plane, i, shaft: i + 1, tip: parts.drivenRadius + add, box: false },
    ];
  });
  return !wheels.some((a) =>
    wheels.some((b) => a.i < b.i && a.plane === b.plane && Math.hypot(a.x - b.x, a.y - b.y) < a.tip + b.tip),
  );
}

const teethOf = (path: AnyPath): readonly number[] =>
  path.stageParts.flatMap((parts) =>
    parts.kind === 'teeth' ? [Math.min(parts.driver, parts.driven, parts.idler ?? Infinity)] : [],
  );
const sprocketsOf = (path: AnyPath): readonly number[] =>
  path.stageParts.flatMap((parts) => (parts.kind === 'chain' ? [Math.min(parts.driver, parts.driven)] : []));

/** Links or belts on shafts as they stand: half where an offset link is all that is weak. */
function lengths(path: AnyPath): Answer {
  const runs = path.stageParts.flatMap((parts) =>
    parts.kind === 'chain' || (parts.kind === 'belt' && parts.chosen) ? [parts] : [],
  );
  if (runs.length === 0) return undefined;
  const fits = runs.every((run) => {
    // Strands between the tangent points, and the arcs on both wheels.
    const tilt = Math.asin((run.drivenRadius - run.driverRadius) / run.centre);
    const around =
      2 * run.centre * Math.cos(tilt) +
      run.driverRadius * (Math.PI - 2 * tilt) +
      run.drivenRadius * (Math.PI + 2 * tilt);
    // A shaft that slides goes where it is taut; a tensioner takes up what is left over, within its reach.
    return run.reaches && Math.abs(around - run.length * run.pitch) < (run.takeUp === 'slide' ? 1e-3 : 0.05) * around;
  });
  const odd = runs.some((run) => run.kind === 'chain' && run.length % 2 === 1);
  return fits && odd ? 0.65 / 0.5 : fits;
}

/** What every servo on the rail draws: idle, moving, stalled. */
const sum = (path: ServoPath, of: 'idle' | 'moving' | 'stalled'): number =>
  path.rail.servos.reduce((total, one) => total + one[of], 0);

/** What comes free on the way down: what pulls back without friction and push, added up along the way. */
function fallen(path: AnyPath): number {
  const of = (key: string) => path.figures[key]?.value ?? 0;
  const down = path.load.rope === 'down' ? -1 : 1;
  const losses = of('output.armFriction') + of('job.friction') * (of('output.loadPerRope') || 1) + of('job.slidePush');
  const steps = 4000;
  const width = (path.asked.travel ?? 0) / steps;
  let [stored, least, most] = [0, 0, 0];
  for (let i = 0; i < steps; i++) {
    stored += down * (path.load.force((i + 0.5) * width, 0) - losses) * width;
    [least, most] = [Math.min(least, stored), Math.max(most, stored)];
  }
  return most - least;
}

export const CHECK_MECHANICS: Readonly<Record<CheckId, Mechanics>> = {
  'in-time': (path) => {
    if (path.machine === 'dc') {
      if (path.asked.profile === 'trapezoid') return undefined;
      const { arrived, time } = runOf(path);
      return arrived ? path.asked.time / time : 0;
    }
    // A commanded motion takes its own time: three thirds of it where nothing else is typed.
    if (path.machine === 'step') return path.asked.endless ? undefined : 1;
    return undefined;
  },
  recovers: dc((path) => path.thrown && path.figures['job.recover']!.value! / recoveryOf(path)),
  follows: dc((path) => {
    const { asked, drive, load, train, radius } = path;
    if (asked.profile !== 'trapezoid') return undefined;
    const travel = asked.travel!;
    const speed = (1.5 * travel) / asked.time;
    const a = (3 * speed) / asked.time;
    let least = Infinity;
    for (let i = 0; i <= 6000; i++) {
      const t = (asked.time * i) / 6000;
      const third = asked.time / 3;
      const [v, now] = t <= third ? [a * t, a] : t <= 2 * third ? [speed, 0] : [a * (asked.time - t), -a];
      const q =
        t <= third
          ? (a * t * t) / 2
          : t <= 2 * third
            ? (speed * third) / 2 + speed * (t - third)
            : travel - (a * (asked.time - t) ** 2) / 2;
      const mesh = load.force(q, v) + load.inertia(q) * now;
      const through = mesh >= 0 ? mesh / train.efficiency : mesh * train.backEfficiency;
      const l = train.total / radius;
      const torque = through / (drive.motors * l) + drive.rotorInertia * l * now;
      const omega = v * l;
      const drag = drive.motor.torqueConstant * (drive.motor.freeCurrent + drive.motor.freeCurrentPerSpeed * omega);
      if (torque > 0) least = Math.min(least, fullCommand(path, omega).torque / torque);
      else if (torque < -drag && v > 0) least = Math.min(least, fullBraking(path, omega).torque / -torque);
    }
    return least;
  }),
  'stays-up': (path) => {
    if (!path.falls) return undefined;
    if (path.falls.may !== undefined || fallen(path) <= path.falls.harmless) return true;
    const held = worst(path, path.load.holdForce);
    if (held <= 0) return true;
    if (path.holder === 'brake' || path.holder === 'ratchet') return true;
    if (path.train.stays) return true;
    if (path.machine === 'step' && path.step.detentTorque > 0 && path.holder === 'nothing')
      return (path.motors * path.step.detentTorque * lever(path)) / path.train.backEfficiency / held >= 2;
    return false;
  },
  'held-back': dc((path) => {
    const { asked, load, train, drive } = path;
    const push = worst(path, (q) => -load.force(q, asked.speed));
    if (asked.travel === undefined || push <= 0) return undefined;
    const { torque } = fullBraking(path, asked.speed * lever(path));
    return (drive.motors * torque * lever(path)) / train.backEfficiency / push;
  }),
  'motor-volts': dc(({ motor, drive, pack }) =>
    motor.highestVoltage === undefined ? undefined : motor.highestVoltage / (drive.greatestDuty * pack.full),
  ),
  'motor-speed': dc((path) => {
    const { highestSpeed } = path.motor;
    const fastest = Math.max(path.asked.speed, runOf(path).topSpeed) * lever(path);
    return highestSpeed === undefined || highestSpeed / fastest;
  }),
  surroundings: ({ surroundings: of }) => {
    if (!of) return undefined;
    const better = { 'dust and splashes': ['dust and splashes', 'under water'], 'under water': ['under water'] };
    const dirtier = { 'some dirt': ['some dirt', 'any dirt'], 'any dirt': ['any dirt'] };
    const weak = (has: string | undefined, takes: readonly string[] | undefined) =>
      takes !== undefined && has !== undefined && !takes.includes(has);
    // What is only scored is worth knowing and judges nothing; what does not say is not held against it.
    return (
      of.counts === 'score' ||
      !of.parts.some(
        ({ sealing, dirt }) => weak(sealing, of.wet && better[of.wet]) || weak(dirt, of.dirt && dirtier[of.dirt]),
      )
    );
  },
  // Asked about and believed: no verdict.
  'over-sheet': dc(({ controller }) => (controller.overSheet.length > 0 ? true : undefined)),
  // A note says something and judges nothing: it is there wherever there are brushes.
  'brush-wear': dc(({ motor }) => (motor.type === 'brushed' ? true : undefined)),
  creep: dc((path) => path.asked.creep && (path.asked.creep * lever(path)) / slowest(path)),
  'starts-loaded': dc((path) => {
    if (!blind(path)) return undefined;
    const { drive, load, train, asked } = path;
    const share = startOf(path) === 'forced' ? 0.5 : 0.3;
    const atRest = fullCommand(path, 0).motorCurrent;
    const place = places(path).reduce((a, b) =>
      load.force(b, 0) + load.inertia(b) * asked.acceleration > load.force(a, 0) + load.inertia(a) * asked.acceleration
        ? b
        : a,
    );
    const through = drive.motors * lever(path) * train.efficiency;
    const spare =
      drive.motor.torqueConstant * Math.max(0, share * atRest - drive.motor.freeCurrent) -
      Math.max(0, load.force(place, 0)) / through -
      path.motor.detent;
    const turning = drive.rotorInertia + load.inertia(place) / (through * lever(path));
    return (Math.max(0, spare) * 0.3) / (turning * slowest(path));
  }),
  'holds-still': dc((path) =>
    blind(path) && path.holder !== 'brake' && path.holder !== 'ratchet' && heldBack(path) > 0
      ? path.train.stays
      : undefined,
  ),
  jam: dc((path) => {
    if (path.jam === undefined) return undefined;
    const { drive, motor, branch } = path;
    const { motorCurrent, supplyCurrent } = fullCommand(path, 0);
    const lasts = (holds: (seconds: number) => boolean): number => {
      let [low, high] = [0, 3600];
      if (holds(high)) return high;
      for (let i = 0; i < 30; i++) {
        const middle = (low + high) / 2;
        if (holds(middle)) low = middle;
        else high = middle;
      }
      return high;
    };
    const burns = lasts((seconds) => windingAfter(path, motorCurrent, seconds) < motor.thermal.windingLimit);
    const through = supplyCurrent * (branch.together ? drive.motors : 1);
    const { rated, holdMultiple, timeConstant } = branch.breaker!;
    const trips = lasts((seconds) => heatAfter(through, rated * holdMultiple, timeConstant, seconds) < 1);
    return Math.min(burns, trips) / path.jam;
  }),
  resolves: (path) => {
    if (!path.settling) return undefined;
    const { window, backlash, counts } = path.settling;
    if (path.machine === 'step') {
      const pulse = (2 * Math.PI) / (pulsesATurn(path) * lever(path));
      const torque = Math.abs(
        worst(path, (q) => path.load.force(q, 0)) / (path.motors * lever(path) * path.train.efficiency),
      );
      const holding = (path.step.holdingTorque * path.step.setCurrent) / path.step.ratedCurrent;
      const lag =
        path.step.motor.loop === 'closed' ? 0 : Math.asin(torque / holding) / path.step.polePairs / lever(path);
      return window / (pulse + lag + backlash);
    }
    return window / ((counts === undefined ? 0 : (2 * Math.PI) / (counts * path.train.total)) + backlash);
  },
  'match-heat': dc((path) => {
    if (path.asked.profile === 'trapezoid') return undefined;
    const { windingLimit, ambient } = path.motor.thermal;
    return (windingLimit - ambient) / (dayOf(path).winding - ambient);
  }),
  'match-breakers': dc((path) =>
    path.asked.profile === 'trapezoid' ? undefined : 1 / Math.sqrt(Math.max(dayOf(path).branch, dayOf(path).main)),
  ),
  charge: dc((path) =>
    path.pack.capacity === undefined || path.asked.profile === 'trapezoid'
      ? undefined
      : (path.pack.usable * path.pack.capacity) / dayOf(path).charge,
  ),
  'motor-kind': (path) =>
    path.machine === 'dc'
      ? path.controller.drives.includes(path.motor.type)
      : path.machine === 'step'
        ? path.driver.drives === path.step.kind
        : undefined,
  'volts-full': (path) => {
    if (path.machine === 'dc') return path.controller.highestVoltage / path.pack.full;
    if (path.machine === 'step') return path.driver.highestVoltage / path.pack.full;
    const { full, servos: all } = path.rail;
    // Made for two cells and on two cells, with a sheet that does not say more: asked about, not judged.
    const asks = all.filter(
      (one) => one.guessed && one.highestVoltage >= 7 && full <= 8.5 && one.highestVoltage < full,
    );
    const sure = all.filter((one) => !asks.includes(one)).map(({ highestVoltage }) => highestVoltage / full);
    return asks.length > 0 && !sure.some((share) => share < 1)
      ? true
      : Math.min(...all.map(({ highestVoltage }) => highestVoltage)) / full;
  },
  'volts-least': (path) => {
    if (path.machine === 'servo')
      return (path.rail.voltage - path.rail.resistance * sum(path, 'moving')) / (0.8 * path.servo.lowestPoint);
    if (path.machine === 'dc') {
      const { drive, controller } = path;
      if (path.asked.profile === 'trapezoid' || path.asked.travel === undefined) return undefined;
      return (drive.restVoltage - drive.supplyResistance * runOf(path).peakSupply) / controller.lowestVoltage;
    }
    return (path.restVoltage - path.supplyResistance * mostDrawn(path)) / path.driver.lowestVoltage;
  },
  'return-volts': dc((path) => {
    if (path.asked.profile !== 'stop') return undefined;
    const each = runOf(path).peakReturned / path.drive.motors;
    return path.controller.highestVoltage / (path.pack.full + path.drive.supplyResistance * each);
  }),
  'return-charge': dc((path) => {
    if (path.asked.profile !== 'stop') return undefined;
    const { peakReturned } = runOf(path);
    return peakReturned < 0.01 ? true : path.pack.chargeLimit / peakReturned;
  }),
  'branch-wire': wire('branch'),
  'main-wire': wire('main'),
  'branch-plug': plug('branch'),
  'main-plug': plug('main'),
  erpm: dc((path) =>
    path.motor.type === 'brushless' && path.motor.polePairs
      ? path.controller.erpmLimit / ((path.motor.polePairs * path.pack.full) / path.drive.motor.backEmfConstant)
      : undefined,
  ),
  'fits-together': (path) => {
    const sizes = path.stageParts.flatMap(({ shaft, drivenBore }, i) => [
      [shaft?.size, drivenBore] as const,
      [shaft?.size, path.stageParts[i + 1]?.bore] as const,
    ]);
    const pairs = [...sizes, [path.fitting?.shaft, path.fitting?.bore] as const].filter(
      ([a, b]) => a !== undefined && b !== undefined,
    );
    return pairs.length === 0 ? undefined : pairs.every(([a, b]) => Math.abs(a! - b!) < 5e-5);
  },
  'keeps-step': step((path) =>
    Math.min(
      ...commanded(path).map(({ v, a }) => gives(path, v * lever(path)) / Math.max(torqueFor(path, v, a), 1e-12)),
    ),
  ),
  'pulse-rate': step((path) => {
    const { driver, board } = path;
    const most = Math.min(driver.pulseLimit, board.pulseLimit, 1 / (2 * driver.leastPulse));
    return most / ((path.commanded.speed * lever(path) * pulsesATurn(path)) / (2 * Math.PI));
  }),
  timer: step(({ board: { timer: chip }, driver, ramp }) => {
    if (!chip) return undefined;
    // A hand on the knob is a ramp.
    if (ramp && !(chip.lowerMost > chip.lower)) return false;
    // The capacitor from two thirds of the supply down to one, in small steps of its own current.
    let [volts, time] = [2 / 3, 0];
    const h = (chip.lower * chip.capacitor) / 20_000;
    for (; volts > 1 / 3; time += h) volts -= (h * volts) / (chip.lower * chip.capacitor);
    return time / driver.leastPulse;
  }),
  'starts-at-once': step((path) => {
    if (path.ramp || path.step.motor.loop !== 'open') return undefined;
    const coarse = path.step.microsteps < 2 ? Math.SQRT1_2 : path.step.microsteps < 4 ? 0.92 : 1;
    const spare = coarse * gives(path, 0) - path.load.force(0, 0) / (path.motors * lever(path) * path.train.efficiency);
    const full = (2 * Math.PI) / (4 * path.step.polePairs);
    const rate = Math.sqrt(spare / (2 * full * turned(path)));
    return rate / ((path.commanded.speed * lever(path)) / full);
  }),
  resonance: step((path) => {
    if (path.step.motor.loop !== 'open') return undefined;
    const { holdingTorque, setCurrent, ratedCurrent, polePairs, microsteps } = path.step;
    const swings =
      Math.sqrt((polePairs * ((holdingTorque * setCurrent) / ratedCurrent)) / turned(path)) / (2 * Math.PI);
    const rate = (path.commanded.speed * lever(path) * 4 * polePairs) / (2 * Math.PI);
    return rate < 0.7 * swings || rate > 1.3 * swings || microsteps >= 8 || path.driver.damps;
  }),
  decay: step((path) => {
    if (path.step.motor.loop !== 'open' || path.step.microsteps < 2 || !path.decay) return undefined;
    const { phaseResistance, phaseInductance } = path.step.motor.figures;
    if (path.decay === 'mixed') return true;
    if (path.decay === 'fast') {
      const ripple = path.restVoltage / (2 * phaseInductance * 20_000);
      return ripple > 0.25 * path.step.setCurrent ? true : (0.25 * path.step.setCurrent) / ripple;
    }
    // A current that dies by itself, until two time constants are over: that long a quarter of its wave must be.
    let [current, time] = [1, 0];
    const h = phaseInductance / phaseResistance / 20_000;
    for (; current > Math.exp(-2); time += h) current -= (h * current * phaseResistance) / phaseInductance;
    const multiple = 1 / time / ((path.commanded.speed * lever(path) * 4 * path.step.polePairs) / (2 * Math.PI));
    return multiple < 1 ? true : multiple;
  }),
  'enable-line': step(({ enable }) =>
    enable.input === undefined ? undefined : enable.wired || enable.input === 'runs when left open',
  ),
  kick: step((path) => {
    if (!path.engaged) return undefined;
    const omega = path.commanded.speed * lever(path);
    const inertia = path.engaged / (path.motors * lever(path) ** 2 * path.train.efficiency);
    const lag =
      path.step.motor.loop === 'open'
        ? Math.PI / (2 * path.step.polePairs)
        : (2 * Math.PI * path.driver.followingError!) / (4 * path.step.encoderLines!);
    const load = path.load.force(0, path.commanded.speed) / (path.motors * lever(path) * path.train.efficiency);
    return Math.max(0, gives(path, omega) - load) / ((inertia * omega ** 2) / (2 * lag));
  }),
  'standing-heat': step((path) => {
    if (path.step.motor.loop !== 'open') return undefined;
    const { setCurrent, idleShare, phaseResistance, thermal } = path.step;
    const hot = phaseResistance * (1 + 0.00393 * (thermal.windingLimit - 20));
    const { dutyShare } = path.asked;
    const watts = 2 * hot * setCurrent ** 2 * (dutyShare + (1 - dutyShare) * idleShare ** 2);
    return (thermal.windingLimit - thermal.ambient) / (watts * (thermal.windingToCase + thermal.caseToAir));
  }),
  signal: step((path) => {
    const { input } = path.driver;
    const straight = (path.board.signalVoltage - input.ledForward) / input.inputResistance;
    if (path.signalStage !== 'none') return undefined;
    const burns = path.board.signalVoltage > input.ratedSignal * 1.2;
    return straight >= input.needCurrent && !burns && straight <= path.board.pinCurrent;
  }),
  'set-current': step((path) =>
    path.step.motor.loop === 'open' ? path.step.ratedCurrent / path.step.setCurrent : undefined,
  ),
  'driver-current': step((path) =>
    path.step.motor.loop === 'open' ? path.driver.mostCurrent / path.step.setCurrent : undefined,
  ),
  draw: step((path) => {
    const { breaker, together } = path.branch;
    return breaker && (breaker.rated * breaker.holdMultiple) / (mostDrawn(path) * (together ? path.motors : 1));
  }),
  travel: servo((path) =>
    path.asked.travel === undefined ? undefined : path.servo.travel / Math.abs(path.linked!.to - path.linked!.from),
  ),
  // Turning without end, it has no angle to stand at.
  'stands-blows': servo(({ job, servo: { part } }) =>
    job.blows ? part.gears !== 'plastic' && !part.bearing?.includes('bush') : undefined,
  ),
  'servo-heat': servo((path) => {
    const { rating, voltage, thermal, runningCurrent, idleCurrent } = path.servo;
    if (Number.isNaN(thermal.windingCapacity)) return undefined;
    const { asked, match, train, motors, linked, load } = path;
    const on = (force: number, q: number) => (force * linked!.ratioAt(q)) / motors;
    const q = places(path).reduce((a, b) =>
      on(load.force(b, asked.speed), b) > on(load.force(a, asked.speed), a) ? b : a,
    );
    const moved = Math.max(0, on(load.force(q, asked.speed) / train.efficiency, q));
    const kept = path.holder === 'brake' || path.holder === 'ratchet' ? 0 : heldBack(path);
    const held = on(kept * train.backEfficiency, q);
    const draws = (from: number, torque: number, power = 1) =>
      from + (rating.stallCurrent - from) * Math.min(1, torque / rating.stallTorque) ** power;
    const stretches = [
      [
        asked.time,
        voltage * draws(runningCurrent, moved) -
          (Math.min(moved, rating.stallTorque) * asked.speed) / linked!.ratioAt(q),
      ],
      [held > 0 ? asked.held : 0, voltage * draws(idleCurrent, held, path.servo.part.signal === 'digital' ? 2 : 1)],
    ] as [number, number][];
    const busy = stretches.reduce((all, [seconds]) => all + seconds, 0);
    const go = Math.max(asked.every, busy);
    stretches.push([go - busy, voltage * idleCurrent]);
    let [winding, shell, hottest] = [thermal.ambient, thermal.ambient, thermal.ambient];
    const warm = (seconds: number, watts: number) => {
      const cuts = Math.ceil(seconds / 0.1);
      for (let i = 0; i < cuts; i++) {
        const across = (winding - shell) / thermal.windingToCase;
        const heat = Math.max(0, watts) * (1 + 0.00393 * (winding - 20));
        winding += ((seconds / cuts) * (heat - across)) / thermal.windingCapacity;
        shell += ((seconds / cuts) * (across - (shell - thermal.ambient) / thermal.caseToAir)) / thermal.caseCapacity;
      }
      hottest = Math.max(hottest, winding);
    };
    for (let round = 0; round < Math.max(1, Math.round(match.rounds)); round++) {
      for (let i = 0; i < Math.max(1, Math.floor(match.length / go)); i++)
        stretches.forEach(([seconds, watts]) => warm(seconds, watts));
      warm(match.rest, 0);
    }
    const multiple = (thermal.windingLimit - thermal.ambient) / (hottest - thermal.ambient);
    return multiple < 1 && multiple >= 0.5 ? true : multiple;
  }),
  'servo-board': servo(({ servoBoard: board, rail }) => {
    if (!board) return undefined;
    const moving = rail.servos.reduce((all, one) => all + one.moving, 0);
    return (
      (board.channels ?? Infinity) >= rail.servos.length &&
      (board.slowest ?? 0) <= 333 &&
      (board.current ?? Infinity) >= moving &&
      (board.voltage ?? Infinity) >= rail.full
    );
  }),
  'servo-fits': servo(({ fit: { hornTeeth, splineTeeth, size, room } }) => {
    const typed = Object.values(room).some((one) => one !== undefined);
    if (hornTeeth === undefined && !typed) return undefined;
    const over = (Object.keys(size) as (keyof typeof size)[]).some(
      (side) => (size[side] ?? 0) > (room[side] ?? Infinity),
    );
    return !over && (hornTeeth === undefined || splineTeeth === undefined || hornTeeth === splineTeeth);
  }),
  'stands-at-angle': servo(({ servo: { part } }) => part.motion === 'joint'),
  'dead-spots': servo((path) =>
    path.linkage.kind === 'direct' ? undefined : !path.linked!.short && path.linked!.travel.dead.length === 0,
  ),
  'rail-moving': servo((path) => path.rail.continuous / sum(path, 'moving')),
  'rail-stalled': servo((path) => {
    const extra = path.rail.servos.map(({ stalled, moving }) => stalled - moving);
    const one = sum(path, 'moving') + Math.max(...extra);
    return path.rail.burst / one;
  }),
  'rail-source': servo(({ rail }) => rail.source !== 'board'),
  'rail-ground': servo(({ rail }) => !rail.apart),
  tip: servo((path) => {
    if (path.chain.length === 0 || path.tipWindow === undefined) return undefined;
    // Each joint alone is turned by its error, and the tip looked at.
    const tipOf = (off: number, error: number) => {
      let [x, y, heading] = [0, 0, 0];
      path.chain.forEach(({ length, angle }, i) => {
        heading += angle + (i === off ? error : 0);
        x += length * Math.cos(heading);
        y += length * Math.sin(heading);
      });
      return { x, y };
    };
    const still = tipOf(-1, 0);
    const moved = path.chain.map(({ error }, i) => {
      const there = tipOf(i, error / 1000);
      return 1000 * Math.hypot(there.x - still.x, there.y - still.y);
    });
    return path.tipWindow / moved.reduce((total, by) => total + by, 0);
  }),
  undercut: (path) => {
    const teeth = Math.min(...teethOf(path));
    // 17 and 16 are a note, and no number.
    return Number.isFinite(teeth) ? teeth === 16 || teeth === 17 || teeth / 12 : undefined;
  },
  ripple: (path) => {
    const teeth = Math.min(...sprocketsOf(path));
    return Number.isFinite(teeth) ? (teeth < 16 && teeth >= 12) || 0.06 / (1 - Math.cos(Math.PI / teeth)) : undefined;
  },
  'run-length': lengths,
  clearance: clear,
  'screw-whirls': (path) => {
    const screw = path.stages.find(({ kind }) => kind === 'screw');
    if (!path.buckling || screw?.kind !== 'screw') return undefined;
    const { diameter: d, length: l, endFactor } = path.buckling;
    // A beam's first frequency: √(E·I/(ρ·A)) times the square of the wave number its ends leave.
    const [area, inertia] = [(Math.PI / 4) * d ** 2, (Math.PI / 64) * d ** 4];
    const beta = { 2: 1.875, 1: Math.PI, 0.7: 3.927, 0.5: 4.73 }[endFactor]!;
    const critical = (beta ** 2 / l ** 2) * Math.sqrt((205e9 * inertia) / (7850 * area));
    return (0.8 * critical) / ((2 * Math.PI * path.asked.speed) / path.figures[`stage.${screw.id}.lead`]!.value!);
  },
  'belt-room': (path) => {
    const belts = path.stageParts.flatMap((parts) =>
      parts.kind === 'belt' && parts.room !== undefined ? [parts] : [],
    );
    if (belts.length === 0) return undefined;
    // Millimetres: belts, one between each two, three for the rims.
    return belts.every(({ belts: n, width, room }) => 1000 * room! >= n * 1000 * width + (n - 1) + 3);
  },
};

/** The most the driver draws along the commanded motion. */
function mostDrawn(path: StepPath): number {
  return Math.max(
    ...commanded(path).map(({ v, a }) => {
      const { load, train, motors, step: own } = path;
      const mesh = worst(path, (q) => load.force(q, v) + load.inertia(q) * a);
      const through = mesh >= 0 ? mesh / train.efficiency : mesh * train.backEfficiency;
      return currentFor(
        path,
        stepWatts(path, through / (motors * lever(path)) + own.rotorInertia * lever(path) * a, v * lever(path)),
      );
    }),
  );
}
