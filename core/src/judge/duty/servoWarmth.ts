import { packCurrentOf } from '../../path/powerpath/operating.js';
import { heldForce } from '../../path/powerpath/path.js';
import { torqueAtHorn, worstHornPlace, type ServoPath } from '../../path/powerpath/servoPath.js';
import { loadedCurrent } from '../../models/servo/ratings.js';
import { secondsAtWatts, servoHeat, warmestOf } from '../../models/servo/warmth.js';
import { hoursToTwicePlay, playAfter } from '../../models/servo/wear.js';
import { SEASON_MATCHES } from './season.js';

/** What one servo holds and moves, what it draws and what warms it. */
export interface ServoWarmth {
  /** At the horn while holding: N·m (N of a linear one), its share of the stall torque, A, W. */
  readonly held: number;
  readonly share: number;
  readonly holdCurrent: number;
  readonly holdWatts: number;
  readonly moveWatts: number;
  /** How far the hold pushes the horn off, rad. */
  readonly pushedOff: number;
  /** Through the day, °C. */
  readonly winding: number;
  readonly shell: number;
  /** Seconds stalled, from cold, until its motor is at its limit. */
  readonly stalledFor: number;
  /** Hours of moving in a match. */
  readonly movingHours: number;
  /** Out of the pack in a match, all of them on this output, A·s. */
  readonly charge: number;
}

/**
 * Share of the stall current drawn for a share of the stall torque at rest. A digital servo pulses its motor so quickly that
 * the coil smooths it: what is drawn goes with the square. An analogue one pulses 50 times a second: it draws in full gulps.
 */
const drawnToHold = (signal: 'digital' | 'analogue' | undefined, share: number): number =>
  signal === 'digital' ? share ** 2 : share;

/**
 * A servo's heat through the matches. At rest all it takes stays inside; moving, what it takes less what leaves at the horn.
 */
export function servoWarmthOf(path: ServoPath): ServoWarmth {
  const { servo, asked, match, load } = path;
  const { rating, voltage, runningCurrent, idleCurrent, thermal, yields } = servo;
  const force = (q: number): number => load.force(q, asked.speed);
  const place = worstHornPlace(path, force);
  // A linkage that does not close leaves the servo stuck: all of its torque, and no way.
  const stuck = !path.linked || path.linked.short;
  const ratio = path.linked?.ratioAt(place) ?? NaN;
  const torque = stuck ? rating.stallTorque : Math.max(0, torqueAtHorn(path, force(place), place));
  const speed = stuck || ratio === 0 ? 0 : asked.speed / ratio;
  const holder = path.holder === 'brake' || path.holder === 'ratchet';
  // Losses help to hold.
  const held = holder ? 0 : stuck ? rating.stallTorque : Math.abs(torqueAtHorn(path, -heldForce(path), place));
  const share = Math.min(1, held / rating.stallTorque);
  const holdCurrent = idleCurrent + (rating.stallCurrent - idleCurrent) * drawnToHold(servo.part.signal, share);
  const holdWatts = voltage * holdCurrent;
  const moving = loadedCurrent(rating, runningCurrent, torque);
  const moveWatts = servoHeat({
    voltage,
    current: moving,
    torque: Math.min(torque, rating.stallTorque),
    speed,
  });
  const holding = share > 0 ? asked.held : 0;
  const seconds = Math.max(asked.every, asked.time + holding);
  const goes = Math.max(1, Math.floor(match.length / seconds));
  const drawn = moving * asked.time + holdCurrent * holding + idleCurrent * (seconds - asked.time - holding);
  const most = warmestOf(thermal, {
    go: [
      { seconds: asked.time, watts: moveWatts },
      { seconds: holding, watts: holdWatts },
      { seconds: seconds - asked.time - holding, watts: voltage * idleCurrent },
    ],
    goes,
    rest: match.rest,
    rounds: Math.max(1, Math.round(match.rounds)),
  });
  return {
    held,
    share,
    holdCurrent,
    holdWatts,
    moveWatts,
    pushedOff: share * yields,
    winding: most.winding,
    shell: most.shell,
    stalledFor: secondsAtWatts(thermal, voltage * rating.stallCurrent),
    movingHours: (goes * asked.time) / 3600,
    charge: goes * packCurrentOf(path, path.motors * drawn),
  };
}

/** Moving costs some of its torque, however little it holds. */
const LEAST_SHARE = 0.1;

/** How the play of a servo's gears grows at its job: hours of moving to twice of it, and what it is after a season, rad. */
export function servoWearOf(
  { servo }: ServoPath,
  { share, movingHours }: ServoWarmth,
): { readonly doublesIn: number; readonly afterSeason: number } {
  const doublesIn = hoursToTwicePlay(servo.part.gears, Math.max(share, LEAST_SHARE));
  return { doublesIn, afterSeason: playAfter(servo.slop, SEASON_MATCHES * movingHours, doublesIn) };
}
