import { describe, expect, it } from 'vitest';
import { optoCurrent, resistorAtLeast, signalFit, transistorStage } from '../src/index.js';

const input = { ledForward: 1.2, inputResistance: 270, needCurrent: 0.01, ratedSignal: 5 };

describe('an opto input', () => {
  it('draws nothing under its diode, and (V − Vf)/R above', () => {
    expect(optoCurrent(input, 1)).toBe(0);
    expect(optoCurrent(input, 5)).toBeCloseTo(3.8 / 270, 12);
  });

  it('gets too little light from 3.3 V, and enough from 5 V that the pin cannot give', () => {
    expect(signalFit(input, { signalVoltage: 3.3, pinCurrent: 0.012 })).toMatchObject({
      enoughLight: false,
      pinCanGive: true,
      seriesResistor: 0,
    });
    expect(signalFit(input, { signalVoltage: 5, pinCurrent: 0.012 })).toMatchObject({
      enoughLight: true,
      pinCanGive: false,
    });
  });

  it('wants a series resistor at a higher level, that brings the current back', () => {
    const { seriesResistor } = signalFit(input, { signalVoltage: 24, pinCurrent: 0.02 });
    expect((24 - 1.2) / (270 + seriesResistor)).toBeCloseTo(optoCurrent(input, 5), 12);
  });
});

describe('the small transistor stage', () => {
  it('keeps the gate’s current within what the pin may give, and lights the input', () => {
    const stage = transistorStage(input, { signalVoltage: 3.3, pinCurrent: 0.008 }, 5);
    expect(3.3 / stage.gateResistor).toBeLessThanOrEqual(0.008);
    expect(stage.inputCurrent).toBeGreaterThan(input.needCurrent);
    expect(stage.seriesResistor).toBe(0);
    expect(3.3 / stage.alarmPullUp).toBeLessThan(0.001);
    expect(stage.pullDown).toBeGreaterThan(100 * stage.gateResistor);
  });

  it('puts a resistor before an input fed from more than it is made for', () => {
    const stage = transistorStage(input, { signalVoltage: 3.3, pinCurrent: 0.008 }, 12);
    expect(stage.seriesResistor).toBeGreaterThan(0);
    expect(stage.inputCurrent).toBeLessThanOrEqual(optoCurrent(input, 5));
    expect(stage.inputCurrent).toBeGreaterThan(input.needCurrent);
  });

  it('takes resistors that can be bought', () => {
    expect([0, 10, 10.1, 412.5, 470, 821, 1000, 99999].map(resistorAtLeast)).toEqual([
      10, 10, 12, 470, 470, 1000, 1000, 100000,
    ]);
  });
});
