import type { TrialKind } from '@rough-gear/core';

/** One thing on the bench, left to right: drawn as what it is, its name under it. */
export interface BenchThing {
  readonly shape: 'pack' | 'meter' | 'box' | 'motor' | 'wheel' | 'scale' | 'servo' | 'slope' | 'watch' | 'drill';
  readonly letter?: string;
  readonly name: string;
  /** What joins it to the next: two leads, a shaft or rope, nothing. */
  readonly to?: 'leads' | 'shaft';
}

const pack: BenchThing = { shape: 'pack', name: 'fused supply', to: 'leads' };
const ammeter: BenchThing = { shape: 'meter', letter: 'A', name: 'ammeter', to: 'leads' };
const volts: BenchThing = { shape: 'box', letter: 'V', name: 'meter at its leads', to: 'leads' };
const motor = (name: string, to?: 'shaft'): BenchThing => ({ shape: 'motor', name, ...(to ? { to } : {}) });

/** What is connected for each kind of trial. */
export const SET_UPS: Readonly<Record<TrialKind, readonly BenchThing[]>> = {
  'free-run': [pack, ammeter, volts, motor('clamped, shaft bare')],
  stall: [pack, ammeter, volts, motor('clamped', 'shaft'), { shape: 'scale', name: 'arm on a scale' }],
  spun: [
    { shape: 'drill', name: 'drill', to: 'shaft' },
    { ...motor('in a vise'), to: 'leads' },
    { shape: 'meter', letter: 'V', name: 'two open leads' },
  ],
  'coast-down': [
    { shape: 'motor', name: 'power off', to: 'shaft' },
    { shape: 'wheel', name: 'free to turn' },
    { shape: 'watch', name: 'tachometer' },
  ],
  pack: [{ shape: 'pack', name: 'the pack', to: 'leads' }, ammeter, volts, { shape: 'box', name: 'lamps, load' }],
  pull: [
    pack,
    ammeter,
    motor('through its train', 'shaft'),
    { shape: 'wheel', name: 'wheel or hook', to: 'shaft' },
    { shape: 'scale', name: 'scale, held fast' },
  ],
  'step-ladder': [
    { shape: 'box', letter: '⎍', name: 'board, driver', to: 'leads' },
    motor('clamped', 'shaft'),
    { shape: 'watch', name: 'mark on mark' },
  ],
  'servo-currents': [pack, ammeter, { shape: 'servo', name: 'servo' }],
  'servo-line': [
    { shape: 'box', letter: '⎍', name: 'pulses', to: 'leads' },
    { shape: 'servo', name: 'servo', to: 'shaft' },
    { shape: 'watch', name: 'pointer, protractor' },
  ],
  warmth: [
    pack,
    ammeter,
    { ...motor('out of the draught'), to: 'leads' },
    { shape: 'meter', letter: '°C', name: 'on the case' },
  ],
  'least-speed': [
    pack,
    { shape: 'box', letter: '⎍', name: 'controller', to: 'leads' },
    motor('free', 'shaft'),
    { shape: 'watch', name: 'tachometer' },
  ],
  'drag-offset': [
    { shape: 'box', letter: '⎍', name: 'offset set', to: 'leads' },
    motor('idle', 'shaft'),
    { shape: 'wheel', name: 'rolls free' },
  ],
  ramp: [
    { shape: 'motor', name: 'full command', to: 'shaft' },
    { shape: 'wheel', name: 'all its mass' },
    { shape: 'slope', name: 'board, stop at its foot' },
  ],
  'match-log': [
    { shape: 'pack', name: 'the pack', to: 'leads' },
    { shape: 'meter', letter: 'A', name: 'main lead', to: 'leads' },
    { shape: 'box', letter: '⎍', name: 'logger, or the robot’s own' },
  ],
  'logged-go': [
    pack,
    ammeter,
    motor('as in a match', 'shaft'),
    { shape: 'box', letter: '⎍', name: 'controller’s log' },
  ],
  go: [pack, ammeter, motor('as in a match', 'shaft'), { shape: 'watch', name: 'stopwatch, log' }],
};
