import { displayText } from '@rough-gear/contract/units';
import { readFileSync } from 'node:fs';
import type { ShelfPart } from '@rough-gear/contract/api';
import type { MotorPart, PackPart } from '@rough-gear/core';
import { describe, expect, it } from 'vitest';
import { partSummary } from '../src/views/mechanism/panels/partSummary.js';

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
    ['stepper-57', '1.2 N·m · 2.8 A a phase · 900 mΩ, 2.5 mH'],
    ['step-servo-57', '0.4 N·m to 1800 rpm · 1.15 N·m for a moment · 12 V'],
    ['driver-mid', 'for steppers · 9 V–42 V · 3 A r.m.s. · 200000 /s pulses'],
    ['board-3v3', 'pins 3.3 V, 8 mA · 100000 /s pulses'],
    ['servo-strong', '3.4 N·m, 545 °/s at 8.4 V · digital · steel gears'],
    ['servo-linear-50', '45 N, 0.02 m/s at 6 V · digital · plastic gears'],
  ])('%s', (id, line) => {
    expect(partSummary(part(id), displayText)).toBe(line);
  });

  it('has a question mark for what is missing', () => {
    const motor = part('motor-outrunner-380') as MotorPart;
    const { resistance: _gone, ...data } = motor.data as Extract<MotorPart['data'], { form: 'kv' }>;
    expect(partSummary({ ...motor, data }, displayText)).toContain(' · ? · ');
    const { dischargeLimit: _none, ...pack } = part('pack-lead-18') as PackPart;
    expect(partSummary(pack, displayText)).toContain('no discharge limit given');
  });
});
