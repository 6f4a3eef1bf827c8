import type { DriverPart, SwitchRow } from '../../plan/document/part.js';

/** One switch on a driver's case: its number, and whether it is on. */
export interface Switch {
  readonly number: number;
  readonly on: boolean;
}

/** A row's switches, numbered from the first of its table. */
export const switchesOf = (row: SwitchRow, first: number): readonly Switch[] =>
  [...row.on].map((digit, i) => ({ number: first + i, on: digit === '1' }));

/** A driver's r.m.s. current for a setting of its switches: peaks of the sine are √2 times as great. */
export const rmsOf = (value: number, { counts }: Pick<DriverPart, 'counts'>): number =>
  counts === 'rms' ? value : value / Math.SQRT2;

/** The current setting nearest to a wanted r.m.s. current without going over it; the least where all do. */
export function currentRowFor(driver: DriverPart, wanted: number): SwitchRow | undefined {
  const rows = [...(driver.currentSwitches ?? [])].sort((a, b) => a.value - b.value);
  return rows.findLast((row) => rmsOf(row.value, driver) <= wanted * (1 + 1e-3)) ?? rows[0];
}

/** The row of a step setting. */
export const stepRowFor = ({ stepSwitches }: DriverPart, steps: number): SwitchRow | undefined =>
  stepSwitches.find(({ value }) => value === steps);

/** Which switches are set for steps and for current, by their numbers on the case. */
export function switchSettings(driver: DriverPart, steps: number, current: number | undefined): readonly Switch[] {
  const stepRow = stepRowFor(driver, steps);
  const currentRow = current === undefined ? undefined : currentRowFor(driver, current);
  return [
    ...(currentRow ? switchesOf(currentRow, driver.currentSwitchFrom ?? 1) : []),
    ...(stepRow ? switchesOf(stepRow, driver.stepSwitchFrom ?? 1) : []),
  ].sort((a, b) => a.number - b.number);
}
