import { readFileSync } from 'node:fs';
import type { ShelfPart } from '@rough-gear/contract/api';
import type { MotorPart, PackPart } from '@rough-gear/core';
import { describe, expect, it } from 'vitest';
import { partSummary } from '../src/views/mechanism/panels/partSummary.js';
import { newStage, STAGE_NAMES } from '../src/views/mechanism/panels/stageKinds.js';
import type { StageKind } from '@rough-gear/core';

const shelf = (
  JSON.parse(readFileSync(new URL('../../contract/demo/shelf.json', import.meta.url), 'utf8')) as {
    parts: ShelfPart[];
  }
).parts;
const part = (id: string) => shelf.find((item) => item.id === id)!.part;

describe('a part in one line', () => {
  it.each([
    ['motor-brushed-64', '12 V · 5800 rpm · 2.1 N·m · 118 A stall'],
    ['motor-outrunner-380', '380 Kv · 42 mΩ · 1.1 A free'],
    ['pack-lead-18', '6S1P · 18 Ah · 180 A out'],
    ['controller-brushed-40', 'brushed · 6.5 V–28 V · motor-side 60 A, pack-side 40 A'],
    ['controller-plain-15', 'brushed · 5 V–16 V · no current limit'],
    ['breaker-snap-40', 'snap-action · 40 A'],
  ])('%s', (id, line) => {
    expect(partSummary(part(id))).toBe(line);
  });

  it('has a question mark for what is missing', () => {
    const motor = part('motor-outrunner-380') as MotorPart;
    const { resistance: _gone, ...data } = motor.data as Extract<MotorPart['data'], { form: 'kv' }>;
    expect(partSummary({ ...motor, data })).toContain(' · ? · ');
    const { dischargeLimit: _none, ...pack } = part('pack-lead-18') as PackPart;
    expect(partSummary(pack)).toContain('no discharge limit given');
  });
});

describe('a new stage', () => {
  it.each(Object.keys(STAGE_NAMES) as StageKind[])('of kind %s has an id no other has', (kind) => {
    const first = newStage(kind, []);
    const second = newStage(kind, [first]);
    expect([first.kind, second.id === first.id]).toEqual([kind, false]);
    expect(newStage(kind, [{ ...first, id: 's2' }]).id).toBe('s3');
  });
});
