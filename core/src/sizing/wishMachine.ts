import type { MachineKind } from '../powerpath/path.js';

/** What may be asked for: a motor that takes pulses is a stepper, or a step-driven servo. */
export type WishMachine = MachineKind | 'step-servo';
