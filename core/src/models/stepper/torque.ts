import { pullOut, type StepperFigures } from './pullOut.js';
import { peakTorqueAt, ratedTorqueAt, type StepServoFigures } from './stepServo.js';

/** A motor that takes pulses: blind, or one that knows where it stands. */
export type StepMotor =
  | { readonly loop: 'open'; readonly figures: StepperFigures }
  | { readonly loop: 'closed'; readonly figures: StepServoFigures };

/** Beyond this torque it loses steps, or falls behind its command, N·m at a motor speed. */
export const mostTorqueAt = (motor: StepMotor, speed: number): number =>
  motor.loop === 'open' ? pullOut(motor.figures, speed) : peakTorqueAt(motor.figures, speed);

/** What it gives for ever: a stepper's heat does not grow with its load. */
export const steadyTorqueAt = (motor: StepMotor, speed: number): number =>
  motor.loop === 'open' ? pullOut(motor.figures, speed) : ratedTorqueAt(motor.figures, speed);
