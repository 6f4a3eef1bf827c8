import {
  backEfficiency,
  drivePoint,
  lift,
  settleShared,
  simulateMatch,
  loadJointSolver,
  solveJoint,
  type Drive,
  type LaneOn,
  type MovedJob,
} from '@rough-gear/core';
import { driveOf, type DriveGiven } from './driveOf.js';
import type { Got } from './got.js';

/** Reference cases of what shares one pack. */

interface Sharing {
  readonly pack: { readonly voltage: number; readonly resistance: number };
  readonly otherCurrent: number;
}
type Shared = Omit<DriveGiven, 'pack'>;

/** A drive on volts of its own: the pack's resistance is shared, and stands in front of all. */
const onVolts = (given: Shared, voltage: number): Drive => driveOf({ ...given, pack: { voltage, resistance: 0 } });

function sharedPack(given: Sharing & { readonly drives: readonly (Shared & { readonly motorSpeed: number })[] }): Got {
  const { pack, otherCurrent, drives } = given;
  const pointsAt = (volts: number) =>
    drives.map((drive) => ({ motors: drive.motors, ...drivePoint(onVolts(drive, volts), drive.motorSpeed) }));
  const drawn = (volts: number) =>
    pointsAt(volts).reduce((sum, { motors, supplyCurrent }) => sum + motors * supplyCurrent, otherCurrent);
  const { volts } = settleShared({ rest: pack.voltage, resistance: pack.resistance }, drawn);
  return Object.fromEntries([
    ['packVoltage', volts],
    ...pointsAt(volts).flatMap(({ motors, motorCurrent, supplyCurrent }, i) => [
      [`motorCurrent${i}`, motorCurrent],
      [`supplyCurrentTotal${i}`, motors * supplyCurrent],
    ]),
  ]) as Got;
}

type LiftGiven = Shared & {
  readonly reduction: number;
  readonly efficiency: number;
  readonly mass: number;
  readonly drumRadius: number;
  readonly friction: number;
  readonly ropeTravel: number;
  readonly startAt: number;
};

function liftLane(given: LiftGiven, name: string, { pack }: Sharing): LaneOn {
  const { reduction, efficiency, drumRadius, ropeTravel } = given;
  const job: MovedJob = {
    kind: 'moved',
    system: {
      drive: onVolts(given, pack.voltage),
      packResistance: pack.resistance,
      total: reduction,
      efficiency,
      backEfficiency: backEfficiency(efficiency),
      radius: drumRadius,
      load: lift({ mass: given.mass, slope: Math.PI / 2, friction: given.friction, counterforce: 0, loadPerRope: 1 }),
      until: { travel: ropeTravel },
    },
    asked: {
      travel: ropeTravel,
      time: 60,
      every: 60,
      held: 0,
      shock: 1,
      speed: 0,
      acceleration: 0,
      profile: 'moving',
      workingSeconds: 60,
      dutyShare: 1,
      perCoordinate: 1,
    },
    holdCurrent: 0,
  };
  return {
    mechanism: name,
    name,
    jobs: new Map([['lift', job]]),
    branchResistance: 0,
    motors: given.motors,
    brushless: false,
  };
}

interface MatchGiven extends Sharing {
  readonly until: number;
  readonly mainBreaker: { readonly rated: number; readonly holdMultiple: number; readonly timeConstant: number };
  readonly drives: readonly LiftGiven[];
}

function match(given: MatchGiven): Got {
  const { pack, otherCurrent, until, mainBreaker, drives } = given;
  const lanes = drives.map((drive, i) => liftLane(drive, `lift ${i}`, given));
  const result = simulateMatch(
    {
      pack: {
        resistance: pack.resistance,
        mainResistance: 0,
        capacityExponent: 1,
        usable: 1,
        floor: NaN,
        brownOut: NaN,
        main: { holds: mainBreaker.rated * mainBreaker.holdMultiple, timeConstant: mainBreaker.timeConstant },
        restAt: () => pack.voltage,
      },
      lanes,
    },
    {
      id: 'case',
      name: 'case',
      counts: true,
      parts: [{ name: 'all', seconds: until }],
      lanes: drives.map(({ startAt }, i) => ({
        mechanism: `lift ${i}`,
        goes: [{ id: `go ${i}`, job: 'lift', when: { kind: 'at', time: startAt } }],
      })),
      draws: [{ id: 'others', name: 'others', current: otherCurrent, from: 0 }],
    },
  );
  return Object.fromEntries([
    ['leastPackVoltage', result.leastVolts.volts],
    ['packEnergy', result.energy],
    ['charge', result.flowed],
    ['mainBreakerHeat', result.end.main],
    ...result.lanes.map(({ energy }, i) => [`energyShare${i}`, energy]),
    ...result.goes.map(({ lane, ended }) => [`arrives${lane}`, ended ?? NaN]),
  ]) as Got;
}

interface ChoiceGiven {
  readonly mechanisms: readonly {
    readonly options: readonly { readonly mass: number; readonly price: number; readonly motors: number }[];
  }[];
  readonly mostPrice: number;
  readonly mostMotors: number;
}

const solver = await loadJointSolver();

/** The lightest within two ceilings. */
function robotChoice({ mechanisms, mostPrice, mostMotors }: ChoiceGiven): Got {
  const alike = { pieces: [], slots: 0, kind: '', charge: 0, peak: 0, margin: 1, coolness: 1 };
  const options = mechanisms.map((one) => one.options.map((option, i) => ({ ...alike, ...option, key: String(i) })));
  const choice = solveJoint(solver, { options, ceilings: { price: mostPrice, motors: mostMotors }, want: 'mass' });
  if (!choice) return { possible: false };
  const { mass, price, motors } = choice;
  return { possible: true, mass, price, motors };
}

/** The family of the whole robot on one pack. */
export const ROBOT = { 'shared-pack': sharedPack, match, 'robot-choice': robotChoice };
