import type { DiaryEntry, PieceStep } from '@rough-gear/core';
import { whenText } from '../../../../components/diary/whenText.js';

const WORDS: Readonly<Record<PieceStep, string>> = { ordered: 'ordered', here: 'came', 'built in': 'built in' };

/** What was said of a line, the newest in front. */
export function entriesFor(
  diary: readonly DiaryEntry[],
  line: string,
  count: (value: number) => string,
): readonly { readonly id: string; readonly text: string }[] {
  return diary
    .flatMap((entry) => {
      const by = [whenText(entry.at), entry.who].filter(Boolean).join(', ');
      if (entry.kind === 'supplier' && entry.line === line)
        return [{ id: entry.id, text: `${by}: ${entry.supplier ? `sold by ${entry.supplier}` : 'no seller'}` }];
      if (entry.kind !== 'pieces' || entry.line !== line) return [];
      const taken = entry.amount < 0 ? 'taken back: ' : '';
      const what = `${taken}${count(Math.abs(entry.amount))} ${WORDS[entry.step]}`;
      return [{ id: entry.id, text: `${by}: ${[what, entry.note].filter(Boolean).join('; ')}` }];
    })
    .reverse();
}
