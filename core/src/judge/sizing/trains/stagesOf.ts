import { digits } from '../../../plan/words/show.js';
import type { Stage } from '../../../plan/document/stage.js';
import { chainSizeOf } from '../../../models/reduction/chainSizes.js';
import { pairStage } from './pairStage.js';
import type { TrainFound } from './search.js';
import type { WheelPair } from './wheelPair.js';

/** The stages of a train that was found. */
export const stagesOfTrain = (train: TrainFound): readonly Stage[] =>
  train.pairs.map((pair, i) => pairStage(pair, `s${i + 1}`));

/** What makes wheels of one kind fit each other, in the words they are sold by. */
function sizeWords({ kind, stock: { part } }: WheelPair): string {
  const pitch = part.pitch?.si ?? NaN;
  if (kind === 'teeth') return `gears m ${digits(1000 * pitch)}`;
  if (kind === 'chain') return `chain ${chainSizeOf(pitch)?.name ?? ''}`.trim();
  return `belt ${digits(1000 * pitch)}×${digits(1000 * (part.face?.si ?? NaN))}`;
}

/** "16 → 54 gears m 1, 18 → 48 chain No. 25" */
export function trainWords({ pairs }: TrainFound): string {
  return pairs
    .map((pair) =>
      pair.kind === 'planetary'
        ? `${digits(pair.ratio)}:1 planetary`
        : `${pair.driver} → ${pair.driven} ${sizeWords(pair)}`,
    )
    .join(', ');
}
