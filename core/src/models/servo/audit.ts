import { auditMotor, type MotorAudit } from '../motor/audit.js';
import { motorFromSheet } from '../motor/fromSheet.js';
import type { RatingPoint } from './ratings.js';

/** Ts·ω0/(V·Is) over which a sheet is suspicious: 0.6 is usual, 1 is all of the stall's power. */
const SUSPICIOUS_ABOVE = 0.75;

/**
 * A servo's sheet held against physics, as a motor's is: taken as a geared motor, Kt/Ke over 1.02 at any of its points makes
 * power from nothing. A point without a stall current says nothing of it.
 *
 * @param runningCurrent what it draws moving without load, A
 *
 * @example auditServo([{ voltage: 6, stallTorque: 1.6, freeSpeed: 5.8, stallCurrent: 1.9 }], 0.24).verdict //=> 'impossible'
 */
export function auditServo(points: readonly RatingPoint[], runningCurrent: number): MotorAudit {
  let worst: MotorAudit = { torqueToBackEmfRatio: NaN, verdict: 'plausible', findings: [] };
  for (const { voltage, stallTorque, freeSpeed, stallCurrent } of points) {
    if (stallCurrent === undefined || !Number.isFinite(stallTorque * freeSpeed * stallCurrent * voltage)) continue;
    const motor = motorFromSheet({
      ratedVoltage: voltage,
      freeSpeed,
      freeCurrent: Math.min(Number.isFinite(runningCurrent) ? runningCurrent : 0, 0.9 * stallCurrent),
      stallTorque,
      stallCurrent,
    });
    const { torqueToBackEmfRatio, verdict } = auditMotor({ ...motor, freeCurrentPerSpeed: 0 });
    const share = (stallTorque * freeSpeed) / (voltage * stallCurrent);
    const at = `At ${Number(voltage.toPrecision(3))} V`;
    if (verdict === 'impossible')
      return {
        torqueToBackEmfRatio,
        verdict,
        findings: [
          `${at} stall torque and speed would take more than its stall current brings: this servo would make power from nothing. Measure its stall current.`,
        ],
      };
    if (share > SUSPICIOUS_ABOVE)
      worst = {
        torqueToBackEmfRatio,
        verdict: 'suspicious',
        findings: [
          `${at} torque times speed is ${share.toFixed(2)} of what its stall current brings; 0.6 is usual. Measure its stall current.`,
        ],
      };
    else if (worst.verdict === 'plausible') worst = { ...worst, torqueToBackEmfRatio };
  }
  return worst;
}
