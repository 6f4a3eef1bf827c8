import { lacksOf, type PowerPath } from '../../path/powerpath/path.js';
import type { StageParts } from '../../path/powerpath/stageParts.js';
import type { Ladder } from './rung.js';
import { SITUATIONS, situationOf, type SituationId } from '../limits/situation.js';
import { STAGE_LIMITS } from '../limits/table.js';
import { verdictOf, type Verdict } from './verdict.js';

/** One limit of one stage in the situation that comes nearest to the margin it wants. */
export interface StageStrength {
  readonly name: string;
  readonly verdict: Verdict;
  /** Absent where a figure is missing, or where nothing pulls. */
  readonly worst?: { readonly situation: SituationId; readonly multiple: number; readonly wants: number };
  /** The figure that is missing. */
  readonly lacks?: string;
}

/** What a stage stands: each of its own limits in its worst situation, whether or not it is the one that gives first. */
export function stageStrengthOf(
  path: PowerPath,
  parts: StageParts,
  ladders: Readonly<Record<SituationId, Pick<Ladder, 'demand' | 'idle'>>>,
): readonly StageStrength[] {
  return STAGE_LIMITS.filter((limit) => limit.has(parts)).map((limit): StageStrength => {
    const { name } = limit;
    const [lack] = lacksOf(path, limit.needs('starting'));
    if (lack) return { name, verdict: 'not known', lacks: lack.label };
    const answers = SITUATIONS.flatMap((situation) => {
      const { demand, idle } = ladders[situation];
      if (idle || demand === undefined || demand <= 0) return [];
      const multiple = limit.capacityOf(path, parts, situationOf(path, situation)) / demand;
      return [{ situation, multiple, wants: limit.wantsHere?.(path, situation) ?? limit.wants }];
    });
    const [worst] = answers.sort((a, b) => a.multiple / a.wants - b.multiple / b.wants);
    if (!worst) return { name, verdict: 'enough' };
    return { name, worst, verdict: verdictOf(worst.multiple, worst.wants, limit.floor?.(path)) };
  });
}
