import { amount, say, type Words } from '../../../plan/words/phrase.js';
import { offExpected, type Concluded, type FoundFigure } from '../conclusion.js';
import { FOUND, type Expected } from '../found.js';
import { readingsOf, type Trial } from '../trial.js';
import { trialSheet, type TrialKind } from '../trials.js';
import { concludeDragOffset, concludeLeastSpeed, concludeRamp, concludeStepLadder } from './edges.js';
import { concludeCoastDown, concludeFreeRun, concludeSpun, concludeStall } from './motor.js';
import { concludeGo } from './go.js';
import { concludeLoggedGo, concludeMatchLog } from './loggedGo.js';
import { concludePack, concludePull, concludeWarmth } from './packAndPull.js';
import { concludeServoCurrents, concludeServoLine } from './servo.js';
import type { Conclude } from './work.js';

const CONCLUDE: Readonly<Record<TrialKind, Conclude>> = {
  'free-run': concludeFreeRun,
  stall: concludeStall,
  spun: concludeSpun,
  'coast-down': concludeCoastDown,
  pack: concludePack,
  pull: concludePull,
  'step-ladder': concludeStepLadder,
  'servo-currents': concludeServoCurrents,
  'servo-line': concludeServoLine,
  warmth: concludeWarmth,
  'least-speed': concludeLeastSpeed,
  'drag-offset': concludeDragOffset,
  ramp: concludeRamp,
  go: concludeGo,
  'logged-go': concludeLoggedGo,
  'match-log': concludeMatchLog,
};

/** Nearer than this to what was expected is called the same. */
const SAME = 0.02;
/** Further than so many standard errors is no chance. */
const NO_CHANCE = 2;

/** What stands out against sheet or estimate, in a sentence each; or that nothing does. */
function compared(figures: readonly FoundFigure[]): readonly Words[] {
  const told = figures.filter(({ expected }) => expected !== undefined);
  if (told.length === 0) return [];
  const off = told.flatMap((figure): readonly Words[] => {
    const { share, errors } = offExpected(figure)!;
    if (share === undefined || Math.abs(share) < SAME) return [];
    const { name } = FOUND[figure.key];
    const way = share > 0 ? 'over' : 'under';
    const how: Words =
      errors === undefined
        ? ''
        : Math.abs(errors) < NO_CHANCE
          ? ', which these readings cannot tell from chance'
          : say`, ${Math.abs(errors).toFixed(1)} standard errors`;
    return [
      say`${name[0]!.toUpperCase()}${name.slice(1)} is ${amount(Math.abs(share), 'share', 2)} ${way} what was expected${how}.`,
    ];
  });
  return off.length > 0 ? off : ['It is as was expected, within 2 %.'];
}

const struckWords = ({ struck }: Trial): readonly Words[] =>
  struck.map(({ row, why }) => `Reading ${row + 1} is struck out${why === '' ? '' : `: ${why}`}.`);

/**
 * What a trial comes to so far: its fit, what is off it, and what that says beside sheet or estimate. Says what is wanted
 * where that cannot be told yet. Never throws.
 *
 * @param expected what sheet or estimate says of the same figures
 * @example concludeTrial(packTrial, {}).ok //=> true …
 */
export function concludeTrial(trial: Trial, expected: Expected): Concluded {
  const sheet = trialSheet(trial.kind);
  const readings = readingsOf(trial);
  const kept = readings.filter(({ struck }) => !struck).map(({ at }) => at);
  if (kept.length < sheet.fewest)
    return { ok: false, wants: `${sheet.fewest} whole readings or more; ${kept.length} so far.` };
  const missing = sheet.given.find(({ key }) => trial.given[key] === undefined);
  if (missing) return { ok: false, wants: `${missing.label}: ${missing.how}.` };
  try {
    const conclusion = CONCLUDE[trial.kind]({
      readings,
      kept,
      expected,
      given: (key) => trial.given[key]!.si,
      said: (key) => trial.said[key] ?? sheet.said.find((one) => one.key === key)!.options[0],
    });
    const bad = conclusion.figures.some(({ measured }) => !Number.isFinite(measured.value));
    if (bad) return { ok: false, wants: 'readings that differ more: these do not tell the figures.' };
    return {
      ok: true,
      conclusion: { ...conclusion, says: [...compared(conclusion.figures), ...conclusion.says, ...struckWords(trial)] },
    };
  } catch (problem) {
    if (problem instanceof Error) return { ok: false, wants: `${problem.message}.` };
    throw problem;
  }
}
