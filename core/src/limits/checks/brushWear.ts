import { BRUSH_SPREAD, brushWear as wearAt } from '../../motor/brushes.js';
import { freeSpeedAt } from '../../motor/peaks.js';
import { dayOf } from '../../duty/day.js';
import type { Run } from '../../motion/run.js';
import { RUN_NEEDS } from '../../motion/needs.js';
import { operatingAt } from '../../powerpath/operating.js';
import { motorSpeed, type DcPath } from '../../powerpath/path.js';
import { say } from '../../words/phrase.js';
import { counted, digits } from '../../words/show.js';
import type { CheckRule } from '../check.js';

/** Seconds of its life that one go takes off the brushes: (I/Icont)·(ω/ω0) over the run, or over a turn of throwing. */
function wornByGo(path: DcPath, run: Run): number {
  const { motor, drive, asked, load } = path;
  const rated = path.figures['motor.freeSpeed']?.value;
  const of = { steady: motor.continuousCurrent, free: rated ?? freeSpeedAt(drive.motor, path.restVoltage) };
  if (path.thrown) {
    const target = asked.target ?? 0;
    const { motorCurrent } = operatingAt(path, load.force(0, target), target);
    return wearAt(motorCurrent, motorSpeed(path, target), of) * asked.every;
  }
  let worn = 0;
  run.samples.forEach((to, i) => {
    const from = run.samples[i - 1];
    if (!from) return;
    const speed = motorSpeed(path, (from.speed + to.speed) / 2);
    worn += wearAt((from.motorCurrent + to.motorCurrent) / 2, speed, of) * (to.time - from.time);
  });
  return worn;
}

/** How long open brushes last at this work: worth knowing, never a verdict, since real ones differ three times either way. */
export const brushWear: CheckRule<DcPath> = {
  id: 'brush-wear',
  name: 'brushes last',
  link: 'motor',
  needs: ['continuous', 'heat', 'throw', ...RUN_NEEDS],
  run: true,
  levers: [],
  applies: ({ motor }) => motor.brushLife !== undefined,
  answer: (path, run) => {
    const { goes } = dayOf(path, run!);
    const goesInAll = path.motor.brushLife! / wornByGo(path, run!);
    const matches = goesInAll / goes;
    const { source } = path.figures['motor.brushLife']!;
    const work = (goesInAll * (path.thrown ? path.asked.every : run!.time)) / 3600;
    const spread =
      source === 'typical'
        ? `: typical, ${digits(work / BRUSH_SPREAD, 2)} to ${digits(work * BRUSH_SPREAD, 2)} h; sand, heat and sparks end them sooner`
        : '';
    return {
      outcome: { note: true },
      asked: counted(goes, 'go', 'goes'),
      there: `${digits(work, 2)} h`,
      sentence: say`The brushes last about ${digits(work, 2)} h of this work, ${digits(matches, 2)} matches${spread}.`,
    };
  },
};
