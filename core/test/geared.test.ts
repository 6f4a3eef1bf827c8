import { describe, expect, it } from 'vitest';
import { gearedSign } from '../src/index.js';

const rpm = (value: number) => (value * 2 * Math.PI) / 60;
const PLAIN = {
  name: 'brushed 12 V, 64 mm can',
  freeSpeed: rpm(5800),
  stallTorque: 2.1,
  canDiameter: 0.064,
  torqueToBackEmfRatio: 0.94,
};

describe('a motor that may be geared already', () => {
  it('is asked about by its name, its lost torque, or its strength', () => {
    expect(gearedSign({ ...PLAIN, name: '37 mm GearMotor' })).toBe('its name says gear');
    expect(gearedSign({ ...PLAIN, torqueToBackEmfRatio: 0.7 })).toContain('gears take a share');
    expect(gearedSign({ ...PLAIN, freeSpeed: rpm(200), stallTorque: 3, canDiameter: 0.037 })).toContain(
      'strong for its can',
    );
  });

  it('is no plain motor, no slow hub motor, and none of which too little is known', () => {
    expect(gearedSign(PLAIN)).toBeUndefined();
    expect(gearedSign({ ...PLAIN, freeSpeed: rpm(300), stallTorque: 12, canDiameter: 0.11 })).toBeUndefined();
    expect(gearedSign({ ...PLAIN, freeSpeed: rpm(200), stallTorque: 3, canDiameter: undefined })).toBeUndefined();
    expect(gearedSign({ ...PLAIN, freeSpeed: NaN })).toBeUndefined();
    // A strong outrunner turns fast.
    expect(gearedSign({ ...PLAIN, freeSpeed: rpm(4500), stallTorque: 10, canDiameter: 0.05 })).toBeUndefined();
  });
});
