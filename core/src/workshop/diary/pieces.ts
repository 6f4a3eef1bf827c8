import { entriesOf, lastOf, type DiaryEntry, type PiecesEntry } from './entry.js';

/** How far a line of the order sheet has come. */
export interface PiecesSoFar {
  readonly ordered: number;
  readonly here: number;
  readonly builtIn: number;
  /** Ordered and not here. */
  readonly onTheirWay: number;
  readonly last: PiecesEntry;
}

/** Of each line that something was said of. */
export function piecesSoFar(diary: readonly DiaryEntry[]): ReadonlyMap<string, PiecesSoFar> {
  const found = new Map<string, PiecesSoFar>();
  for (const entry of entriesOf(diary, 'pieces')) {
    const { ordered, here, builtIn } = found.get(entry.line) ?? { ordered: 0, here: 0, builtIn: 0 };
    const more = (step: PiecesEntry['step'], before: number): number =>
      Math.max(0, before + (entry.step === step ? entry.amount : 0));
    const now = { ordered: more('ordered', ordered), here: more('here', here), builtIn: more('built in', builtIn) };
    found.set(entry.line, { ...now, onTheirWay: Math.max(0, now.ordered - now.here), last: entry });
  }
  return found;
}

/** What came since: it counts as owned. */
export const cameHere = (diary: readonly DiaryEntry[]): ReadonlyMap<string, number> =>
  new Map([...piecesSoFar(diary)].map(([line, { here }]) => [line, here]));

/** Who sells a line, by the name the team gives them. */
export const suppliersOf = (diary: readonly DiaryEntry[]): ReadonlyMap<string, string> =>
  new Map(
    [...lastOf(entriesOf(diary, 'supplier'), ({ line }) => line)].map(([line, { supplier }]) => [line, supplier]),
  );

/** What money is counted in, and how much there is. */
export function moneyOf(diary: readonly DiaryEntry[]): { readonly currency: string; readonly budget?: number } {
  const last = entriesOf(diary, 'money').at(-1);
  return { currency: last?.currency ?? '', budget: last && last.budget > 0 ? last.budget : undefined };
}

/** Wheels that are bought along to try, by `SecondWheel.id`. */
export const secondsWanted = (diary: readonly DiaryEntry[]): ReadonlySet<string> =>
  new Set(
    [...lastOf(entriesOf(diary, 'second ratio'), ({ wheel }) => wheel).values()].flatMap(({ wheel, bought }) =>
      bought ? [wheel] : [],
    ),
  );
