import { amount, say } from '../../../../plan/words/phrase.js';
import type { ServoPath } from '../../../../path/powerpath/servoPath.js';
import { div, found, mul, named, num, type Expression } from '../../../../path/worked/expression.js';
import { figureOf } from '../../../../path/terms/pathTerms.js';
import { askedAbout, type RailServo } from '../../../../models/servo/rail.js';
import type { CheckRule } from '../../check.js';

/** What a rail must be for all the servos that hang on it. */

const RAIL = ['rail', 'motor', 'pack'] as const;

const railVolts = (path: ServoPath): Expression =>
  path.rail.source === 'pack'
    ? found('V_{full}', 'pack off the charger', 'voltage', path.rail.full, 'its cells full')
    : figureOf(path, 'rail.voltage');

/** The fullest volts against the servo that stands least. */
export const railVoltsFull: CheckRule<ServoPath> = {
  id: 'volts-full',
  name: 'no servo gets too many volts',
  link: 'rail',
  needs: [...RAIL, 'window'],
  run: false,
  levers: ['rail-volts-down'],
  applies: () => true,
  answer: (path) => {
    const { rail, servo } = path;
    const asked = rail.servos.filter((one) => askedAbout(one, rail.full));
    // One that fails for certain speaks before those that are only asked about.
    const judged = rail.servos.filter((one) => !asked.includes(one));
    const weakest = weakestOf(judged.some(({ highestVoltage }) => highestVoltage < rail.full) ? judged : rail.servos);
    const ratings = new Set(rail.servos.map(({ highestVoltage }) => highestVoltage));
    const mixed = ratings.size > 1 ? ' Servos of different ratings share it: the least of them counts.' : '';
    const above = servo.rating.above ? ' It is above this servo’s highest rating, which is never rated up.' : '';
    if (askedAbout(weakest, rail.full))
      return {
        outcome: { note: true },
        asked: { value: rail.full, dimension: 'voltage' },
        there: say`rated up to ${amount(weakest.highestVoltage, 'voltage')}`,
        sentence: say`The servos of ${weakest.name} are rated up to ${amount(weakest.highestVoltage, 'voltage')}, and what more they stand is not said; ${amount(rail.full, 'voltage')} of two full cells are usual for such servos. Look into the sheet, and type its highest volts.`,
      };
    return {
      outcome: { multiple: weakest.highestVoltage / rail.full },
      asked: { value: rail.full, dimension: 'voltage' },
      there: { value: weakest.highestVoltage, dimension: 'voltage' },
      sentence: say`${rail.source === 'pack' ? 'Off the charger the pack puts' : 'The rail puts'} ${amount(rail.full, 'voltage')} on every servo; the servos of ${weakest.name} stand ${amount(weakest.highestVoltage, 'voltage')}.${mixed}${above}`,
      hint: 'A regulator for the volts of the weakest servo, or a rail of its own for it.',
      working: () =>
        named(
          'x',
          'highest volts of the weakest servo over the rail’s',
          'number',
          div(
            found(
              'V_{high}',
              `highest volts of ${weakest.name}`,
              'voltage',
              weakest.highestVoltage,
              'the least on this rail',
            ),
            railVolts(path),
          ),
        ),
    };
  },
};

const weakestOf = (servos: readonly RailServo[]): RailServo =>
  servos.reduce((weakest, one) => (one.highestVoltage < weakest.highestVoltage ? one : weakest));

/** Share of its lowest rating's volts below which a servo's controller gives up, typical. */
const LETS_GO = 0.8;

/** The rail with everything moving, against what a servo still works at. */
export const railVoltsLeast: CheckRule<ServoPath> = {
  id: 'volts-least',
  name: 'volts left while all move',
  link: 'rail',
  needs: RAIL,
  run: false,
  levers: ['rail-volts'],
  applies: () => true,
  answer: (path) => {
    const { rail, servo } = path;
    const there = Math.max(0, rail.budget.voltsMoving);
    const asked = LETS_GO * servo.lowestPoint;
    const below = there < servo.lowestPoint ? ': torque and speed are scaled down with the volts' : '';
    return {
      outcome: { multiple: there / asked },
      asked: { value: asked, dimension: 'voltage' },
      there: { value: there, dimension: 'voltage' },
      sentence: say`With everything on it moving the rail has ${amount(there, 'voltage')}. This servo is rated from ${amount(servo.lowestPoint, 'voltage')} on${below}; under ${amount(asked, 'voltage')} it typically gives up.`,
      hint: 'Thicker and shorter servo leads, or more volts within what the servos stand.',
      working: () =>
        named(
          'x',
          'volts there over what it works at',
          'number',
          div(
            found('V', 'rail with everything moving', 'voltage', there, 'its volts less what its wires drop'),
            mul(
              num(LETS_GO, 'typical'),
              found('V_{low}', 'lowest rating', 'voltage', servo.lowestPoint, 'of this servo’s sheet'),
            ),
          ),
        ),
    };
  },
};

/** All moving at once against what the rail gives for long. */
export const railMoving: CheckRule<ServoPath> = {
  id: 'rail-moving',
  name: 'all may move at once',
  link: 'rail',
  needs: RAIL,
  run: false,
  levers: ['stronger-rail', 'lighter'],
  applies: () => true,
  answer: (path) => {
    const { budget, continuous } = path.rail;
    return {
      outcome: { multiple: continuous / Math.max(budget.moving, 1e-9) },
      asked: { value: budget.moving, dimension: 'current' },
      there: { value: continuous, dimension: 'current' },
      sentence: say`${path.rail.servos.length === 1 ? 'Its one servo takes' : `Its ${path.rail.servos.length} servos take`} ${amount(budget.idle, 'current')} idle and ${amount(budget.moving, 'current')} moving ${path.rail.servos.length === 1 ? 'its load' : 'their loads'}; the rail gives ${amount(continuous, 'current')} for long.`,
      hint: 'A greater regulator, a second rail, or servos that take turns.',
      working: () =>
        named(
          'x',
          'what the rail gives over what moving takes',
          'number',
          div(
            figureOf(path, 'rail.continuous'),
            found('I_{moving}', 'all moving', 'current', budget.moving, 'servo by servo, each with its load'),
          ),
        ),
    };
  },
};

/** All stalled against the burst, or which may stall. */
export const railStalled: CheckRule<ServoPath> = {
  id: 'rail-stalled',
  name: 'stalls are borne',
  link: 'rail',
  needs: RAIL,
  run: false,
  levers: ['stronger-rail'],
  applies: () => true,
  answer: (path) => {
    const { budget, burst, servos } = path.rail;
    const all = budget.stallsAllowed === servos.length;
    const counted = countNames(budget.mayStall);
    const sentence = all
      ? say`${servos.length === 1 ? 'Stalled it takes' : `All ${servos.length} stalled take`} ${amount(budget.stalled, 'current')}; the burst of ${amount(burst, 'current')} bears ${servos.length === 1 ? 'it' : 'them'}.`
      : budget.stallsAllowed === 0
        ? say`Not one of them may stall while the others move: the burst is ${amount(burst, 'current')}.`
        : say`All stalled would take ${amount(budget.stalled, 'current')}. Within the burst of ${amount(burst, 'current')} these may stall together while the others move: ${counted}. Turning round at full speed takes twice the stall current for a moment.`;
    const one = oneStalled(path);
    return {
      // One stalled servo must be borne; all of them is the comfortable answer.
      outcome: { multiple: burst / Math.max(one, 1e-9) },
      asked: { value: one, dimension: 'current' },
      there: { value: burst, dimension: 'current' },
      sentence,
      hint: 'A greater burst, or end stops and soft limits so that servos do not stall.',
      working: () =>
        named(
          'x',
          'burst over what one stalled and the others moving take',
          'number',
          div(
            figureOf(path, 'rail.burst'),
            found('I', 'one stalled, the others moving', 'current', one, 'the greediest of them'),
          ),
        ),
    };
  },
};

/** The greediest stalled while the others move. */
const oneStalled = ({ rail }: ServoPath): number =>
  rail.budget.moving + Math.max(0, ...rail.servos.map(({ stalled, moving }) => stalled - moving));

/** "Grip, 3 of Legs" */
function countNames(names: readonly string[]): string {
  const counts = new Map<string, number>();
  names.forEach((name) => counts.set(name, (counts.get(name) ?? 0) + 1));
  return [...counts].map(([name, count]) => (count === 1 ? name : `${count} of ${name}`)).join(', ');
}

/** A logic board's pin feeds no servo. */
export const railSource: CheckRule<ServoPath> = {
  id: 'rail-source',
  name: 'not fed by a logic board',
  link: 'rail',
  needs: [],
  run: false,
  levers: ['rail-regulator'],
  applies: () => true,
  answer: ({ rail }) => ({
    outcome: { holds: rail.source !== 'board' },
    asked: 'a regulator or a pack',
    there: rail.source === 'board' ? 'a board’s pin' : rail.source,
    sentence:
      rail.source === 'board'
        ? 'A logic board’s pin gives milliamperes and goes down with the first servo that moves: feed the servos from a regulator, and let the pin send pulses only.'
        : 'The board sends pulses only; the servos are fed by their own supply.',
    hint: 'A regulator of its own for the servos, on the pack.',
  }),
};

/** Pulses mean nothing between two grounds. */
export const railGround: CheckRule<ServoPath> = {
  id: 'rail-ground',
  name: 'common ground',
  link: 'rail',
  needs: [],
  run: false,
  levers: ['join-grounds'],
  applies: () => true,
  answer: ({ rail }) => ({
    outcome: { holds: !rail.apart },
    asked: 'joined to the board’s',
    there: rail.apart ? 'apart' : 'joined',
    sentence: rail.apart
      ? 'The rail’s ground is apart from the board’s: pulses have no level there, and the servos twitch. Join the grounds, never the plus leads.'
      : 'Its ground is joined to the board’s, as pulses need it.',
  }),
};
