import type { OptoInput, SignalPin } from '../../models/signal/optoInput.js';
import type { TimerChip } from '../../models/signal/timerChip.js';
import type { Decay, EnableInput } from '../../plan/document/part.js';
import type { StepDrive } from '../../plan/document/plan.js';
import type { MotorThermal } from '../../models/motor/heat.js';
import type { Commanded } from '../../models/stepper/commanded.js';
import type { StepMotor } from '../../models/stepper/torque.js';
import type { PowerPath } from './path.js';

/** A motor that takes pulses, its driver and the board in front of it. */
export interface StepPath extends PowerPath {
  readonly machine: 'step';
  readonly step: {
    readonly motor: StepMotor;
    /** Of one motor, kg·m². */
    readonly rotorInertia: number;
    /** Of a stepper; a step-driven servo has none that matter here. */
    readonly polePairs: number;
    /** Full steps of a turn; of a step-driven servo its commanded steps. */
    readonly stepsPerTurn: number;
    /** Of a full step; 1 for a step-driven servo. */
    readonly microsteps: number;
    /** r.m.s. of one phase, and what of it flows while standing. */
    readonly setCurrent: number;
    readonly idleShare: number;
    readonly ratedCurrent: number;
    readonly phaseResistance: number;
    readonly holdingTorque: number;
    readonly detentTorque: number;
    readonly efficiency: number;
    readonly encoderLines: number | undefined;
    readonly thermal: MotorThermal;
    readonly kind: 'stepper' | 'step-servo';
  };
  readonly driver: {
    readonly lowestVoltage: number;
    readonly highestVoltage: number;
    readonly mostCurrent: number;
    readonly pulseLimit: number;
    readonly leastPulse: number;
    readonly input: OptoInput;
    readonly drives: 'stepper' | 'step-servo';
    readonly followingError: number | undefined;
    readonly trimmerVolts: number | undefined;
    readonly alarm: boolean;
    readonly damps: boolean;
  };
  /** How the driver takes a phase's current down; not known where neither its sheet nor the person says. */
  readonly decay: Decay | undefined;
  readonly enable: { readonly input: EnableInput | undefined; readonly wired: boolean };
  readonly board: SignalPin & {
    readonly pulseLimit: number;
    readonly feedVoltage: number;
    /** Where a timer chip makes the pulses. */
    readonly timer: TimerChip | undefined;
  };
  readonly signalStage: NonNullable<StepDrive['signalStage']>;
  readonly ramp: boolean;
  /** What the pulses say the output does. */
  readonly commanded: Commanded;
  /** Inertia that is suddenly coupled to the turning output, on q. */
  readonly engaged: number | undefined;
  /** Travel on q per turn of a leading shaft it is locked to, and the lines of that shaft's encoder. */
  readonly lead: { readonly perTurn: number; readonly encoderLines: number } | undefined;
  /** In front of one driver, Ω. */
  readonly supplyResistance: number;
}

/** Everything that turns with the motor, seen at its shaft, kg·m²: its rotor and the load through the train. */
export function inertiaAtMotor({ step, load, train, radius, motors }: StepPath, place = 0): number {
  const lever = train.total / radius;
  return step.rotorInertia + load.inertia(place) / (motors * lever * lever * train.efficiency);
}

/** Torque of one motor for a force on q while driving, N·m. */
export const torqueAtMotor = ({ train, radius, motors }: StepPath, force: number): number =>
  (force >= 0 ? force / train.efficiency : force * train.backEfficiency) / (motors * (train.total / radius));

/** Pulses per turn of the motor. */
export const pulsesPerTurn = ({ step }: StepPath): number => step.stepsPerTurn * step.microsteps;
