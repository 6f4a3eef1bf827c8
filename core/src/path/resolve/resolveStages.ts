import type { Estimate, FigureCollector } from '../../plan/figures/collector.js';
import type { Place } from '../../plan/document/place.js';
import type { NutMaterial, ScrewStage, Stage, StageKind, WormStage } from '../../plan/document/stage.js';
import { leadAngle } from '../../models/reduction/leadAngle.js';
import { screwBackEfficiency, screwEfficiency } from '../../models/reduction/screwEfficiency.js';
import { selfHolding } from '../../models/reduction/selfHolding.js';
import { backEfficiency, type StageFigures } from '../../models/reduction/train.js';

/** Typical efficiency of a stage that is not given one. */
const TYPICAL_EFFICIENCY: Readonly<Record<Exclude<StageKind, 'worm' | 'screw'>, { value: number; why: string }>> = {
  ratio: { value: 0.85, why: 'a gearbox bought whole' },
  teeth: { value: 0.96, why: 'one spur pair' },
  chain: { value: 0.95, why: 'one chain' },
  belt: { value: 0.97, why: 'one toothed belt' },
  planetary: { value: 0.93, why: 'one planetary stage' },
};

/** A wheel between the two is a second mesh, with losses of its own. */
function typicalEfficiency(stage: Exclude<Stage, WormStage | ScrewStage>): Estimate {
  const { value, why } = TYPICAL_EFFICIENCY[stage.kind];
  return stage.kind === 'teeth' && stage.idler !== undefined
    ? { value: value * value, why: 'two spur meshes, by way of an idler', source: 'typical' }
    : { value, why, source: 'typical' };
}

interface Turn {
  readonly ratio: number;
  /** rad */
  readonly leadAngle: number;
}

function wormTurn(stage: WormStage, at: Place, collect: FigureCollector): Turn {
  const key = `stage.${stage.id}.leadAngle`;
  return {
    ratio: stage.teeth / stage.starts,
    leadAngle: collect.take('stage.leadAngle', stage.leadAngle, [...at, 'leadAngle'], undefined, key),
  };
}

/** Friction of a greased nut on a steel screw; balls roll, and their friction is what their efficiency comes to. */
const NUT_FRICTION: Readonly<Record<NutMaterial, number>> = {
  bronze: 0.12,
  plastic: 0.1,
  steel: 0.15,
  'rolling balls': 0.008,
};

/** The angle follows from the lead and the diameter: another lead is another angle, and loses another share. */
function screwTurn(stage: ScrewStage, at: Place, collect: FigureCollector): Turn {
  const take = (name: 'lead' | 'pitchDiameter'): number =>
    collect.take(`stage.${name}`, stage[name], [...at, name], undefined, `stage.${stage.id}.${name}`);
  const [lead, diameter] = [take('lead'), take('pitchDiameter')];
  return { ratio: (2 * Math.PI) / lead, leadAngle: leadAngle(lead, diameter) };
}

/** Reads one stage. Teeth are whole numbers in the document; ratios and losses are figures. */
export function resolveStage(stage: Stage, at: Place, collect: FigureCollector): StageFigures {
  const key = (name: string) => `stage.${stage.id}.${name}`;
  if (stage.kind === 'worm' || stage.kind === 'screw') {
    const turn = stage.kind === 'worm' ? wormTurn(stage, at, collect) : screwTurn(stage, at, collect);
    const angle = turn.leadAngle;
    const flank = collect.take(
      'stage.flankAngle',
      stage.flankAngle,
      [...at, 'flankAngle'],
      undefined,
      key('flankAngle'),
    );
    const nut = stage.kind === 'screw' ? stage.nut : undefined;
    const usual = nut && {
      value: NUT_FRICTION[nut],
      why: `a nut of ${nut} on steel, greased`,
      source: 'typical' as const,
    };
    const friction = collect.take('stage.friction', stage.friction, [...at, 'friction'], usual, key('friction'));
    return {
      ratio: turn.ratio,
      efficiency: screwEfficiency(angle, friction, flank),
      backEfficiency: screwBackEfficiency(angle, friction, flank),
      stays: selfHolding(angle, friction, flank).answer === 'stays',
    };
  }
  const efficiency = collect.take(
    'stage.efficiency',
    stage.efficiency,
    [...at, 'efficiency'],
    typicalEfficiency(stage),
    key('efficiency'),
  );
  const ratio =
    stage.kind === 'ratio' || stage.kind === 'planetary'
      ? collect.take('stage.ratio', stage.ratio, [...at, 'ratio'], undefined, key('ratio'))
      : stage.driven / stage.driver;
  return { ratio, efficiency, backEfficiency: backEfficiency(efficiency) };
}
