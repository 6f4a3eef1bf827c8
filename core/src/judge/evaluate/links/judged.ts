import type { LinkKind } from '../../../plan/figures/figure.js';
import { situationOf, SITUATIONS } from '../../limits/situation.js';
import { STAGE_LIMITS } from '../../limits/table.js';
import type { PowerPath } from '../../../path/powerpath/path.js';
import type { StageParts } from '../../../path/powerpath/stageParts.js';
import { verdictOf, worseOf, type Verdict } from '../verdict.js';
import type { Judged, Link } from './link.js';

/** What the limits and checks say of a link. */
export type Spoken = Pick<Link, 'verdict' | 'used'>;
const NOTHING: Spoken = {};

/** The worst verdict of what speaks of each kind of link, and the greatest share used of a force, or of the time allowed. */
export function judgedKinds({ ladders, checks }: Judged): (kind: LinkKind) => Spoken {
  const found = new Map<LinkKind, { verdict: Verdict; used?: number }>();
  const speak = (kind: LinkKind, verdict: Verdict, multiple: number | undefined): void => {
    const of = found.get(kind);
    const used = multiple === undefined ? undefined : 1 / Math.max(multiple, 0.01);
    if (!of) found.set(kind, { verdict, used });
    else {
      of.verdict = worseOf(of.verdict, verdict);
      if (used !== undefined) of.used = Math.max(of.used ?? 0, used);
    }
  };
  for (const id of SITUATIONS)
    for (const { link, verdict, multiple, outOfReach } of ladders[id].rungs)
      speak(link, outOfReach ? 'enough' : verdict, multiple);
  // A wire that just suits its breaker is not a wire used up: of the checks only time is a share of something.
  for (const { id, link, verdict, multiple } of checks) speak(link, verdict, id === 'in-time' ? multiple : undefined);
  return (kind) => found.get(kind) ?? NOTHING;
}

/**
 * What speaks of one stage: of a limit that each stage has for itself its own capacity, not that of the stage
 * that gives first; and the checks that are about it.
 */
export function judgedStage(path: PowerPath, parts: StageParts, { ladders, checks }: Judged): Spoken {
  let verdict: Verdict | undefined;
  let least = Infinity;
  for (const id of SITUATIONS) {
    const { demand, rungs } = ladders[id];
    if (demand === undefined || !(demand > 0)) continue;
    for (const rung of rungs) {
      const limit = rung.link === 'stage' && STAGE_LIMITS.find((candidate) => candidate.id === rung.id);
      if (!limit || !limit.has(parts)) continue;
      const own = rung.capacity === undefined || rung.stage === parts.id;
      const multiple = own ? rung.multiple : Math.max(0, limit.capacityOf(path, parts, situationOf(path, id))) / demand;
      const its = own ? rung.verdict : verdictOf(multiple!, rung.wants, limit.floor?.(path));
      verdict = worseOf(verdict ?? 'enough', its);
      if (multiple !== undefined) least = Math.min(least, multiple);
    }
  }
  for (const check of checks) if (check.stage === parts.id) verdict = worseOf(verdict ?? 'enough', check.verdict);
  return { verdict, used: least === Infinity ? undefined : 1 / Math.max(least, 0.01) };
}
