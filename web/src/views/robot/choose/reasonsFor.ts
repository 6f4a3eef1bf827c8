import {
  freshAmong,
  mechanismById,
  currentChoice,
  applyChanges,
  showMultiple,
  type JointSchool,
  type JointSums,
  type MarchedChoice,
  type Plan,
  type Reason,
} from '@rough-gear/core';

/** The log's lines for a choice that was made for all at once: one for each mechanism that changes. */
export function reasonsFor(
  plan: Plan,
  { taken, choice, changes }: MarchedChoice,
  today: JointSums,
  school: JointSchool,
): readonly Reason[] {
  const writtenAt = new Date().toISOString();
  const ids = new Set((plan.reasons ?? []).map(({ id }) => id));
  const after = applyChanges(plan, changes);
  return taken.flatMap(({ mechanism, found, label, margin }): readonly Reason[] => {
    if (!found) return [];
    const id = freshAmong(ids, 'reason');
    ids.add(id);
    const there = mechanismById(after, mechanism);
    const was = mechanismById(plan, mechanism);
    return [
      {
        id,
        writtenAt,
        mechanism,
        job: there.jobs[0]!.id,
        choice: there.current,
        chosen: `${label}, ${showMultiple(margin)}`.slice(0, 200),
        over: currentChoice(was).name.slice(0, 200),
        claims: [],
        why: `Chosen for all mechanisms at once, ${school.name}: ${sumsText(choice)} for ${sumsText(today)}.`,
      },
    ];
  });
}

const sumsText = ({ mass, price, motors }: JointSums): string =>
  `${mass.toFixed(2)} kg, ${Math.round(price)} to spend, ${motors} motors`;
