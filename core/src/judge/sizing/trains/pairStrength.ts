import { FigureCollector } from '../../../plan/figures/collector.js';
import { beltShearPull, beltSkipPull, beltSnapPull } from '../../limits/stages/belt.js';
import { chainSkipPull, chainStrength, sprocketShearPull } from '../../limits/stages/chain.js';
import { toothTorque } from '../../limits/stages/tooth.js';
import type { Stage } from '../../../plan/document/stage.js';
import { resolveStageParts } from '../../../path/resolve/resolveStageParts.js';

/** The margins that the same limits want at the peak. */
const WANTS = { general: 1.5, cords: 2, chain: 4 } as const;

/**
 * Torque on its driving shaft that a stage carries with the margins wanted: the limits of the gauge, at rest.
 * Infinity for a stage that has none. N·m
 */
export function strengthOf(stage: Stage, ratio: number, efficiency: number): number {
  const parts = resolveStageParts(stage, 0, [], new FigureCollector());
  switch (parts.kind) {
    case 'teeth':
      return toothTorque(parts, 0) / WANTS.general;
    case 'chain':
      return (
        parts.driverRadius *
        Math.min(
          Math.min(chainSkipPull(parts), sprocketShearPull(parts)) / WANTS.general,
          chainStrength(parts) / WANTS.chain,
        )
      );
    case 'belt':
      return (
        parts.driverRadius *
        Math.min(Math.min(beltSkipPull(parts), beltShearPull(parts)) / WANTS.general, beltSnapPull(parts) / WANTS.cords)
      );
    default:
      return (parts.ratedTorque ?? Infinity) / (ratio * efficiency) / WANTS.general;
  }
}
