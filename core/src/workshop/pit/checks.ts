import { brushesLast } from '../../judge/duty/brushes.js';
import { lastsThrough } from '../../judge/duty/lives.js';
import { daySamples } from '../../judge/duty/day.js';
import { runOf } from '../../judge/evaluate/mechanism.js';
import { lumpsFrom } from '../../models/motor/heat.js';
import { lacksOf, type DcPath } from '../../path/powerpath/path.js';
import { RUN_NEEDS } from '../../judge/motion/needs.js';
import type { Mechanism, Plan } from '../../plan/document/plan.js';
import type { AnyPath } from '../../path/powerpath/anyPath.js';
import { resolvePath } from '../../path/resolve/resolvePath.js';
import { slotsOf } from '../../judge/ledger/supplyLedger.js';
import { amount, say, type Words } from '../../plan/words/phrase.js';
import { matchWork, type MatchWork } from './matchWork.js';

/** Something to look at before a match, or after one. */
export interface PitCheck {
  /** Never changes while what it looks at is there: ticks and wear go by it. */
  readonly id: string;
  /** The mechanism's name, or the robot. */
  readonly of: string;
  readonly mechanismId?: string;
  readonly when: 'before' | 'after';
  readonly ask: string;
  /** What is right, or why it is asked. */
  readonly expect?: Words;
  /** What one match does to it, where it wears: the turns are its own shaft's. */
  readonly perMatch?: MatchWork;
  /** Matches it lasts, as far as that is known. */
  readonly lasts?: number;
}

/** Of the distance of its shafts a chain may hang through in its middle before it jumps, as a rule of thumb. */
const SLACK = 0.03;
/** A hand stays on it: cool enough to work at, and to begin again. °C */
const COOL = 45;
const LONGEST_REST = 3600;
const REST_STEP = 30;

/** What belongs to no one mechanism. */
export const THE_ROBOT = 'the robot';

type Asked = Omit<PitCheck, 'of' | 'mechanismId'>;

/** Turns of the driving shaft of a stage for one of the last shaft. */
const turnsInFront = ({ train }: AnyPath, stage: number): number =>
  train.stages.slice(stage).reduce((product, { ratio }) => product * ratio, 1);

function stageChecks(path: AnyPath, work: MatchWork): readonly Asked[] {
  return path.stageParts.flatMap((parts, i): readonly Asked[] => {
    const perMatch = { ...work, turns: work.turns * turnsInFront(path, i) };
    const at = `${path.mechanismId} ${parts.id}`;
    switch (parts.kind) {
      case 'chain':
        return [
          {
            id: `chain ${at}`,
            when: 'before',
            ask: `Chain of stage ${i + 1}: slack, stiff links, worn teeth`,
            expect: Number.isFinite(parts.centre)
              ? say`hangs through ${amount(SLACK * parts.centre, 'length', 2)} at most`
              : undefined,
            perMatch,
          },
        ];
      case 'belt':
        return [
          {
            id: `belt ${at}`,
            when: 'before',
            ask: `Belt of stage ${i + 1}: tension, teeth, edges`,
            expect: 'a finger turns it a quarter round in its middle, no more',
            perMatch,
          },
        ];
      case 'teeth':
        return [
          {
            id: `gears ${at}`,
            when: 'before',
            ask: `Gears of stage ${i + 1}: play, chipped teeth, keys and screws`,
            perMatch,
          },
        ];
      default:
        return [];
    }
  });
}

/** Seconds until the case of a motor has cooled so far that it may begin again; 0 where it never is warmer. */
function coolingOf(path: DcPath): number | undefined {
  const run = runOf(path);
  if (!run || lacksOf(path, [...RUN_NEEDS, 'heat', 'throw']).length > 0) return undefined;
  const after = daySamples(path, run).findLast(({ time }) => time <= path.match.length);
  if (!after) return undefined;
  const { thermal } = path.motor;
  if (thermal.ambient >= COOL) return undefined;
  let lumps = { winding: after.winding, shell: after.shell };
  let rested = 0;
  while ((lumps.winding > COOL || lumps.shell > COOL) && rested < LONGEST_REST) {
    lumps = { ...lumpsFrom(lumps, path.drive.motor.resistance, thermal, { squared: 0, friction: 0 }, REST_STEP) };
    rested += REST_STEP;
  }
  return rested;
}

function motorChecks(paths: readonly AnyPath[], work: MatchWork): readonly Asked[] {
  const dc = paths.filter((path): path is DcPath => path.machine === 'dc');
  const [first] = dc;
  if (!first) return [];
  const rests = dc.flatMap((path) => coolingOf(path) ?? []);
  const rest = Math.max(0, ...rests);
  const found: Asked[] = [];
  if (rest > 0)
    found.push({
      id: `cool ${first.mechanismId}`,
      when: 'after',
      ask: first.motors > 1 ? 'Motors cool enough to touch' : 'Motor cool enough to touch',
      expect: say`about ${amount(rest, 'time', 2)} after a match${rest >= LONGEST_REST ? ', or longer' : ''}; it smells burnt: not another match`,
    });
  if (first.motor.brushLife !== undefined) {
    const run = runOf(first);
    const life = run && !first.lacks.train && lastsThrough(first, run) ? brushesLast(first, run).working : Infinity;
    found.push({
      id: `brushes ${first.mechanismId}`,
      when: 'after',
      ask: 'Brushes: dust at the can, sparks, a lower free speed',
      perMatch: { ...work, turns: work.turns * first.train.total },
      lasts: work.seconds > 0 && Number.isFinite(life) ? life / work.seconds : undefined,
    });
  }
  return found;
}

function ownChecks(plan: Plan, mechanism: Mechanism): readonly Asked[] {
  const paths = mechanism.jobs.map(({ id }) => resolvePath(plan, mechanism, id));
  const [path] = paths;
  if (!path) return [];
  const work = matchWork(plan, mechanism);
  const { holder } = path;
  const found: Asked[] = [...stageChecks(path, work)];
  const before = (kind: string, ask: string, expect?: Words, wears = false): void => {
    found.push({ id: `${kind} ${mechanism.id}`, when: 'before', ask, expect, perMatch: wears ? work : undefined });
  };
  if (holder === 'ratchet')
    before('ratchet', 'Ratchet clicks, and holds with the power off', 'try it with the load on', true);
  if (holder === 'brake') before('brake', 'Brake holds with the power off', 'try it with the load on', true);
  if (paths.some(({ rope }) => rope))
    before('rope', 'Rope: frayed, flattened, knots, laid on its spool', undefined, true);
  if (paths.some(({ falls }) => falls))
    before('fall', 'Propped or let down before a hand goes in', 'what is lifted falls when the power goes');
  if (mechanism.kind === 'drive-base')
    before('wheels', 'Wheels: tread, screws, nothing wound round an axle', undefined, true);
  if (path.machine === 'servo')
    before('horn', 'Servo: horn screw, play, no hum at rest', 'a hum at rest is a stall: it burns', true);
  if (path.machine === 'step')
    before('coupling', 'Stepper: coupling screws, plugs home', 'never unplug it while it is on');
  return [...found, ...motorChecks(paths, work)];
}

/**
 * What to look at before a match and after one, made from what the mechanisms in force can lose.
 *
 * @example pitChecks(plan).length > 10 //=> true
 */
export function pitChecks(plan: Plan): readonly PitCheck[] {
  const slots = slotsOf(plan).length;
  const robot = (id: string, when: PitCheck['when'], ask: string, expect?: Words): PitCheck => ({
    id,
    of: THE_ROBOT,
    when,
    ask,
    expect,
  });
  const branches = plan.supply.filter((node) => node.kind === 'branch' || node.kind === 'main').length;
  return [
    robot('power', 'before', 'Power off before hands go in', 'everyone hears it said'),
    robot('pack', 'before', 'Pack: charged, strapped, plug home, volts at rest and under load'),
    ...(branches > 0
      ? [
          robot(
            'seats',
            'before',
            'Breakers pressed home in their seats',
            slots === 0 ? 'the main' : say`${slots} slots and the main`,
          ),
        ]
      : []),
    ...plan.mechanisms.flatMap((mechanism) =>
      ownChecks(plan, mechanism).map((check): PitCheck => ({
        ...check,
        of: mechanism.name,
        mechanismId: mechanism.id,
      })),
    ),
    robot('plugs', 'after', 'Plugs and wires: none hot, none chafed', 'a hot plug is a loose plug'),
  ];
}

/** A smaller share of a life than this is not worth a word. */
const TOLD_FROM = 0.01;

/**
 * What a thing has seen in so many matches since it was new; `undefined` where it does not wear, or saw none.
 *
 * @example wornSoFar({ perMatch: { goes: 8, seconds: 12, turns: 400 } }, 2) //=> ['16 goes, ', …]
 */
export function wornSoFar(
  { perMatch, lasts }: Pick<PitCheck, 'perMatch' | 'lasts'>,
  matches: number,
): Words | undefined {
  if (!perMatch || matches === 0 || perMatch.goes === 0) return undefined;
  const share =
    lasts === undefined || matches < TOLD_FROM * lasts
      ? ''
      : say`, about ${amount(matches / lasts, 'share', 2)} of its life`;
  return say`${amount(matches * perMatch.goes, 'number', 4)} goes, ${amount(Math.round(matches * perMatch.turns), 'number', 4)} turns, ${amount(matches * perMatch.seconds, 'time', 2)} at work since new${share}`;
}
