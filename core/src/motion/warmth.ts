import type { Flow } from './acceleration.js';
import { BURNT, COPPER_ALPHA } from '../motor/heat.js';
import type { MotionSystem } from './system.js';

/** What winding, case and breaker gather along a run: slow beside the motion, so taken along step by step. */
export class Warmth {
  private winding: number;
  private shell: number;
  private breaker = 0;

  constructor(private readonly system: MotionSystem) {
    this.winding = this.shell = system.thermal?.ambient ?? 0;
  }

  /** A step of the run, from the currents at its start to those at its end. */
  pass(
    seconds: number,
    from: { readonly motorCurrent: number; readonly supplyCurrent: number },
    to: Flow,
    speed: number,
  ): void {
    const { thermal, breaker, drive } = this.system;
    const meanSquare = (a: number, b: number) => (a * a + b * b) / 2;
    if (thermal) {
      const squared = meanSquare(from.motorCurrent, to.motorCurrent);
      const across = (this.winding - this.shell) / thermal.windingToCase;
      const copper = squared * drive.motor.resistance * (1 + COPPER_ALPHA * (this.winding - 20));
      const friction = this.frictionHeat(to.motorCurrent, speed);
      this.winding = Math.min(BURNT, this.winding + (seconds * (copper - across)) / thermal.windingCapacity);
      const toAir = (this.shell - thermal.ambient) / thermal.caseToAir;
      this.shell = Math.min(BURNT, this.shell + (seconds * (across + friction - toAir)) / thermal.caseCapacity);
    }
    if (breaker) {
      // A sample's supply current is that of all motors.
      const squared = meanSquare(from.supplyCurrent / drive.motors, to.supplyCurrent);
      const settles = squared * (breaker.share / breaker.holds) ** 2;
      this.breaker = settles + (this.breaker - settles) * Math.exp(-seconds / breaker.timeConstant);
    }
  }

  /** (Kt·I0 + (Ke − Kt)·I)·ω: friction and iron warm the case. */
  private frictionHeat(current: number, speed: number): number {
    const { motor } = this.system.drive;
    const torque = motor.torqueConstant * motor.freeCurrent + (motor.backEmfConstant - motor.torqueConstant) * current;
    return Math.max(0, torque * ((speed * this.system.total) / this.system.radius));
  }

  result(): { readonly windingTemperature?: number; readonly breakerHeat?: number } {
    return {
      ...(this.system.thermal ? { windingTemperature: this.winding } : {}),
      ...(this.system.breaker ? { breakerHeat: this.breaker } : {}),
    };
  }
}
