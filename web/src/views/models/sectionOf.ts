import type { CheckId, LimitId, WorkingRef } from '@rough-gear/core';

/** The section of the models' page a check's working rests on; the checks' own where there is none nearer. */
const CHECKS: Readonly<Partial<Record<CheckId, string>>> = {
  'in-time': 'motion',
  recovers: 'loads',
  follows: 'motion',
  'held-back': 'braking',
  creep: 'slow-control',
  'starts-loaded': 'slow-control',
  'holds-still': 'slow-control',
  jam: 'motor-heat',
  'match-heat': 'motor-heat',
  'match-breakers': 'motor-heat',
  charge: 'packs',
  'return-volts': 'braking',
  'return-charge': 'braking',
  'branch-wire': 'protection',
  'main-wire': 'protection',
  'keeps-step': 'steppers',
  'pulse-rate': 'steppers',
  'starts-at-once': 'steppers',
  resonance: 'steppers',
  decay: 'steppers',
  timer: 'signals',
  'enable-line': 'steppers',
  kick: 'steppers',
  'standing-heat': 'steppers',
  'set-current': 'steppers',
  'driver-current': 'steppers',
  draw: 'steppers',
  signal: 'signals',
  travel: 'servos',
  'dead-spots': 'servos',
  'rail-moving': 'servos',
  'rail-stalled': 'servos',
  'rail-source': 'servos',
  'rail-ground': 'servos',
  tip: 'servos',
  'servo-heat': 'servos',
  'screw-whirls': 'teeth-chains-belts-shafts',
  undercut: 'teeth-chains-belts-shafts',
  ripple: 'teeth-chains-belts-shafts',
  'run-length': 'teeth-chains-belts-shafts',
};

const TERMS: Readonly<Record<Extract<WorkingRef, { of: 'term' }>['term'], string>> = {
  total: 'reductions',
  efficiency: 'reductions',
  torqueConstant: 'motors',
  backEmfConstant: 'motors',
  resistance: 'motors',
  motorCurrent: 'controllers',
  supplyCurrent: 'controllers',
  packVoltage: 'packs',
  restVoltage: 'packs',
  supplyResistance: 'controllers',
};

/** Rungs with a section of their own. */
const RUNGS: Readonly<Partial<Record<LimitId, string>>> = {
  'pull-out': 'steppers',
  'peak-torque': 'steppers',
  'rated-torque': 'steppers',
  'hold-current': 'steppers',
  servo: 'servos',
  'servo-hold': 'servos',
  rail: 'servos',
  tooth: 'teeth-chains-belts-shafts',
  'chain-skip': 'teeth-chains-belts-shafts',
  'chain-snap': 'teeth-chains-belts-shafts',
  'sprocket-shear': 'teeth-chains-belts-shafts',
  'belt-skip': 'teeth-chains-belts-shafts',
  'belt-shear': 'teeth-chains-belts-shafts',
  'belt-snap': 'teeth-chains-belts-shafts',
  gearbox: 'teeth-chains-belts-shafts',
  shaft: 'teeth-chains-belts-shafts',
};

/** Where on the models' page a working is explained. */
export function sectionOf(ref: WorkingRef): string {
  switch (ref.of) {
    case 'check':
      return CHECKS[ref.check] ?? 'checks';
    case 'term':
      return TERMS[ref.term];
    case 'demand':
      return 'loads';
    case 'rung':
      return RUNGS[ref.rung] ?? 'what-gives-first';
  }
}
