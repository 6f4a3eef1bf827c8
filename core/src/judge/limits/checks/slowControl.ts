import { amount, say } from '../../../plan/words/phrase.js';
import { drivePoint } from '../../../models/controller/drivePoint.js';
import {
  LEAST_ERPM,
  leastBrushlessSpeed,
  leastCountedSpeed,
  leastSteadySpeed,
  START_SECONDS,
  START_SHARE,
  startTorque,
} from '../../../models/controller/leastSpeed.js';
import type { StartStyle } from '../../../plan/document/part.js';
import { heldForce, worstStartingPlace, type DcPath } from '../../../path/powerpath/path.js';
import { add, div, found, max, mul, named, num, pow, sub } from '../../../path/worked/expression.js';
import {
  efficiencyOf,
  figureOf,
  freeCurrentOf,
  inertiaOf,
  leverOf,
  motorsOf,
  resistingOf,
  torqueConstantOf,
} from '../../../path/terms/pathTerms.js';
import type { CheckRule } from '../check.js';

/** Creeping, starting under load and holding still: what a drive does where it turns slowly or not at all. */

/**
 * Least speed the motor keeps steadily, rad/s of its shaft; never 0. `start` is the way it starts, its own where absent.
 *
 * @example leastMotorSpeed(path) //=> 3.598
 */
export function leastMotorSpeed({ motor, controller, control, drive, settling }: DcPath, start?: StartStyle): number {
  const steady = leastSteadySpeed(drive, controller.dutyStep, motor.detent);
  const counted = control.mode === 'lock' && settling?.counts ? leastCountedSpeed(settling.counts) : 0;
  const blindly =
    motor.type === 'brushed'
      ? 0
      : leastBrushlessSpeed(start ? LEAST_ERPM[start] * RPM : controller.leastErpm, motor.polePairs ?? 1);
  return Math.max(steady, counted, blindly);
}

/**
 * The same on the job's coordinate.
 *
 * @example leastOutputSpeed(path) //=> 0.008795
 */
export const leastOutputSpeed = (path: DcPath): number => (leastMotorSpeed(path) * path.radius) / path.train.total;

const RPM = Math.PI / 30;

const blind = (path: DcPath): boolean => path.motor.type === 'brushless' && path.controller.startStyle !== 'sensors';

const WHY: Readonly<Record<StartStyle, string>> = {
  sensors: 'below that friction stalls it now and then',
  forced: 'below that it loses step and surges to catch up',
  bump: 'below that it loses step, stops and has to be bumped again',
};

export const creep: CheckRule<DcPath> = {
  id: 'creep',
  name: 'creeps steadily',
  link: 'controller',
  needs: ['creep', 'motor', 'pack', 'wiring', 'controller', 'train', 'output', 'load', 'job'],
  run: false,
  levers: ['deeper'],
  applies: (path) => path.asked.creep !== undefined,
  answer: (path) => {
    const asked = path.asked.creep!;
    const least = leastOutputSpeed(path);
    const dimension = path.load.unit === 'm' ? ('velocity' as const) : ('speed' as const);
    const k = path.asked.perCoordinate;
    const why = WHY[path.motor.type === 'brushed' ? 'sensors' : path.controller.startStyle];
    return {
      outcome: { multiple: asked / least },
      asked: { value: asked * k, dimension },
      there: { value: least * k, dimension },
      sentence: say`The slowest it keeps is ${amount(least * k, dimension)}; ${why}. Asked is ${amount(asked * k, dimension)}.`,
      hint: blind(path)
        ? 'A motor and controller with sensors, or a brushed motor, creeps slower.'
        : 'More reduction, or a motor that runs freer, creeps slower.',
      working: () => {
        const slowest = found(
          '\\omega_{least}',
          'least speed of the motor',
          'speed',
          leastMotorSpeed(path),
          'from friction’s scatter and detent, its least step of duty, how it starts, and what is counted',
        );
        const wanted = figureOf(path, path.load.unit === 'm' ? 'job.creep' : 'job.turnCreep');
        const onCoordinate = k === 1 ? wanted : div(wanted, figureOf(path, 'output.loadPerRope'));
        return named('x', 'speed asked over the slowest', 'number', div(onCoordinate, div(slowest, leverOf(path))));
      },
    };
  },
};

/** (Kt·(ks·I − I0) − T_load)·0.3 s ≥ J·ω_least, all on the shaft of one motor. */
export const startsLoaded: CheckRule<DcPath> = {
  id: 'starts-loaded',
  name: 'starts under load',
  link: 'controller',
  needs: ['creep', 'motor', 'rotor', 'pack', 'wiring', 'controller', 'train', 'output', 'load', 'job'],
  run: false,
  levers: ['stator-limit', 'deeper', 'motors', 'lighter', 'less-push', 'counterforce'],
  applies: blind,
  answer: (path) => {
    const { drive, train, radius, load } = path;
    const style = path.controller.startStyle;
    const place = worstStartingPlace(path);
    const lever = train.total / radius;
    const atRest = drivePoint(drive, 0).motorCurrent;
    // Its magnets hold it in place until it is under way.
    const loadTorque =
      Math.max(0, load.force(place, 0)) / (drive.motors * lever * train.efficiency) + path.motor.detent;
    const spare = startTorque(drive.motor, atRest, style) - loadTorque;
    const inertia = drive.rotorInertia + load.inertia(place) / (drive.motors * lever ** 2 * train.efficiency);
    const asked = inertia * leastMotorSpeed(path);
    const there = Math.max(0, spare) * START_SECONDS;
    // Found, the step lets all of the torque in at once: what the gears feel.
    const whole = drive.motor.torqueConstant * Math.max(0, atRest - drive.motor.freeCurrent);
    return {
      outcome: spare > 0 ? { multiple: there / asked } : { holds: false },
      asked: 'to be in step within 0.3 s',
      there: spare > 0 ? say`in ${amount(asked / spare, 'time')}` : 'no torque to spare',
      sentence:
        spare > 0
          ? say`Without sensors ${amount(START_SHARE[style], 'share')} of the torque is there at the start; it is in step after ${amount(asked / spare, 'time')}, and must be within 0.3 s. In step, ${amount(whole, 'torque', 2)} come at once: gears and chain feel that knock, and again whenever it loses step and finds it.`
          : say`Without sensors only ${amount(START_SHARE[style], 'share')} of the torque is there at the start, less than load and detent take: it jerks and does not start.`,
      hint: 'A motor and controller with sensors, or a brushed motor, starts with all its torque.',
      working:
        spare > 0
          ? () => {
              const current = found('I', 'current at rest', 'current', atRest, 'volts and limits at no speed');
              const torque = mul(
                torqueConstantOf(path),
                max(num(0), sub(mul(num(START_SHARE[style], 'share at the start'), current), freeCurrentOf(path))),
              );
              const share = div(
                max(num(0), resistingOf(path, place)),
                mul(motorsOf(path), leverOf(path), efficiencyOf(path)),
              );
              const turning = add(
                figureOf(path, 'motor.rotorInertia'),
                div(inertiaOf(path), mul(motorsOf(path), pow(leverOf(path), 2), efficiencyOf(path))),
              );
              const slowest = found(
                '\\omega_{least}',
                'least speed of the motor',
                'speed',
                leastMotorSpeed(path),
                'from how it starts',
              );
              return named(
                'x',
                'turning there over turning needed in 0.3 s',
                'number',
                div(
                  mul(max(num(0), sub(torque, share, figureOf(path, 'motor.detentTorque'))), num(START_SECONDS, 's')),
                  mul(turning, slowest),
                ),
              );
            }
          : undefined,
    };
  },
};

/** A motor without sensors has no hold at rest. */
export const holdsStill: CheckRule<DcPath> = {
  id: 'holds-still',
  name: 'holds still under load',
  link: 'controller',
  needs: ['load', 'output', 'train'],
  run: false,
  levers: ['holder'],
  applies: (path) => blind(path) && path.holder !== 'brake' && path.holder !== 'ratchet' && heldForce(path) > 0,
  answer: (path) => {
    const stays = path.train.stays;
    return {
      outcome: { holds: stays },
      asked: 'must stay where it is',
      there: stays ? 'a stage stays' : 'loses step at rest',
      sentence: stays
        ? 'A stage of the train stays by itself: the motor need not hold.'
        : 'Without sensors the controller cannot hold at rest: it loses step, and the load runs back.',
      hint: 'A motor and controller with sensors, a brake, or a stage that stays by itself.',
    };
  },
};
