import { readFileSync } from 'node:fs';
import {
  applyChanges,
  currentChoice,
  proposeMechanism,
  quantityOf,
  resolvePath,
  WISHES,
  type MechanismKind,
  type Plan,
  type Shelved,
} from '@rough-gear/core';
import { describe, expect, it } from 'vitest';
import { lengthAt, shareOf } from '../src/components/sketches/span.js';
import { roundLength, wholeDegrees } from '../src/composables/useFigureDrag.js';
import { JOB_FIELDS, OUTPUT_FIELDS } from '../src/views/mechanism/panels/loadFields.js';

const read = (path: string) =>
  JSON.parse(readFileSync(new URL(`../../contract/demo/${path}`, import.meta.url), 'utf8'));
const heron = read('heron.json') as Plan;
const { parts: shelf } = read('shelf.json') as { parts: Shelved[] };

const VALUES = { mass: 3, distance: 0.5, time: 1, length: 0.4, angle: 1.5, exitSpeed: 8, every: 2, across: 0.4 };
const values = Object.fromEntries(Object.entries(VALUES).map(([key, si]) => [key, quantityOf(si, String(si))]));

describe('panels', () => {
  it.each(Object.keys(WISHES) as MechanismKind[])(
    'of a %s show figures its path has, and all of its output’s',
    (kind) => {
      const { id, changes } = proposeMechanism(heron, { kind, name: kind, values }, shelf);
      const plan = applyChanges(heron, changes);
      const mechanism = plan.mechanisms.find((one) => one.id === id)!;
      for (const job of mechanism.jobs) {
        const { figures } = resolvePath(plan, mechanism, job.id);
        const { output } = currentChoice(mechanism);
        const shown = [
          ...JOB_FIELDS[job.kind].deciding,
          ...JOB_FIELDS[job.kind].rest,
          ...OUTPUT_FIELDS[output.kind].fields,
        ];
        for (const key of shown) expect(Object.keys(figures), `${kind}: ${key}`).toContain(key);
        // Nothing that can be filled in is left without a field.
        // A flywheel holds nothing: its hold is read and never asked.
        const own = Object.keys(figures).filter(
          (key) => /^(job|output)\./.test(key) && !(kind === 'thrower' && key === 'job.held'),
        );
        for (const key of own) expect(shown, `${kind}: ${key}`).toContain(key);
      }
    },
  );

  it('ask three to five numbers first', () => {
    for (const { deciding } of Object.values(JOB_FIELDS)) {
      expect(deciding.length).toBeGreaterThanOrEqual(3);
      expect(deciding.length).toBeLessThanOrEqual(5);
    }
  });
});

describe('drawings', () => {
  it('keep every length in the room, and turn a place back into its length', () => {
    for (const length of [0.01, 0.3, 2, 40]) {
      const share = shareOf(length, 1);
      expect(share).toBeGreaterThan(0);
      expect(share).toBeLessThan(1);
      if (length > 0.1 && length < 20) expect(lengthAt(share, 1)).toBeCloseTo(length, 9);
    }
    expect(lengthAt(2, 1)).toBeLessThan(40);
    expect(lengthAt(-1, 1)).toBeGreaterThan(0);
  });

  it('write what was dragged as people do', () => {
    expect(wholeDegrees(1)).toEqual({ si: (57 * Math.PI) / 180, as: '57°' });
    expect(roundLength(1.3549)).toEqual({ si: 1.35, as: '1.35 m' });
    expect(roundLength(0.0432)).toEqual({ si: 0.043, as: '43 mm' });
    expect(roundLength(0).si).toBeGreaterThan(0);
  });
});
