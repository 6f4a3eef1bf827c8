import { evaluateMechanism, type Headline } from '../../judge/evaluate/mechanism.js';
import { proposeBeside } from '../../judge/sizing/proposeChoice.js';
import type { Shelved } from '../../judge/sizing/proposal.js';
import type { WishMachine } from '../../path/job/wish.js';
import { freshLetter, putInForce } from '../../path/edits/choices.js';
import { withoutUnused } from '../../path/edits/unused.js';
import { applyChanges, type Change } from '../../plan/document/change.js';
import { LONGEST_NAME } from '../../plan/document/most.js';
import { choiceAt, mechanismById } from '../../plan/document/place.js';
import { countOf, currentChoice, partIdsOf, type Plan } from '../../plan/document/plan.js';
import { resolvePath } from '../../path/resolve/resolvePath.js';
import { foundWords, inPlace } from '../shortlist/adopt.js';
import type { ShortlistQuery } from '../shortlist/query.js';
import { rankByWeights } from '../shortlist/rank.js';
import { CHOOSING_SCHOOLS } from '../shortlist/schools.js';
import { searchShortlist } from '../shortlist/search.js';
import { gearOverJobs } from './gearOverJobs.js';

/** Another kind of machine for a mechanism's jobs, as it would stand beside the choice in force. */
export interface AnotherMachine {
  /** They put it beside; the one in force stays in force. */
  readonly changes: readonly Change[];
  /** "2 × brushed 12 V, 64 mm can at 9.4:1" */
  readonly name: string;
  /** Over all jobs. */
  readonly headline: Headline;
  /** Designs that were tried before none was found to do all jobs; absent where one does. */
  readonly none?: number;
}

const MOST_MOTORS = 4;
const [LEAST_TOTAL, MOST_TOTAL] = [1, 300];

/**
 * Proposes another kind of machine: the first idea geared over all jobs where that does them, else the best of the shelf that
 * does, and where none does the first idea, with what fails. Yields the share gone through.
 *
 * @throws where there are as many choices as are kept, or the shelf has nothing of the kind
 */
export function* anotherMachine(
  plan: Plan,
  mechanismId: string,
  machine: WishMachine,
  shelf: readonly Shelved[],
): Generator<number, AnotherMachine> {
  const letter = freshLetter(mechanismById(plan, mechanismId));
  const before = [...proposeBeside(plan, mechanismId, machine, shelf)];
  const inForce = (changes: readonly Change[]): Plan =>
    applyChanges(applyChanges(plan, changes), putInForce(plan, mechanismId, letter));
  yield 0;
  let changes: readonly Change[] = before;
  if (currentOf(inForce(before), mechanismId).drive.kind !== 'servo')
    changes = [...before, ...gearOverJobs(inForce(before), mechanismId).changes];
  const idea = inForce(changes);
  let none: number | undefined;
  if (headlineOn(idea, mechanismId).verdict === 'gives way') {
    const search = searchShortlist(idea, queryOf(idea, mechanismId), shelf);
    let latest = search.next();
    for (; !latest.done; latest = search.next()) yield latest.value.share;
    const [best] = rankByWeights(latest.value.front, CHOOSING_SCHOOLS[0]!.wants);
    if (best) changes = [...changes, ...inPlace(idea, mechanismId, best.candidate)];
    else none = latest.value.tried;
  }
  const name = nameOf(inForce(changes), mechanismId);
  const at = choiceAt(idea, mechanismById(idea, mechanismId));
  const named = [...changes, { at: [...at, 'name'], to: name }];
  const all = [...named, ...withoutUnused(plan, applyChanges(plan, named))];
  return { changes: all, name, headline: headlineOn(inForce(all), mechanismId), none };
}

const currentOf = (plan: Plan, mechanismId: string) => currentChoice(mechanismById(plan, mechanismId));

const headlineOn = (plan: Plan, mechanismId: string): Headline =>
  evaluateMechanism(plan, mechanismById(plan, mechanismId)).headline;

const queryOf = (plan: Plan, mechanismId: string): ShortlistQuery => ({
  mechanismId,
  jobId: mechanismById(plan, mechanismId).jobs[0]!.id,
  scope: 'everything',
  ownedOnly: false,
  mostMotors: MOST_MOTORS,
  packs: 'mine',
  from: LEAST_TOTAL,
  to: MOST_TOTAL,
  wants: ['margin', 'time', 'mass', 'price'],
});

/** By its motor and its total; of two alike the second says so. */
function nameOf(plan: Plan, mechanismId: string): string {
  const mechanism = mechanismById(plan, mechanismId);
  const { id, drive } = currentChoice(mechanism);
  const [motor] = partIdsOf(drive).map((part) => plan.parts[part]?.part.name ?? part);
  const { total } = resolvePath(plan, mechanism, mechanism.jobs[0]!.id).train;
  const motors = countOf(drive);
  // A servo's gears are within it.
  const whole =
    drive.kind === 'servo'
      ? `${motors === 1 ? '' : `${motors} × `}${motor}`
      : foundWords({ motors, motor: motor!, total });
  const words = whole.slice(0, LONGEST_NAME - 4);
  const taken = mechanism.choices.flatMap((choice) => (choice.id === id ? [] : [choice.name]));
  if (!taken.includes(words)) return words;
  return [2, 3, 4].map((n) => `${words} (${n})`).find((one) => !taken.includes(one))!;
}
