import type { Words } from '../../../plan/words/phrase.js';
import type { Need } from '../../../plan/figures/figure.js';
import type { PowerPath } from '../../../path/powerpath/path.js';
import type { StageParts } from '../../../path/powerpath/stageParts.js';
import { div, found, mul, named, num, type Expression } from '../../../path/worked/expression.js';
import type { Limit, LimitId } from '../limit.js';
import type { LeverId } from '../leverId.js';
import { SITUATIONS, situationOf, type Situation, type SituationId } from '../situation.js';

/**
 * Torque on the driving shaft of a stage for one unit of force on q: through losses while the motor pushes,
 * and lowered by them while the load pushes back.
 */
export function torqueBefore(path: PowerPath, index: number, back: boolean): number {
  let torque = path.radius;
  for (let i = path.train.stages.length - 1; i >= index; i--) {
    const { ratio, efficiency, backEfficiency } = path.train.stages[i]!;
    torque *= back ? backEfficiency / ratio : 1 / (ratio * efficiency);
  }
  return torque;
}

/** Speed of the driving shaft of a stage. rad/s */
function speedBefore(path: PowerPath, index: number, motorSpeed: number): number {
  return path.train.stages.slice(0, index).reduce((speed, { ratio }) => speed / ratio, motorSpeed);
}

/**
 * A first pair of gears, or a gearbox on the motor, carries one motor's torque; all behind it carry all of them. Where
 * each motor has a train of its own, every stage is there as often as motors are.
 */
const sharedBy = (path: PowerPath, { index, kind }: StageParts): number =>
  path.apart ?? (index === 0 && kind !== 'chain' && kind !== 'belt' ? path.motors : 1);

interface StageRule<S extends StageParts> {
  readonly id: LimitId;
  readonly name: string;
  readonly subject: string;
  readonly wants: number;
  wantsHere?(path: PowerPath, situation: SituationId): number;
  floor?(path: PowerPath): number;
  readonly need: Need;
  readonly also?: Need;
  readonly levers: readonly LeverId[];
  /** Whether a stage has this limit at all. */
  has(parts: StageParts): parts is S;
  /** Torque on its driving shaft at which it gives, N·m. */
  torque(parts: S, at: { readonly speed: number; readonly path: PowerPath; readonly back: boolean }): number;
  /** How that torque comes about, with its numbers. */
  how(parts: S): Words;
}

/** What of a situation a stage feels: how fast its shafts turn, and which way the push comes through. */
type Pushing = Pick<Situation, 'motorSpeed' | 'back'>;

/** A limit that can also be asked of one stage alone. */
export interface StageLimit extends Limit {
  has(parts: StageParts): boolean;
  /** C of this stage, whether or not it is the one that gives first. */
  capacityOf(path: PowerPath, parts: StageParts, situation: Situation): number;
}

/** Torque a stage stands on its driving shaft. */
const torqueOf = <S extends StageParts>(
  rule: StageRule<S>,
  path: PowerPath,
  parts: S,
  { motorSpeed, back }: Pushing,
): number => rule.torque(parts, { speed: speedBefore(path, parts.index, motorSpeed), path, back });

/** The force it stands at the output. */
const capacityOf = <S extends StageParts>(rule: StageRule<S>, path: PowerPath, parts: S, situation: Pushing): number =>
  (sharedBy(path, parts) * torqueOf(rule, path, parts, situation)) / torqueBefore(path, parts.index, situation.back);

/** The stage that gives at the least force. */
function worstOf<S extends StageParts>(rule: StageRule<S>, path: PowerPath, situation: Pushing): S | undefined {
  let least: { parts: S; capacity: number } | undefined;
  for (const parts of path.stageParts) {
    if (!rule.has(parts)) continue;
    const capacity = capacityOf(rule, path, parts, situation);
    if (!least || capacity < least.capacity) least = { parts, capacity };
  }
  return least?.parts;
}

/** A limit that every stage of a kind has for itself: the one that gives at the least force leads. */
export function stageLimit<S extends StageParts>(rule: StageRule<S>): StageLimit {
  const { id, name, subject, wants, wantsHere, floor, need, also, levers, has } = rule;
  return {
    id,
    name,
    subject,
    link: 'stage',
    wants,
    wantsHere,
    floor,
    goodFirst: false,
    electric: false,
    situations: SITUATIONS,
    levers,
    needs: () => (also ? [need, also, 'train', 'output', 'load'] : [need, 'train', 'output', 'load']),
    applies: (path) => path.stageParts.some(has),
    has,
    capacityOf: (path, parts, situation) => (has(parts) ? capacityOf(rule, path, parts, situation) : Infinity),
    stage: (path, situation) => worstOf(rule, path, situationOf(path, situation)),
    capacity: (path, situation) => {
      const parts = worstOf(rule, path, situation);
      return parts ? capacityOf(rule, path, parts, situation) : Infinity;
    },
    working: (path, situation) => workingOf(rule, path, worstOf(rule, path, situation)!, situation),
  };
}

function workingOf<S extends StageParts>(
  rule: StageRule<S>,
  path: PowerPath,
  parts: S,
  situation: Situation,
): Expression {
  const carried = found(
    'T',
    `what stage ${parts.index + 1} carries at its driving shaft`,
    'torque',
    torqueOf(rule, path, parts, situation),
    rule.how(parts),
  );
  const per = found(
    'k',
    'torque there for each unit of force at the output',
    'number',
    torqueBefore(path, parts.index, situation.back),
    situation.back
      ? 'the radius over the ratios behind it, lowered by the losses while the load pushes back'
      : 'the radius over the ratios and losses behind it',
  );
  const share = sharedBy(path, parts);
  return named(
    'C',
    `what ${rule.name} stands at the output`,
    path.load.unit === 'm' ? 'force' : 'torque',
    div(share === 1 ? carried : mul(num(share), carried), per),
  );
}
