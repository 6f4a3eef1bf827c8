/** enough: at least the wanted margin. tight: at least 1×. gives way: under 1×. not known: a figure is missing. */
export type Verdict = 'enough' | 'tight' | 'gives way' | 'not known';

const SEVERITY: Readonly<Record<Verdict, number>> = { enough: 0, 'not known': 1, tight: 2, 'gives way': 3 };

/** The verdict of a multiple against the margin wanted; under `floor` it gives way. */
export function verdictOf(multiple: number, wants: number, floor = 1): Verdict {
  if (multiple < floor) return 'gives way';
  return multiple < wants ? 'tight' : 'enough';
}

/** The worst of some verdicts; `enough` where there are none. */
export function worstVerdict(verdicts: readonly Verdict[]): Verdict {
  return verdicts.reduce<Verdict>(
    (worst, verdict) => (SEVERITY[verdict] > SEVERITY[worst] ? verdict : worst),
    'enough',
  );
}
