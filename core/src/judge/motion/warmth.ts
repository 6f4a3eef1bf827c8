import { dragHeat } from '../../models/motor/constants.js';
import { BURNT, COPPER_ALPHA } from '../../models/motor/heat.js';
import type { Pull } from './acceleration.js';
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
    to: Pick<Pull, 'motorCurrent' | 'supplyCurrent'>,
    speed: number,
  ): void {
    const { thermal, breaker, drive } = this.system;
    if (thermal) {
      const squared = (from.motorCurrent * from.motorCurrent + to.motorCurrent * to.motorCurrent) / 2;
      const across = (this.winding - this.shell) / thermal.windingToCase;
      const copper = squared * drive.motor.resistance * (1 + COPPER_ALPHA * (this.winding - 20));
      const friction = this.frictionHeat(to.motorCurrent, speed);
      this.winding = Math.min(BURNT, this.winding + (seconds * (copper - across)) / thermal.windingCapacity);
      const toAir = (this.shell - thermal.ambient) / thermal.caseToAir;
      this.shell = Math.min(BURNT, this.shell + (seconds * (across + friction - toAir)) / thermal.caseCapacity);
    }
    if (breaker) {
      // A sample's supply current is that of all motors.
      const one = from.supplyCurrent / drive.motors;
      const squared = (one * one + to.supplyCurrent * to.supplyCurrent) / 2;
      const settles = squared * (breaker.share / breaker.holds) ** 2;
      this.breaker = settles + (this.breaker - settles) * Math.exp(-seconds / breaker.timeConstant);
    }
  }

  private frictionHeat(current: number, speed: number): number {
    const { drive, total, radius } = this.system;
    return dragHeat(drive.motor, current, (speed * total) / radius);
  }

  result(): { readonly windingTemperature: number | undefined; readonly breakerHeat: number | undefined } {
    return {
      windingTemperature: this.system.thermal && this.winding,
      breakerHeat: this.system.breaker && this.breaker,
    };
  }
}
