import { BRUSH_SPREAD } from '../../../models/motor/brushes.js';
import { brushesLast } from '../../duty/brushes.js';
import { dayOf } from '../../duty/day.js';
import { burnsOutAfter, burnsOutWords, lastsThrough } from '../../duty/lives.js';
import { RUN_NEEDS } from '../../motion/needs.js';
import type { DcPath } from '../../../path/powerpath/path.js';
import { SEASON_MATCHES } from '../../duty/season.js';
import { amount, say } from '../../../plan/words/phrase.js';
import { counted, digits } from '../../../plan/words/show.js';
import type { CheckRule } from '../check.js';

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
    const last = brushesLast(path, run!);
    if (!Number.isFinite(last.goes))
      return {
        outcome: { note: true },
        asked: counted(goes, 'go', 'goes'),
        there: 'does not turn',
        sentence: 'The motor does not turn here: nothing wears its brushes, and standing under current burns them.',
      };
    if (!lastsThrough(path, run!)) {
      const burns = burnsOutAfter(path, run!) ?? Infinity;
      return {
        outcome: { note: true },
        asked: counted(goes, 'go', 'goes'),
        there: burns === Infinity ? 'does not arrive' : burnsOutWords(burns),
        sentence:
          burns === Infinity
            ? 'The job is not done: how long its brushes would last at it means nothing.'
            : say`The winding burns out after ${amount(burns, 'time')} of this duty, long before its brushes are worn.`,
      };
    }
    const matches = last.goes / goes;
    const work = last.working / 3600;
    const { source } = path.figures['motor.brushLife']!;
    const spread =
      source === 'typical'
        ? `: typical, ${digits(work / BRUSH_SPREAD, 2)} to ${digits(work * BRUSH_SPREAD, 2)} h; sand, heat and sparks end them sooner`
        : '';
    return {
      // Where even the worst of them outlast a season there is nothing to know before the rest.
      outcome: matches / BRUSH_SPREAD >= SEASON_MATCHES ? { holds: true } : { note: true },
      asked: counted(goes, 'go', 'goes'),
      there: `${digits(work, 2)} h`,
      sentence: say`The brushes last about ${digits(work, 2)} h of this work, ${digits(matches, 2)} matches${spread}.`,
    };
  },
};
