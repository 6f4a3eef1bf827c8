import { runOf } from './mechanism.js';
import type { CheckId } from '../limits/check.js';
import { checkOf } from './check.js';
import { rungOf } from './ladder.js';
import type { Short } from './shortfall.js';
import { checkRule, limitOf } from '../machine/table.js';
import { demandWorking, SITUATION_NEEDS, situationOf, type SituationId } from '../limits/situation.js';
import type { LimitId } from '../limits/limit.js';
import { lacksOf, type DcPath } from '../../path/powerpath/path.js';
import type { AnyPath } from '../../path/powerpath/anyPath.js';
import { div, found, named, valueOf, type Expression } from '../../path/worked/expression.js';
import { flowingMotorCurrent, flowingPackVoltage, flowingSupplyCurrent } from '../../path/terms/flow.js';
import {
  askedAccelerationOf,
  askedSpeedOf,
  backEmfConstantOf,
  efficiencyOf,
  resistanceOf,
  restVoltageOf,
  supplyResistanceOf,
  torqueConstantOf,
  totalOf,
} from '../../path/terms/pathTerms.js';

/** Of what falls short: force at rest, speed or acceleration, over what is wanted. */
function shortWorking(path: AnyPath, id: SituationId, { shortfall, multiple }: Short): Expression {
  const by = 'by halving, where what it gives is what the job takes';
  const along = path.load.unit === 'm';
  if (shortfall.kind === 'off') {
    const there = found('V_0', 'volts with nothing drawn', 'voltage', shortfall.volts, 'at rest');
    const least = found('V_{low}', 'least volts', 'voltage', shortfall.least, 'of what gives up first');
    return named('x', 'share of the volts', 'number', div(there, least));
  }
  if (shortfall.kind === 'stalls') {
    const atRest = found('C_0', 'what it gives at rest', along ? 'force' : 'torque', shortfall.atRest, 'at no speed');
    const takes = found('F', 'what the load takes', along ? 'force' : 'torque', shortfall.atRest / multiple, 'at rest');
    return named('x', 'share of the force', 'number', div(atRest, id === 'working' ? demandWorking(path, id) : takes));
  }
  if (shortfall.kind === 'starts slowly') {
    const quickening = along ? 'acceleration' : 'angular acceleration';
    const reached = found('a_r', 'acceleration that it reaches', quickening, shortfall.acceleration, by);
    return named('x', 'share of the acceleration', 'number', div(reached, askedAccelerationOf(path)));
  }
  const reached = found('v_r', 'speed that it reaches', along ? 'velocity' : 'speed', shortfall.speed, by);
  return named('x', 'share of the speed', 'number', div(reached, askedSpeedOf(path)));
}

/** A number of the screen that can show its working. */
export type WorkingRef =
  | { readonly of: 'rung'; readonly rung: LimitId; readonly situation: SituationId }
  | { readonly of: 'check'; readonly check: CheckId }
  | { readonly of: 'demand'; readonly situation: SituationId }
  | { readonly of: 'term'; readonly term: TermId };

const FLOW = ['motor', 'pack', 'wiring', 'controller', 'train', 'output', 'load', 'job'] as const;

const TERMS = {
  total: { build: totalOf, needs: ['train'] },
  efficiency: { build: efficiencyOf, needs: ['train', 'output'] },
  torqueConstant: { build: torqueConstantOf, needs: ['motor'] },
  backEmfConstant: { build: backEmfConstantOf, needs: ['motor'] },
  resistance: { build: resistanceOf, needs: ['motor'] },
  motorCurrent: { build: flowingMotorCurrent, needs: FLOW },
  supplyCurrent: { build: flowingSupplyCurrent, needs: FLOW },
  packVoltage: { build: flowingPackVoltage, needs: FLOW },
  restVoltage: { build: restVoltageOf, needs: ['pack'] },
  supplyResistance: { build: supplyResistanceOf, needs: ['pack', 'wiring'] },
} as const;

export type TermId = keyof typeof TERMS;

const GENERAL: readonly TermId[] = ['total', 'efficiency', 'restVoltage'];

export const TERM_IDS = Object.keys(TERMS) as readonly TermId[];

/** The formula of a shown number with its inputs; `undefined` where one is missing or nothing is computed. */
export function workingOf(path: AnyPath, ref: WorkingRef): Expression | undefined {
  switch (ref.of) {
    case 'term': {
      const { build, needs } = TERMS[ref.term];
      if (lacksOf(path, needs).length > 0) return undefined;
      // Currents and constants of plain motors have no meaning for the other machines.
      if (path.machine !== 'dc' && !GENERAL.includes(ref.term)) return undefined;
      const built = build(path as DcPath);
      // More than the pack can give has no root, and nothing to show.
      return Number.isNaN(valueOf(built)) ? undefined : built;
    }
    case 'demand':
      return lacksOf(path, SITUATION_NEEDS[ref.situation]).length > 0 ? undefined : demandWorking(path, ref.situation);
    case 'check': {
      const rule = checkRule(path, ref.check);
      const run = rule.run ? runOf(path) : undefined;
      return checkOf(rule, path, run).verdict === 'not known' ? undefined : rule.answer(path, run).working?.();
    }
    case 'rung': {
      const limit = limitOf(path, ref.rung);
      if (
        !limit.applies(path) ||
        lacksOf(path, [...SITUATION_NEEDS[ref.situation], ...limit.needs(ref.situation)]).length > 0
      )
        return undefined;
      const situation = situationOf(path, ref.situation);
      const { shortfall, multiple } = rungOf(path, limit, situation);
      return shortfall && multiple !== undefined
        ? shortWorking(path, ref.situation, { shortfall, multiple })
        : named(
            'x',
            'multiple of the job',
            'number',
            div(limit.working(path, situation), demandWorking(path, ref.situation)),
          );
    }
  }
}
