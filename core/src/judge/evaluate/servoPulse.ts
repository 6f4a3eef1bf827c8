import type { ServoPath } from '../../path/powerpath/servoPath.js';
import { pulseFor } from '../../models/servo/calibration.js';

/**
 * The pulse that sends a servo to an angle, s: along its measured line where it was calibrated, else from its shortest pulse at
 * one end of its travel to its longest at the other.
 */
export function servoPulseAt({ calibration, servo }: ServoPath, angle: number): number {
  if (calibration) return pulseFor(calibration, angle);
  const { shortestPulse, longestPulse, travel } = servo;
  return shortestPulse + (angle / travel) * (longestPulse - shortestPulse);
}
