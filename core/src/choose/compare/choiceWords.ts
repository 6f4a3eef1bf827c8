import { digits } from '../../plan/words/show.js';
import { countOf, partIdsOf, type Choice, type Mechanism, type Plan } from '../../plan/document/plan.js';
import type { StageKind } from '../../plan/document/stage.js';
import { pathOf } from './choiceDifferences.js';

const STAGE_WORDS: Readonly<Record<StageKind, string>> = {
  ratio: 'a gearbox',
  teeth: 'gears',
  chain: 'chain',
  belt: 'belt',
  planetary: 'a planetary',
  worm: 'a worm',
  screw: 'a screw',
};

/**
 * A choice by what it is made of: "2 × brushed 12 V, 64 mm can, brushed controller 40 A, 9.4:1 by gears, chain".
 *
 * @example choiceWords(plan, mast, currentChoice(mast)) //=> 'brushed 12 V, 64 mm can, brushed controller 40 A, 9:1 by gears, chain'
 */
export function choiceWords(plan: Plan, mechanism: Mechanism, choice: Choice): string {
  const [motor, ...others] = partIdsOf(choice.drive).map((id) => plan.parts[id]?.part.name ?? id);
  const count = countOf(choice.drive);
  const { total } = pathOf(plan, mechanism, choice, mechanism.jobs[0]!.id).train;
  const kinds = choice.stages.map(({ kind }) => STAGE_WORDS[kind]).join(', ');
  return [
    `${count === 1 ? '' : `${count} × `}${motor}`,
    ...others,
    Number.isFinite(total) ? `${digits(total, 3)}:1${kinds === '' ? '' : ` by ${kinds}`}` : 'total not known',
  ].join(', ');
}
