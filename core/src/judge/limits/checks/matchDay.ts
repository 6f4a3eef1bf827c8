import { counted } from '../../../plan/words/show.js';
import { amount, say, joined } from '../../../plan/words/phrase.js';
import { dayOf, type Day } from '../../duty/day.js';
import { windingWords } from '../../duty/lives.js';
import { div, found, mul, named, num, sqrt, sub } from '../../../path/worked/expression.js';
import { figureOf } from '../../../path/terms/pathTerms.js';
import type { DcPath } from '../../../path/powerpath/path.js';
import type { CheckRule } from '../check.js';
import { RUN_NEEDS } from '../../motion/needs.js';

/** A whole match and the ones after it, go by go: heat, breakers and charge. */

export const matchHeat: CheckRule<DcPath> = {
  id: 'match-heat',
  name: 'cool through the matches',
  link: 'motor',
  needs: ['heat', 'throw', ...RUN_NEEDS],
  run: true,
  levers: [
    'deeper',
    'shallower',
    'motors',
    'less-often',
    'held-shorter',
    'lighter',
    'less-push',
    'counterforce',
    'spring',
    'holder',
  ],
  applies: () => true,
  answer: (path, run) => {
    const { ambient, windingLimit } = path.motor.thermal;
    const { heat, goes } = dayOf(path, run!);
    const { peak, limitAt, afterMatch } = heat!;
    const at = joined(
      afterMatch.map((value) => [amount(value, 'temperature')]),
      ', ',
    );
    return {
      outcome: { multiple: (windingLimit - ambient) / Math.max(peak - ambient, 1e-3) },
      asked: windingWords(peak, windingLimit, limitAt),
      there: { value: windingLimit, dimension: 'temperature' },
      sentence:
        limitAt === undefined
          ? say`${counted(goes, 'go', 'goes')} a match: the winding ends the matches at ${at}, its limit is ${amount(windingLimit, 'temperature')}.`
          : say`The winding burns out: it is at its limit of ${amount(windingLimit, 'temperature')} after ${amount(limitAt, 'time')} of this duty.`,
      working: () =>
        named(
          'x',
          'rise allowed over the greatest rise',
          'number',
          div(
            sub(figureOf(path, 'motor.windingLimit'), figureOf(path, 'ambient')),
            sub(
              found(
                'T_{peak}',
                'hottest winding',
                'temperature',
                ambient + Math.max(peak - ambient, 1e-3),
                'the two lumps, go by go through the matches and their rests',
              ),
              figureOf(path, 'ambient'),
            ),
          ),
        ),
    };
  },
};

/** The breaker that is nearest to tripping, by its heat. */
function hottest({ branch, main }: Day) {
  if (!main || (branch && branch.peak >= main.peak)) return { name: 'branch breaker', ...branch! };
  return { name: 'main breaker', ...main };
}

export const matchBreakers: CheckRule<DcPath> = {
  id: 'match-breakers',
  name: 'breakers through the matches',
  link: 'branch',
  needs: ['branch breaker', 'main breaker', 'throw', ...RUN_NEEDS],
  run: true,
  levers: ['breaker', 'deeper', 'motors', 'less-often', 'lighter', 'longer', 'less-push', 'held-shorter'],
  applies: (path) => (path.branch.breaker ?? path.main?.breaker) !== undefined,
  answer: (path, run) => {
    const first = hottest(dayOf(path, run!));
    const { tripsAt } = first;
    const at = tripsAt === undefined ? undefined : amount(tripsAt, 'time');
    return {
      outcome: { multiple: 1 / Math.sqrt(Math.max(first.peak, 1e-6)) },
      asked: at
        ? `the ${first.name} trips`
        : say`${first.name}: ${amount(Math.min(first.peak, 10), 'share')} of what trips it`,
      there: at ? say`after ${at}` : 'stays closed',
      sentence: at
        ? say`The ${first.name} trips first, after ${at} of this duty.`
        : say`The ${first.name} is nearest to tripping, at ${amount(first.peak, 'share')} of the heat that trips it.`,
      working: () =>
        named(
          'x',
          'current that would trip it over this duty’s',
          'number',
          div(
            num(1),
            sqrt(
              found(
                '\\theta_{max}',
                `heat of the ${first.name}`,
                'share',
                Math.max(first.peak, 1e-6),
                'go by go through the matches',
              ),
            ),
          ),
        ),
    };
  },
};

export const charge: CheckRule<DcPath> = {
  id: 'charge',
  name: 'charge for a match',
  link: 'pack',
  needs: ['charge', 'throw', ...RUN_NEEDS],
  run: true,
  levers: ['parallel', 'less-often', 'deeper', 'lighter', 'held-shorter', 'holder'],
  applies: (path) => path.pack.capacity !== undefined,
  answer: (path, run) => {
    const { charge: taken } = dayOf(path, run!);
    const there = path.pack.usable * path.pack.capacity!;
    return {
      outcome: { multiple: there / Math.max(taken, 1e-6) },
      asked: { value: taken, dimension: 'charge' },
      there: { value: there, dimension: 'charge' },
      sentence: say`This mechanism alone takes ${amount(taken, 'charge')} a match; ${amount(there, 'charge')} are there to use.`,
      working: () =>
        named(
          'x',
          'usable charge over what a match takes',
          'number',
          div(
            mul(figureOf(path, 'pack.usable'), figureOf(path, 'pack.capacity')),
            found(
              'Q_m',
              'charge a match takes',
              'charge',
              Math.max(taken, 1e-6),
              'go by go, as the capacity law counts it',
            ),
          ),
        ),
    };
  },
};
