import {
  lineId,
  orderSheet,
  pitChecks,
  setupCards,
  valuesOf,
  type DiaryDraft,
  type DiaryEntry,
  type Plan,
} from '@rough-gear/core';

/** Matches the demo robot has played. */
const PLAYED = 5;
const FIRST_DAY = Date.UTC(2026, 10, 21, 8);
const MINUTE = 60e3;

/** A number that has the form of an id, the same each time. */
const idOf = (n: number): string => `7d2a0000-0000-4000-8001-${String(n).padStart(12, '0')}`;

/**
 * What the demo's team has done with its robot since it was planned: ordered, had come, typed in, played, ticked. Made from
 * the plan, so that it says of each card what that says; one limit was turned down since in the plan, and asks to be typed
 * in anew.
 */
export function demoDiary(plan: Plan): readonly DiaryEntry[] {
  const drafts: [who: string, draft: DiaryDraft][] = [];
  const { lines } = orderSheet(plan);
  const line = (name: RegExp): string => {
    const found = lines.find((one) => typeof one.name === 'string' && name.test(one.name));
    return found ? lineId(found) : '';
  };
  const pieces = (name: RegExp, step: 'ordered' | 'here' | 'built in', amount: number, note = ''): DiaryDraft => ({
    kind: 'pieces',
    line: line(name),
    step,
    amount,
    note,
  });
  drafts.push(
    ['Jonas', { kind: 'money', currency: 'crowns', budget: 2500 }],
    ['Jonas', { kind: 'supplier', line: line(/64 mm can/), supplier: 'the motor shop' }],
    ['Jonas', pieces(/64 mm can/, 'ordered', 9, 'two of them with long shafts')],
    ['Jonas', pieces(/40 A/, 'ordered', 11)],
    ['Mira', pieces(/64 mm can/, 'here', 6)],
    ['Mira', pieces(/64 mm can/, 'built in', 5)],
    ['Mira', pieces(/40 A/, 'here', 11)],
  );
  for (const card of setupCards(plan)) {
    if (card.kind === 'servo') continue;
    const values = valuesOf(card).map((value) =>
      card.mechanismId === 'lift' && value.key === 'packSideLimit' ? { ...value, value: 45 } : value,
    );
    drafts.push(['Mira', { kind: 'typed in', card: card.id, values }]);
  }
  for (let match = 1; match <= PLAYED; match++) drafts.push(['Jonas', { kind: 'played', match }]);
  const checks = pitChecks(plan);
  const tick = (id: string, state: 'fine' | 'fault', note = ''): DiaryDraft => ({
    kind: 'checked',
    match: PLAYED + 1,
    check: id,
    state,
    asks: state === 'fault' ? 'a spare' : 'nothing',
    note,
  });
  for (const { id } of checks.slice(0, 4)) drafts.push(['Ada', tick(id, 'fine')]);
  const rope = checks.find(({ id }) => id.startsWith('rope '));
  if (rope) drafts.push(['Ada', tick(rope.id, 'fault', 'rope of the mast frays at its knot')]);
  return drafts.map(([who, draft], i) => ({
    ...draft,
    id: idOf(i),
    at: new Date(FIRST_DAY + i * 20 * MINUTE).toISOString(),
    who,
  }));
}
