import type { MotorConstants } from './constants.js';

export type AuditVerdict = 'plausible' | 'suspicious' | 'impossible';

export interface MotorAudit {
  readonly torqueToBackEmfRatio: number;
  readonly verdict: AuditVerdict;
  /** What is odd, a sentence each; empty where nothing is. */
  readonly findings: readonly string[];
}

/** Other figures on the same sheet that the audit compares with. SI; kv in rad/s per volt. */
export interface StatedFigures {
  readonly ratedVoltage?: number;
  readonly freeSpeed?: number;
  readonly stallCurrent?: number;
  readonly kv?: number;
  readonly resistance?: number;
}

const IMPOSSIBLE_ABOVE = 1.02;
/** Kt over Ke; what is lower has some of its torque lost, as a gearmotor has at its output. */
export const SUSPICIOUS_BELOW = 0.8;
const DISAGREES_BY = 0.05;

/**
 * Looks for figures that cannot belong to one motor. Kt/Ke over 1.02 would make power from nothing;
 * under 0.80 the sheet is suspicious; stated Kv or resistance that disagree by more than 5 % are said.
 *
 * @example auditMotor(motor).verdict //=> 'plausible'
 */
export function auditMotor(motor: MotorConstants, stated: StatedFigures = {}): MotorAudit {
  const ratio = motor.torqueConstant / motor.backEmfConstant;
  const verdict = ratio > IMPOSSIBLE_ABOVE ? 'impossible' : ratio < SUSPICIOUS_BELOW ? 'suspicious' : 'plausible';
  const findings: string[] = [];
  if (verdict === 'impossible') {
    findings.push(
      `Torque per ampere is ${ratio.toFixed(2)} times the back-EMF constant: this motor would make power from nothing.`,
    );
  } else if (verdict === 'suspicious') {
    findings.push(
      `Torque per ampere is only ${ratio.toFixed(2)} times the back-EMF constant: a gearbox's losses may be in these figures.`,
    );
  }
  if (stated.kv !== undefined && differs(stated.kv, 1 / motor.backEmfConstant)) {
    findings.push('The stated Kv does not agree with free speed and voltage.');
  }
  if (stated.resistance !== undefined && differs(stated.resistance, motor.resistance)) {
    findings.push('The stated stall current is not voltage over resistance.');
  }
  return { torqueToBackEmfRatio: ratio, verdict, findings };
}

function differs(stated: number, computed: number): boolean {
  return Math.abs(stated / computed - 1) > DISAGREES_BY;
}
