import type { Dimension } from '../../plan/words/dimension.js';

/** What happens to pieces of a line of the order sheet, one after the other. */
export const PIECE_STEPS = ['ordered', 'here', 'built in'] as const;
export type PieceStep = (typeof PIECE_STEPS)[number];

/** What is said of a thing that was looked at: a new part in its place begins its wear anew. */
export const CHECK_STATES = ['fine', 'fault', 'new part', 'open'] as const;
export type CheckState = (typeof CHECK_STATES)[number];

/** What a fault asks for. */
export const FAULT_ASKS = ['nothing', 'a spare', 'a trial'] as const;
export type FaultAsks = (typeof FAULT_ASKS)[number];

interface Written {
  /** Made where it was written, so that it can be sent twice and counts once. */
  readonly id: string;
  /** ISO 8601, by the clock of who wrote it. */
  readonly at: string;
  readonly who: string;
  /** ISO 8601, by the server's clock; absent until it is there. */
  readonly receivedAt?: string;
}

/** So many pieces, or metres, went a step on; fewer than nothing takes back what was said too much. */
export interface PiecesEntry extends Written {
  readonly kind: 'pieces';
  readonly line: string;
  readonly step: PieceStep;
  readonly amount: number;
  readonly note: string;
}

export interface SupplierEntry extends Written {
  readonly kind: 'supplier';
  readonly line: string;
  readonly supplier: string;
}

/** What money is counted in, and how much there is of it; 0 where nobody said. */
export interface MoneyEntry extends Written {
  readonly kind: 'money';
  readonly currency: string;
  readonly budget: number;
}

/** Another wheel is bought along to try, or not any more. */
export interface SecondRatioEntry extends Written {
  readonly kind: 'second ratio';
  readonly wheel: string;
  readonly bought: boolean;
}

/** One number or word as it stood on the card. */
export interface TypedValue {
  readonly key: string;
  readonly label: string;
  readonly value: number | string;
  readonly dimension?: Dimension;
}

/** A card was typed in as it stood. */
export interface TypedInEntry extends Written {
  readonly kind: 'typed in';
  readonly card: string;
  readonly values: readonly TypedValue[];
}

/** A kind of controller calls a setting otherwise; an empty name is the field's own again. */
export interface NamedEntry extends Written {
  readonly kind: 'named';
  readonly part: string;
  readonly key: string;
  readonly name: string;
}

export interface PlayedEntry extends Written {
  readonly kind: 'played';
  readonly match: number;
}

export interface CheckedEntry extends Written {
  readonly kind: 'checked';
  readonly match: number;
  readonly check: string;
  readonly state: CheckState;
  readonly asks: FaultAsks;
  readonly note: string;
}

/**
 * One line of a robot's diary. Entries are only ever added: what two phones wrote while neither could be reached is all of
 * it, in whatever order it comes home.
 */
export type DiaryEntry =
  PiecesEntry | SupplierEntry | MoneyEntry | SecondRatioEntry | TypedInEntry | NamedEntry | PlayedEntry | CheckedEntry;
export type DiaryKind = DiaryEntry['kind'];

/** An entry before it is written: by whom and when comes with that. */
export type DiaryDraft = DiaryEntry extends infer E ? (E extends DiaryEntry ? Omit<E, keyof Written> : never) : never;

/** After all that the server has: what is not there yet. */
const NOT_YET = '~';

/**
 * The order that decides what was said last: as the server received it, since clocks of phones may be years off; what came
 * together as it was written, and the same everywhere where two were written at once.
 */
const inOrder = (a: DiaryEntry, b: DiaryEntry): number => {
  const [first, second] = [a, b].map(({ receivedAt = NOT_YET, at, id }) => [receivedAt, at, id]) as [
    string[],
    string[],
  ];
  const differs = first.findIndex((text, i) => text !== second[i]);
  return differs < 0 ? 0 : first[differs]! < second[differs]! ? -1 : 1;
};

/**
 * Two diaries as one, each entry once, in the order in which they came.
 *
 * @example mergedDiary([], []).length //=> 0
 */
export function mergedDiary(a: readonly DiaryEntry[], b: readonly DiaryEntry[]): readonly DiaryEntry[] {
  // Of two copies the one that the server gave counts: it says when it came.
  const all = [...a, ...b].sort((x, y) => Number(x.receivedAt !== undefined) - Number(y.receivedAt !== undefined));
  return [...new Map(all.map((entry) => [entry.id, entry])).values()].sort(inOrder);
}

/** Entries of a kind, the oldest first. */
export const entriesOf = <K extends DiaryKind>(
  diary: readonly DiaryEntry[],
  kind: K,
): readonly Extract<DiaryEntry, { kind: K }>[] =>
  diary.filter((entry): entry is Extract<DiaryEntry, { kind: K }> => entry.kind === kind).sort(inOrder);

/** The last that was said of each thing. */
export const lastOf = <E>(entries: readonly E[], of: (entry: E) => string): ReadonlyMap<string, E> =>
  new Map(entries.map((entry) => [of(entry), entry]));
