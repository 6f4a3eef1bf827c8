import type { StepPath } from '../powerpath/stepPath.js';
import { voltageLimitedTorque, type StepperFigures } from '../../models/stepper/pullOut.js';
import { add, div, max, min, mul, named, num, pow, sqrt, sub, type Expression } from '../worked/expression.js';
import { figureOf, restVoltageOf } from './pathTerms.js';

/** The formulas of a stepping motor's torque, built from a path's figures. */

/** Th·Iset/Ir */
const atCurrent = (path: StepPath): Expression =>
  named(
    'T_I',
    'what the set current gives',
    'torque',
    div(
      mul(figureOf(path, 'stepper.holdingTorque'), figureOf(path, 'drive.setCurrent')),
      figureOf(path, 'stepper.ratedCurrent'),
    ),
  );

/** Kφ = Th/(√2·Ir) */
const constantOf = (path: StepPath): Expression =>
  named(
    'K_\\varphi',
    'torque per ampere of a phase',
    'torque constant',
    div(figureOf(path, 'stepper.holdingTorque'), mul(sqrt(num(2)), figureOf(path, 'stepper.ratedCurrent'))),
  );

/** Kφ·V/Z − Kφ²·ω·R/Z² */
function atVolts(path: StepPath, speed: Expression): Expression {
  const resistance = figureOf(path, 'stepper.phaseResistance');
  const reactance = mul(num(path.step.polePairs, 'pole pairs'), speed, figureOf(path, 'stepper.phaseInductance'));
  const impedance = named('Z', 'impedance of a phase', 'resistance', sqrt(add(pow(resistance, 2), pow(reactance, 2))));
  const constant = constantOf(path);
  return named(
    'T_V',
    'what the volts leave at this speed',
    'torque',
    sub(
      div(mul(constant, restVoltageOf(path)), impedance),
      div(mul(pow(constant, 2), speed, resistance), pow(impedance, 2)),
    ),
  );
}

/** Pull-out torque at a motor speed, by the lesser of current and volts. */
export function pullOutOf(path: StepPath, speed: Expression, figures: StepperFigures, value: number): Expression {
  // At rest the current holds it nearly always; the volts are shown where they are what counts.
  const byVolts =
    voltageLimitedTorque(figures, value) < (figures.holdingTorque * figures.setCurrent) / figures.ratedCurrent;
  const least = byVolts ? min(atCurrent(path), atVolts(path, speed)) : atCurrent(path);
  return named('T_{out}', 'pull-out torque', 'torque', max(num(0), sub(least, figureOf(path, 'stepper.detentTorque'))));
}
