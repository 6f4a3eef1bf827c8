import { digits } from '../format/show.js';
import { countOf, partIdsOf, type Choice, type Mechanism, type Plan } from '../plan/plan.js';
import { pathOf } from './choiceDifferences.js';

/** A choice by what it is made of: "2 × brushed 12 V, 64 mm can, brushed controller 40 A, 9.4:1". */
export function choiceWords(plan: Plan, mechanism: Mechanism, choice: Choice): string {
  const [motor, ...others] = partIdsOf(choice.drive).map((id) => plan.parts[id]?.part.name ?? id);
  const count = countOf(choice.drive);
  const { total } = pathOf(plan, mechanism, choice, mechanism.jobs[0]!.id).train;
  return [
    `${count === 1 ? '' : `${count} × `}${motor}`,
    ...others,
    Number.isFinite(total) ? `${digits(total, 3)}:1` : 'total not known',
  ].join(', ');
}
