import { constantsOf, type MotorPart } from '@rough-gear/core';
import { describe, expect, it } from 'vitest';
import { motorForm } from '../src/views/mechanism/panels/motorForm.js';

const constants = {
  resistance: 0.1,
  torqueConstant: 0.02,
  backEmfConstant: 0.02,
  freeCurrent: 2,
  freeCurrentPerSpeed: 0,
};
const part: MotorPart = { kind: 'motor', name: 'm', type: 'brushed', data: { form: 'sheet' } };

describe('another form of the same motor', () => {
  it.each(['kv', 'sheet'] as const)('as %s has the same constants, marked estimated', (form) => {
    const data = motorForm(form, { ...part, data: { form: form === 'kv' ? 'sheet' : 'kv' } }, constants, 12);
    const found = constantsOf({ ...part, data })!;
    expect(found.resistance).toBeCloseTo(0.1, 9);
    expect(found.backEmfConstant).toBeCloseTo(0.02, 9);
    expect(found.torqueConstant).toBeCloseTo(0.02, 9);
    expect(Object.values(data).every((value) => typeof value === 'string' || value.source === 'estimated')).toBe(true);
  });

  it('by turns takes what is known as the reference, and asks for the turns', () => {
    const data = motorForm('turns', part, constants, 12);
    expect(data).toMatchObject({ form: 'turns', referenceKv: { si: 50 }, referenceResistance: { si: 0.1 } });
    expect(constantsOf({ ...part, data })).toBeUndefined();
  });

  it('of the same form stays as it is, and of an unknown motor starts empty', () => {
    expect(motorForm('sheet', part, constants, 12)).toBe(part.data);
    expect(motorForm('kv', part, undefined, 12)).toEqual({ form: 'kv' });
  });
});
