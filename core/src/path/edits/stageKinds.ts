import { quantityOf } from '../../plan/document/quantityOf.js';
import type { Stage, StageKind } from '../../plan/document/stage.js';

/** What a stage is called that has no name of its own. */
export const STAGE_NAMES: Readonly<Record<StageKind, string>> = {
  ratio: 'Gearbox, one ratio',
  teeth: 'Gears',
  chain: 'Chain',
  belt: 'Toothed belt',
  planetary: 'Planetary',
  worm: 'Worm',
  screw: 'Lead screw',
};

/**
 * A stage to start from, all typical.
 *
 * @example newStage('chain', 'stage-1').kind //=> 'chain'
 */
export function newStage(kind: StageKind, id: string): Stage {
  switch (kind) {
    case 'teeth':
      return { id, kind, driver: 18, driven: 36, pitch: quantityOf(0.001, '1 mm', 'typical') };
    case 'chain':
      return { id, kind, driver: 18, driven: 36, pitch: quantityOf(0.00635, '6.35 mm', 'typical') };
    case 'belt':
      return {
        id,
        kind,
        driver: 18,
        driven: 36,
        pitch: quantityOf(0.005, '5 mm', 'typical'),
        face: quantityOf(0.015, '15 mm', 'typical'),
      };
    case 'ratio':
    case 'planetary':
      return { id, kind, ratio: quantityOf(4, '4:1', 'typical') };
    case 'worm':
      return { id, kind, starts: 2, teeth: 40, leadAngle: quantityOf(0.1222, '7°', 'typical') };
    case 'screw':
      return {
        id,
        kind,
        lead: quantityOf(0.008, '8 mm', 'typical'),
        pitchDiameter: quantityOf(0.008, '8 mm', 'typical'),
      };
  }
}
