import { BETWEEN_COLUMNS } from './columns.js';
import type { Entry, SheetLine } from './entries.js';
import { figuresIn } from './figures.js';

/** So many labels in a row are the head of a table. */
const HEAD = 3;

/**
 * A head of labels with one line of values under it, as shops list a single model: each label with what stands under it.
 * Of several models nothing is read: which of them is meant, nobody said.
 */
export function transposedEntries(lines: readonly SheetLine[], known: (label: string) => boolean): readonly Entry[] {
  return lines.flatMap(({ line }, i): readonly Entry[] => {
    const head = line.split(BETWEEN_COLUMNS);
    if (head.filter((cell) => known(cell)).length < HEAD || figuresIn(line).length > 1) return [];
    const [row, after] = [lines[i + 1], lines[i + 2]];
    const cells = row?.line.split(BETWEEN_COLUMNS) ?? [];
    if (!row || cells.length !== head.length || after?.line.split(BETWEEN_COLUMNS).length === head.length) return [];
    return head.flatMap((label, j) => (known(label) ? [{ ...row, label, value: cells[j]! }] : []));
  });
}
