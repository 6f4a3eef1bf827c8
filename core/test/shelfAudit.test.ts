import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { CELLS, constantsOf, type Part, type PartKind, type Shelved } from '../src/index.js';

/** Every part that ships, held against physics: what a sheet could not say of a real part is not said here either. */
const shelf = (
  JSON.parse(readFileSync(new URL('../../contract/demo/shelf.json', import.meta.url), 'utf8')) as { parts: Shelved[] }
).parts;
const of = <K extends PartKind>(kind: K) =>
  shelf.map(({ part }) => part).filter((part): part is Extract<Part, { kind: K }> => part.kind === kind);
const within = (value: number | undefined, least: number, most: number, name: string) => {
  if (value === undefined) return;
  expect(value, name).toBeGreaterThanOrEqual(least);
  expect(value, name).toBeLessThanOrEqual(most);
};

describe('The parts that ship', () => {
  it('are sixty and more, of every kind, each under a name of its own', () => {
    expect(shelf.length).toBeGreaterThanOrEqual(60);
    expect(new Set(shelf.map(({ id }) => id)).size).toBe(shelf.length);
    expect(new Set(shelf.map(({ part }) => `${part.kind} ${part.name}`)).size).toBe(shelf.length);
  });

  it('of motors lose no energy and make none: Kt and Ke agree as far as sheets do', () => {
    for (const motor of of('motor')) {
      const constants = constantsOf(motor);
      expect(constants, motor.name).toBeDefined();
      const { torqueConstant, backEmfConstant, resistance, freeCurrent } = constants!;
      // A stall torque is stated with friction and heat in it: a tenth and more apart is usual, half is not.
      within(torqueConstant / backEmfConstant, 0.6, 1.15, `${motor.name}: Kt over Ke`);
      within(freeCurrent * resistance * backEmfConstant, 0, Infinity, motor.name);
      const volts = motor.data.form === 'sheet' ? motor.data.ratedVoltage!.si : 12;
      const stall = volts / resistance;
      within(freeCurrent / stall, 0.001, 0.2, `${motor.name}: free current over stall current`);
      // Output power can be no more than the greatest there is, and a kilogram of motor gives 0.02 to 8 kW.
      const peak = (torqueConstant * (stall - freeCurrent) * (volts / backEmfConstant)) / 4;
      if (motor.mass && motor.data.form === 'sheet')
        within(peak / motor.mass.si, 20, 8000, `${motor.name}: watts a kilogram`);
      within(motor.shaftDiameter?.si, 0.001, (motor.canDiameter?.si ?? 0.1) / 2, `${motor.name}: shaft`);
    }
  });

  it('of one frame in several windings keep what a winding cannot change', () => {
    const wound = of('motor').filter(({ data }) => data.form === 'turns');
    expect(wound.length).toBeGreaterThanOrEqual(3);
    const frameOf = ({ slots, length }: (typeof wound)[number]) => `${slots} ${length!.si}`;
    for (const frame of new Set(wound.map(frameOf))) {
      const constants = wound
        .filter((motor) => frameOf(motor) === frame)
        .map((motor) => {
          const { torqueConstant, resistance } = constantsOf(motor)!;
          return torqueConstant / Math.sqrt(resistance);
        });
      expect(constants.length, frame).toBeGreaterThanOrEqual(2);
      for (const km of constants) expect(km / constants[0]!, frame).toBeCloseTo(1, 6);
    }
  });

  it('of controllers have a window that opens upwards, and pack-side limits no greater than motor-side ones', () => {
    for (const part of of('controller')) {
      expect(part.highestVoltage!.si, part.name).toBeGreaterThan(part.lowestVoltage!.si);
      if (part.supplyLimit && part.statorLimit)
        expect(part.supplyLimit.si, part.name).toBeLessThanOrEqual(part.statorLimit.si);
      within(part.resistance?.si, 0.0002, 0.2, part.name);
    }
  });

  it('of packs hold what their mass can hold, and give what their resistance lets them', () => {
    for (const pack of of('pack')) {
      if (pack.chemistry === 'bench') {
        const watts = pack.voltage!.si * pack.dischargeLimit!.si;
        within(watts / pack.mass!.si, 50, 600, `${pack.name}: W a kilogram`);
        continue;
      }
      const volts = pack.series * CELLS[pack.chemistry].nominal;
      const energy = (volts * (pack.capacity?.si ?? 0)) / 3600;
      within(energy / pack.mass!.si, 15, 280, `${pack.name}: Wh a kilogram`);
      if (!pack.cellResistance || !pack.dischargeLimit) continue;
      const sag = (pack.dischargeLimit.si * pack.cellResistance.si * pack.series) / pack.parallel;
      within(sag / volts, 0, 0.6, `${pack.name}: sag at its greatest current`);
    }
  });

  it('of steppers give the torque their current and size can, and stall no hotter than they stand', () => {
    for (const part of of('stepper')) {
      const loss = 2 * part.ratedCurrent!.si ** 2 * part.phaseResistance!.si;
      within(loss, 1, 60, `${part.name}: watts at the rated current`);
      within(part.holdingTorque!.si / part.mass!.si, 0.4, 3, `${part.name}: N·m a kilogram`);
      within(part.phaseInductance!.si / part.phaseResistance!.si, 2e-4, 2e-2, `${part.name}: L/R`);
      within((part.detentTorque?.si ?? 0) / part.holdingTorque!.si, 0, 0.15, `${part.name}: detent`);
    }
    for (const part of of('step-servo')) {
      expect(part.peakTorque!.si).toBeGreaterThanOrEqual(part.ratedTorque!.si);
      within((part.ratedTorque!.si * part.ratedSpeed!.si) / part.mass!.si, 20, 600, `${part.name}: watts a kilogram`);
    }
  });

  it('of drivers and boards take the volts they say, with a switch for each setting of its own', () => {
    for (const part of of('driver')) {
      expect(part.highestVoltage!.si, part.name).toBeGreaterThan(part.lowestVoltage!.si);
      for (const rows of [part.stepSwitches, part.currentSwitches ?? []])
        expect(new Set(rows.map(({ on }) => on)).size, part.name).toBe(rows.length);
    }
    for (const part of of('board')) within(part.pinVoltage!.si, 1.8, 5.5, part.name);
  });

  it('of servos are stronger and faster at more volts, and no stronger than their size lets them', () => {
    for (const part of of('servo')) {
      const strength = part.points.map(({ stallTorque, stallForce }) => (stallTorque ?? stallForce)!.si);
      const volts = part.points.map(({ voltage }) => voltage!.si);
      for (let i = 1; i < volts.length; i++) {
        expect(volts[i]!, part.name).toBeGreaterThan(volts[i - 1]!);
        expect(strength[i]!, part.name).toBeGreaterThanOrEqual(strength[i - 1]!);
      }
      if (part.motion !== 'linear' && part.mass)
        within(Math.max(...strength) / part.mass.si, 3, 80, `${part.name}: N·m a kilogram`);
    }
  });

  it('of breakers, wires, chains and wheels are in the order of their size', () => {
    for (const part of of('breaker')) within(part.rated!.si, 1, 200, part.name);
    const wires = [...of('wire')].sort((a, b) => a.gauge!.si - b.gauge!.si);
    for (let i = 1; i < wires.length; i++) expect(wires[i]!.mass!.si).toBeLessThan(wires[i - 1]!.mass!.si);
    // A metre of copper of its gauge weighs this much; insulation adds to it, and cannot take away.
    for (const wire of wires) {
      const diameter = 0.000127 * 92 ** ((36 - wire.gauge!.si) / 39);
      within(wire.mass!.si / ((Math.PI / 4) * diameter ** 2 * 8960), 0.95, 6, `${wire.name}: mass over copper alone`);
    }
    for (const chain of of('chain')) within(chain.strength!.si / chain.pitch!.si ** 2, 6e7, 1.1e8, chain.name);
    for (const series of of('series')) {
      expect(
        [...series.sizes].sort((a, b) => a - b),
        series.name,
      ).toEqual(series.sizes);
      within(series.pitch?.si, 0.0003, 0.02, series.name);
    }
  });
});
