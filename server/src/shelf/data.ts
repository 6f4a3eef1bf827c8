import { readFileSync } from 'node:fs';
import { partSchema, readPlanText, type ShelfPart } from '@rough-gear/contract';
import { readTrial } from '@rough-gear/contract/bench';
import type { Plan, Trial } from '@rough-gear/core';
import { root } from '../root.js';

const folder = new URL('contract/demo/', root);

/** A part that ships: what the team says of it comes later. */
export type ShippedPart = Pick<ShelfPart, 'id' | 'revision' | 'part'>;

let shelf: readonly ShippedPart[] | undefined;

/** The generic parts that ship with the application. Throws where the file holds something else. */
export function readShelf(): readonly ShippedPart[] {
  if (!shelf) {
    const file = JSON.parse(readFileSync(new URL('shelf.json', folder), 'utf8')) as { parts: ShippedPart[] };
    for (const { id, part } of file.parts) {
      const { error } = partSchema.validate(part, { convert: false });
      if (error) throw new Error(`shelf part ${id}: ${error.message}`);
    }
    shelf = file.parts;
  }
  return shelf;
}

/** The demo's bench book: its robots go by their names. */
export function readDemoBook(): readonly { readonly id: string; readonly trial: Trial }[] {
  const file = JSON.parse(readFileSync(new URL('bench-book.json', folder), 'utf8')) as {
    trials: { id: string; trial: unknown }[];
  };
  return file.trials.map(({ id, trial }) => {
    const read = readTrial(trial);
    if (!read.ok) throw new Error(`demo trial ${id}: ${JSON.stringify(read.problems)}`);
    return { id, trial: read.trial };
  });
}

/** The demo robots, in the order they are made. */
export function readDemo(): readonly Plan[] {
  return ['limpet', 'heron'].map((file) => {
    const read = readPlanText(readFileSync(new URL(`${file}.json`, folder), 'utf8'));
    if (!read.ok) throw new Error(`demo ${file}: ${JSON.stringify(read.problems)}`);
    return read.plan;
  });
}
