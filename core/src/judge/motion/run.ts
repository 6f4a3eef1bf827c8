import type { HeldBy } from '../../models/controller/drive.js';

/** One moment of a run. Currents: motor of one motor, supply of all; what returns to the pack is negative. */
export interface RunSample {
  readonly time: number;
  readonly place: number;
  readonly speed: number;
  readonly motorCurrent: number;
  readonly supplyCurrent: number;
  readonly packVoltage: number;
  readonly heldBy: HeldBy;
  readonly braking: boolean;
}

/** arrived; stalled on the way; time-up: not within the time looked at; cannot-stop: the brakes do not stop it there. */
export type Outcome = 'arrived' | 'stalled' | 'time-up' | 'cannot-stop';

/** A run from rest, by whichever profile. */
export interface Run {
  readonly outcome: Outcome;
  /** When it arrived; of one that stalls how long it is pushed at, s. */
  readonly time: number;
  readonly place: number;
  readonly endSpeed: number;
  readonly topSpeed: number;
  readonly peakMotorCurrent: number;
  readonly rmsMotorCurrent: number;
  readonly peakSupplyCurrent: number;
  /** Greatest current back into the pack, all motors, A; 0 where none returns. */
  readonly peakReturned: number;
  readonly leastPackVoltage: number;
  /** Terminal volts × total amperes over time, J. */
  readonly packEnergy: number;
  /** Winding temperature at the end, °C; absent without thermal figures. */
  readonly windingTemperature?: number;
  /** Breaker heat at the end, 1 trips; absent without a breaker. */
  readonly breakerHeat?: number;
  /** Of servos: the same at their rail, which is not the pack. */
  readonly rail?: { readonly energy: number; readonly leastVoltage: number; readonly peakCurrent: number };
  readonly slipped: boolean;
  readonly samples: readonly RunSample[];
  /** A trapezoid: how much of what it takes is there at its worst, and where the first lack is. */
  readonly follows?: {
    readonly multiple: number;
    readonly behindAt?: { readonly time: number; readonly place: number };
  };
  /** Where the brakes go on. */
  readonly brakesAt?: number;
}
