import { judgedOver } from '../../judge/evaluate/judgedOver.js';
import type { Headline } from '../../judge/evaluate/mechanism.js';
import { applyChanges, type Change } from '../../plan/document/change.js';
import { jobAt, mechanismById } from '../../plan/document/place.js';
import type { Plan } from '../../plan/document/plan.js';
import { quantityOf } from '../../plan/document/quantityOf.js';
import { motorSpeed } from '../../path/powerpath/path.js';
import { screwAt } from '../../path/powerpath/screw.js';
import { mostRate, rateOf } from '../../judge/limits/checks/step/pulseRate.js';
import { SCREW_LEADS } from '../../models/reduction/screwLeads.js';
import { digits } from '../../plan/words/show.js';
import { designOf } from './place.js';

/** One lead of the screw on this carriage, at the speed that is wanted of it. */
export interface LeadRow {
  /** m a turn, and threads per inch where the screw is sold so. */
  readonly lead: number;
  readonly tpi?: number;
  readonly starts: number;
  readonly own: boolean;
  readonly changes: readonly Change[];
  /** Over all jobs; of the carriage at the speed that is wanted. */
  readonly headline: Headline;
  /** rad/s of the motor and of the screw. */
  readonly motorSpeed: number;
  readonly screwSpeed: number;
  /** Of a motor that takes pulses: a second, there and at most. */
  readonly rate?: number;
  readonly mostRate?: number;
  /** Whether it stays where it is by itself. */
  readonly stays: boolean;
}

/** Threads per inch that screws are sold in, with their starts. */
const INCH = [
  { tpi: 20, starts: 1 },
  { tpi: 12, starts: 1 },
  { tpi: 10, starts: 1 },
  { tpi: 8, starts: 4 },
] as const;
const MM = 1e-3;
const IN = 0.0254;

/**
 * The leads a screw may have for a wanted speed of its carriage, m/s: how fast motor and screw turn then, and what gives first.
 * Empty where there is no screw.
 */
export function leadsFor(plan: Plan, mechanismId: string, jobId: string, speed: number): readonly LeadRow[] {
  const { choice, choiceAt, mechanism } = designOf(plan, mechanismId);
  const at = screwAt(choice);
  const stage = choice.stages[at];
  if (stage?.kind !== 'screw') return [];
  const wanted: Change = {
    at: [...jobAt(plan, mechanism, jobId), 'speed'],
    to: quantityOf(speed, `${speed} m/s`),
  };
  const own = stage.lead?.si;
  const leads = [
    ...SCREW_LEADS.map((lead) => ({ lead, text: `${digits(lead / MM)} mm`, tpi: undefined, starts: 1 })),
    ...INCH.map(({ tpi, starts }) => ({
      lead: (starts * IN) / tpi,
      text: starts === 1 ? `${tpi} tpi` : `${(starts * 25.4) / tpi} mm`,
      tpi,
      starts,
    })),
  ];
  const sold = leads.some(({ lead }) => same(lead, own));
  const all =
    own === undefined || sold ? leads : [...leads, { lead: own, text: stage.lead!.as, tpi: undefined, starts: 1 }];
  return all
    .sort((a, b) => a.lead - b.lead)
    .map(({ lead, text, tpi, starts }): LeadRow => {
      const changes = same(lead, own) ? [] : [{ at: [...choiceAt, 'stages', at, 'lead'], to: quantityOf(lead, text) }];
      const changed = applyChanges(plan, [...changes, wanted]);
      const { headline, path } = judgedOver(changed, mechanismById(changed, mechanismId), jobId);
      const stepped = path.machine === 'step' && !path.lacks.pulses && !path.lacks.driver;
      return {
        lead,
        tpi,
        starts,
        own: same(lead, own),
        changes,
        headline,
        motorSpeed: motorSpeed(path, speed),
        screwSpeed: (2 * Math.PI * speed) / lead,
        rate: stepped ? rateOf(path) : undefined,
        mostRate: stepped ? mostRate(path).rate : undefined,
        stays: path.train.backEfficiency === 0,
      };
    });
}

const same = (lead: number, own: number | undefined): boolean => own !== undefined && Math.abs(lead / own - 1) < 1e-3;
