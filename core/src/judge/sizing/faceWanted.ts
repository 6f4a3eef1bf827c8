import type { JobResult } from '../evaluate/mechanism.js';
import type { PowerPath } from '../../path/powerpath/path.js';
import type { GearParts } from '../../path/powerpath/stageParts.js';
import { SITUATIONS, situationOf } from '../limits/situation.js';
import { tooth } from '../limits/stages/tooth.js';

/** The narrowest face of the same wheels with all its margin in the worst situation, m; `undefined` where nothing pulls. */
export function faceWanted(path: PowerPath, gears: GearParts, ladders: JobResult['ladders']): number | undefined {
  if (!tooth.has(gears) || !(gears.face > 0)) return undefined;
  const shares = SITUATIONS.flatMap((id) => {
    const { demand, idle } = ladders[id];
    if (idle || demand === undefined || demand <= 0) return [];
    return [(tooth.wants * demand) / tooth.capacityOf(path, gears, situationOf(path, id))];
  });
  return shares.length > 0 ? gears.face * Math.max(...shares) : undefined;
}
