import { brushWear } from '../../models/motor/brushes.js';
import { freeSpeedAt } from '../../models/motor/peaks.js';
import type { Run } from '../motion/run.js';
import { operatingAt } from '../../path/powerpath/operating.js';
import { motorSpeed, type DcPath } from '../../path/powerpath/path.js';

/** Seconds of its life that one go takes off the brushes: (I/Icont)·(ω/ω0) over the run, or over a turn of throwing. */
function wornByGo(path: DcPath, run: Run): number {
  const { motor, drive, asked, load } = path;
  const rated = path.figures['motor.freeSpeed']?.value;
  const of = { steady: motor.continuousCurrent, free: rated ?? freeSpeedAt(drive.motor, path.restVoltage) };
  if (path.thrown || asked.endless) {
    const target = asked.target ?? asked.speed;
    const { motorCurrent } = operatingAt(path, load.force(0, target), target);
    return brushWear(motorCurrent, motorSpeed(path, target), of) * asked.every;
  }
  let worn = 0;
  run.samples.forEach((to, i) => {
    const from = run.samples[i - 1];
    if (!from) return;
    const speed = motorSpeed(path, (from.speed + to.speed) / 2);
    worn += brushWear((from.motorCurrent + to.motorCurrent) / 2, speed, of) * (to.time - from.time);
  });
  return worn;
}

/**
 * How long the brushes last at a job: goes, and seconds at work; both ∞ where nothing wears them.
 *
 * @example brushesLast(path, judgement.run).goes //=> 165200
 */
export function brushesLast(path: DcPath, run: Run): { readonly goes: number; readonly working: number } {
  const goes = path.motor.brushLife! / wornByGo(path, run);
  return { goes, working: goes * (path.thrown || path.asked.endless ? path.asked.every : run.time) };
}
