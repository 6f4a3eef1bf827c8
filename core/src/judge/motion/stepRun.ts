import { currentOfPower, stepPower } from '../../path/powerpath/operating.js';
import { motorSpeed } from '../../path/powerpath/path.js';
import { torqueAtMotor, type StepPath } from '../../path/powerpath/stepPath.js';
import { cornerSpeed } from '../../models/stepper/pullOut.js';
import { mostTorqueAt } from '../../models/stepper/torque.js';
import type { Run, RunSample } from './run.js';

/** One moment of the commanded motion at the motor: what it takes, and what is there. */
export interface StepMoment {
  readonly time: number;
  readonly place: number;
  /** On q. */
  readonly speed: number;
  readonly motorSpeed: number;
  /** Of one motor, N·m; under 0 the load drives, or it slows down. */
  readonly torque: number;
  readonly most: number;
}

const POINTS = 24;

/** Goes along what the pulses command, moment by moment. */
export function stepMoments(path: StepPath): readonly StepMoment[] {
  const { commanded, load, step, train, radius } = path;
  const lever = train.total / radius;
  let [started, place] = [0, 0];
  return commanded.stretches.flatMap(({ seconds, from, acceleration }) => {
    const moments = Array.from({ length: POINTS + 1 }, (_, i): StepMoment => {
      const since = (seconds * i) / POINTS;
      const speed = Math.max(0, from + acceleration * since);
      const at = place + from * since + (acceleration * since ** 2) / 2;
      const force = load.force(at, speed) + load.inertia(at) * acceleration;
      const omega = motorSpeed(path, speed);
      return {
        time: started + since,
        place: at,
        speed,
        motorSpeed: omega,
        torque: torqueAtMotor(path, force) + step.rotorInertia * lever * acceleration,
        most: mostTorqueAt(step.motor, omega),
      };
    });
    started += seconds;
    place = moments.at(-1)!.place;
    return moments;
  });
}

/** How many times what it takes is there: friction and load may also push it out of step from behind. */
export const marginOf = ({ torque, most }: StepMoment): number => (torque === 0 ? Infinity : most / Math.abs(torque));

/** The commanded motion as a run: currents, volts, energy, and where most of the torque is taken. */
export function stepRun(path: StepPath): Run {
  const { step, motors, restVoltage, supplyResistance, pack } = path;
  const moments = stepMoments(path);
  const corner = step.motor.loop === 'open' ? cornerSpeed(step.motor.figures) : step.motor.figures.ratedSpeed;
  const samples = moments.map((moment): RunSample => {
    const power = stepPower(step, moment.torque, moment.motorSpeed);
    // Where the pack cannot give the power, its greatest is what flows: the volts fall to half.
    const supply = currentOfPower(power, restVoltage, supplyResistance) ?? restVoltage / (2 * supplyResistance);
    return {
      time: moment.time,
      place: moment.place,
      speed: moment.speed,
      motorCurrent: step.kind === 'stepper' ? step.setCurrent : supply,
      supplyCurrent: motors * supply,
      packVoltage: restVoltage - pack.resistance * motors * supply,
      heldBy: moment.motorSpeed > corner ? 'voltage' : 'stator',
      braking: moment.torque < 0,
    };
  });
  const worst = moments.reduce((least, moment) => (marginOf(moment) < marginOf(least) ? moment : least), moments[0]!);
  const lost = moments.find((moment) => marginOf(moment) < 1);
  const last = samples.at(-1)!;
  const greatest = (of: (sample: RunSample) => number): number => Math.max(...samples.map(of));
  const mean = (of: (sample: RunSample) => number): number =>
    samples.slice(1).reduce((sum, sample, i) => {
      const before = samples[i]!;
      return sum + ((of(before) + of(sample)) / 2) * (sample.time - before.time);
    }, 0);
  return {
    outcome: 'arrived',
    time: last.time,
    place: last.place,
    endSpeed: last.speed,
    topSpeed: greatest(({ speed }) => speed),
    peakMotorCurrent: greatest(({ motorCurrent }) => motorCurrent),
    rmsMotorCurrent: Math.sqrt(mean(({ motorCurrent }) => motorCurrent ** 2) / Math.max(last.time, 1e-9)),
    peakSupplyCurrent: greatest(({ supplyCurrent }) => supplyCurrent),
    peakReturned: 0,
    leastPackVoltage: Math.min(...samples.map(({ packVoltage }) => packVoltage)),
    packEnergy: mean(({ packVoltage, supplyCurrent }) => packVoltage * supplyCurrent),
    slipped: false,
    samples,
    follows: {
      multiple: marginOf(worst),
      behindAt: lost ? { time: lost.time, place: lost.place } : undefined,
    },
  };
}
