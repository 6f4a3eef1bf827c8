/** Bounds of what rows come to. */
export type Rows = Record<string, { readonly min?: number; readonly max?: number; readonly equal?: number }>;

interface Model {
  /** Whether the objective is to be greatest; least otherwise. */
  readonly greatest: boolean;
  /** A row: what it comes to is to be best. */
  readonly objective: string;
  readonly rows: Rows;
  /** What one of each variable adds to each row. None is below nought. */
  readonly variables: Readonly<Record<string, Readonly<Record<string, number>>>>;
  /** Variables that are 0 or 1. */
  readonly binaries: readonly string[];
}

/**
 * An integer programme in the LP format that solvers read. Variables are named by their place but those that are names
 * already, a term stands on a line, and rows that nothing adds to are left out unless that breaks their bounds.
 *
 * @example lpText({ greatest: false, objective: 'mass', rows: {}, variables: { x: { mass: 2 } }, binaries: ['x'] })
 * //=> 'Minimize\n obj:\n + 2 x\nSubject To\nBinary\n x\nEnd\n'
 */
export function lpText({ greatest, objective, rows, variables, binaries }: Model): string {
  const names = new Map(Object.keys(variables).map((id, i) => [id, /^\w+$/.test(id) ? id : `v${i}`]));
  const termsOf = (row: string): string =>
    Object.entries(variables)
      .filter(([, adds]) => (adds[row] ?? 0) !== 0)
      .map(([id, adds]) => `\n ${adds[row]! < 0 ? '-' : '+'} ${Math.abs(adds[row]!)} ${names.get(id)}`)
      .join('');
  const nothing = `\n + 0 ${names.values().next().value}`;
  const bounds = Object.entries(rows).flatMap(([row, { min, max, equal }], r) => {
    const terms = termsOf(row) || nothing;
    return [
      ...(equal === undefined ? [] : [` e${r}:${terms} = ${equal}`]),
      ...(min === undefined ? [] : [` l${r}:${terms} >= ${min}`]),
      ...(max === undefined ? [] : [` g${r}:${terms} <= ${max}`]),
    ];
  });
  return [
    greatest ? 'Maximize' : 'Minimize',
    ` obj:${termsOf(objective) || nothing}`,
    'Subject To',
    ...bounds,
    'Binary',
    ...binaries.map((id) => ` ${names.get(id)}`),
    'End',
    '',
  ].join('\n');
}
