import { rowIdsOf, type Trial, type TrialReadings } from './trial.js';

/** Where two devices wrote something else: a line of words, a figure by its key, a cell of a row, or why a row is struck out. */
export type ClashPlace =
  | { readonly in: 'who' | 'used' | 'note' }
  | { readonly in: 'subject' | 'given' | 'said'; readonly key: string }
  | { readonly in: 'cell'; readonly rowId: string; readonly column: string }
  | { readonly in: 'struck'; readonly rowId: string };

/** What two devices wrote in one place, each without knowing of the other; absent where one took it out. */
export interface Clash {
  readonly place: ClashPlace;
  readonly mine: unknown;
  readonly theirs: unknown;
}

/** What two devices have made of one trial. */
export interface MergedTrial {
  readonly trial: Trial;
  /** A person decides these; until then `trial` has what the other device wrote. */
  readonly clashes: readonly Clash[];
}

const same = (a: unknown, b: unknown): boolean => a === b || JSON.stringify(a) === JSON.stringify(b);

/** What a value is after both changed it: whoever left it alone gives way. `clash` is told where neither did. */
function threeWay<Value>(base: Value, mine: Value, theirs: Value, clash: (mine: Value, theirs: Value) => void): Value {
  if (same(mine, theirs) || same(mine, base)) return theirs;
  if (same(theirs, base)) return mine;
  clash(mine, theirs);
  return theirs;
}

/** A row by its columns, and why it is struck out. */
interface Row {
  readonly cells: Readonly<Record<string, number | null>>;
  readonly struck: string | undefined;
}

function rowsById(trial: Trial): ReadonlyMap<string, Row> {
  const why = new Map(trial.struck.map(({ row, why: reason }) => [row, reason]));
  const columns = Object.keys(trial.readings);
  return new Map(
    rowIdsOf(trial).map((id, place): [string, Row] => [
      id,
      {
        cells: Object.fromEntries(columns.map((key) => [key, trial.readings[key]?.[place] ?? null])),
        struck: why.get(place),
      },
    ]),
  );
}

/** Rows in their order, as columns again. */
function asReadings(rows: readonly (readonly [string, Row])[], columns: readonly string[]) {
  const readings: TrialReadings = Object.fromEntries(
    columns.map((key) => [key, rows.map(([, { cells }]) => cells[key] ?? null)]),
  );
  const struck = rows.flatMap(([, row], place) => (row.struck === undefined ? [] : [{ row: place, why: row.struck }]));
  return { readings, struck, rowIds: rows.map(([id]) => id) };
}

/** A trial before anybody wrote in it: what is held against where it is not known what both began with. */
const blank = (trial: Trial): Trial => ({
  ...trial,
  who: '',
  used: '',
  note: '',
  given: {},
  said: {},
  readings: {},
  rowIds: [],
  struck: [],
});

/**
 * Brings together what two devices made of one trial: a three-way merge. Rows of both stay, theirs in front; a row that one
 * dropped is gone unless the other changed it. A figure that one of them changed is as changed; one that both changed, each
 * its own way, is a clash.
 *
 * @param base what both began with; without it every difference is a clash
 * @param mine this device's
 * @param theirs the server's
 */
export function mergeTrials(base: Trial | undefined, mine: Trial, theirs: Trial): MergedTrial {
  const before = base ?? blank(theirs);
  const clashes: Clash[] = [];
  const merged = <Value>(place: ClashPlace, was: Value, here: Value, there: Value): Value =>
    threeWay(was, here, there, (ours, others) => clashes.push({ place, mine: ours, theirs: others }));

  const words = Object.fromEntries(
    (['who', 'used', 'note'] as const).map((key) => [key, merged({ in: key }, before[key], mine[key], theirs[key])]),
  ) as Pick<Trial, 'who' | 'used' | 'note'>;
  const byKey = (part: 'subject' | 'given' | 'said') => {
    const of = (trial: Trial) => trial[part] as Readonly<Record<string, unknown>>;
    const keys = new Set([...Object.keys(of(theirs)), ...Object.keys(of(mine))]);
    const found = [...keys].map(
      (key) => [key, merged({ in: part, key }, of(before)[key], of(mine)[key], of(theirs)[key])] as const,
    );
    return Object.fromEntries(found.filter(([, value]) => value !== undefined));
  };
  const keyed = {
    subject: byKey('subject') as unknown as Trial['subject'],
    given: byKey('given') as Trial['given'],
    said: byKey('said') as Trial['said'],
  };

  const [was, here, there] = [rowsById(before), rowsById(mine), rowsById(theirs)];
  const columns = [...new Set([...Object.keys(theirs.readings), ...Object.keys(mine.readings)])];
  const row = (id: string): Row | undefined => {
    const [old, ours, others] = [was.get(id), here.get(id), there.get(id)];
    // One of them dropped it: it stays where the other wrote in it since.
    if (!ours || !others) {
      const left = ours ?? others;
      return old && same(left, old) ? undefined : left;
    }
    const cells = columns.map((column) => {
      const place = { in: 'cell', rowId: id, column } as const;
      return [
        column,
        merged(place, old?.cells[column] ?? null, ours.cells[column] ?? null, others.cells[column] ?? null),
      ];
    });
    const struck = merged({ in: 'struck', rowId: id }, old?.struck, ours.struck, others.struck);
    return { cells: Object.fromEntries(cells) as Row['cells'], struck };
  };
  const rows = [...new Set([...there.keys(), ...here.keys()])].flatMap((id): (readonly [string, Row])[] => {
    const found = row(id);
    return found ? [[id, found]] : [];
  });
  return {
    trial: { ...theirs, ...words, ...keyed, ...asReadings(rows, columns) },
    clashes,
  };
}

/** A trial with what this device wrote in the place of a clash. */
export function withMine(trial: Trial, { place, mine }: Clash): Trial {
  switch (place.in) {
    case 'who':
    case 'used':
    case 'note':
      return { ...trial, [place.in]: mine };
    case 'subject':
    case 'given':
    case 'said': {
      const { [place.key]: _, ...others } = trial[place.in] as Readonly<Record<string, unknown>>;
      return { ...trial, [place.in]: mine === undefined ? others : { ...others, [place.key]: mine } };
    }
    case 'struck': {
      const at = rowIdsOf(trial).indexOf(place.rowId);
      const others = trial.struck.filter(({ row }) => row !== at);
      if (at < 0 || mine === undefined) return { ...trial, struck: others };
      return { ...trial, struck: [...others, { row: at, why: String(mine) }].sort((a, b) => a.row - b.row) };
    }
    case 'cell': {
      const before = trial.readings[place.column] ?? [];
      const column = rowIdsOf(trial).map((id, row) =>
        id === place.rowId ? (mine as number | null) : (before[row] ?? null),
      );
      return { ...trial, readings: { ...trial.readings, [place.column]: column } };
    }
  }
}

/** How many rows of a trial another one does not have. */
export function rowsBeside(mine: Trial, theirs: Trial): number {
  const there = new Set(rowIdsOf(theirs));
  return rowIdsOf(mine).filter((id) => !there.has(id)).length;
}
