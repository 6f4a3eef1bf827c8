import type { Dimension, LinkKind, Need } from './figure.js';

/** What stands in for a figure that nobody gave. */
export type Fallback =
  | { readonly typical: number; readonly why: string }
  /** Worked out by a rule from other figures; the rule itself is beside the model that holds it. */
  | { readonly rule: string };

export interface FigureMeta {
  readonly label: string;
  readonly symbol: string;
  readonly dimension: Dimension;
  readonly link: LinkKind;
  readonly need: Need;
  readonly fallback?: Fallback;
  readonly optional?: true;
}

const figure = (
  label: string,
  symbol: string,
  dimension: Dimension,
  link: LinkKind,
  need: Need,
  fallback?: Fallback,
): FigureMeta => ({ label, symbol, dimension, link, need, ...(fallback ? { fallback } : {}) });

const optional = (meta: FigureMeta): FigureMeta => ({ ...meta, optional: true });
const typical = (value: number, why: string): Fallback => ({ typical: value, why });
const rule = (text: string): Fallback => ({ rule: text });

/**
 * Every figure a plan can hold: its name, and what stands in for it when it is missing: a typical
 * value, an estimating rule, or nothing (then whatever needs it is *not known*). The page
 * docs/figures.md is made from this table.
 */
export const FIGURES = {
  'pack.cellResistance': figure(
    'cell resistance',
    'r_{cell}',
    'resistance',
    'pack',
    'pack',
    rule('from the chemistry and the capacity'),
  ),
  'pack.leadResistance': figure(
    'leads and connectors',
    'R_{leads}',
    'resistance',
    'pack',
    'pack',
    typical(0.002, 'short 8 AWG leads and one connector'),
  ),
  'pack.capacity': optional(figure('capacity', 'Q', 'charge', 'pack', 'pack')),
  'pack.charge': figure('charge', 's', 'share', 'pack', 'pack', typical(0.5, 'half a match gone')),
  'pack.others': figure(
    'rest of the robot draws',
    'I_{others}',
    'current',
    'pack',
    'pack',
    typical(0, 'nothing else at work meanwhile'),
  ),
  'pack.dischargeLimit': figure('discharge limit', 'I_{dis}', 'current', 'pack', 'discharge'),
  'main.rated': figure('main breaker', 'I_{main}', 'current', 'branch', 'main breaker'),
  'main.holdMultiple': figure(
    'main hold multiple',
    'h_{main}',
    'number',
    'branch',
    'main breaker',
    rule('by the kind of breaker'),
  ),
  'main.timeConstant': figure(
    'main time constant',
    '\\tau_{main}',
    'time',
    'branch',
    'main breaker',
    rule('by the kind of breaker'),
  ),
  'main.gauge': figure('main wire', 'A_{main}', 'gauge', 'branch', 'wiring', typical(6, 'usual main wire')),
  'main.length': figure(
    'main wire, one way',
    'l_{main}',
    'length',
    'branch',
    'wiring',
    typical(0.3, 'pack beside the breaker'),
  ),
  'branch.rated': figure('branch breaker', 'I_{r}', 'current', 'branch', 'branch breaker'),
  'branch.holdMultiple': figure(
    'hold multiple',
    'h',
    'number',
    'branch',
    'branch breaker',
    rule('by the kind of breaker'),
  ),
  'branch.timeConstant': figure(
    'time constant',
    '\\tau',
    'time',
    'branch',
    'branch breaker',
    rule('by the kind of breaker'),
  ),
  'branch.gauge': figure('branch wire', 'A', 'gauge', 'branch', 'wiring', typical(12, 'usual motor branch')),
  'branch.length': figure(
    'branch wire, one way',
    'l',
    'length',
    'branch',
    'wiring',
    typical(0.6, 'across half a robot'),
  ),
  'controller.resistance': figure(
    'controller resistance',
    'R_{on}',
    'resistance',
    'controller',
    'controller',
    typical(0.005, 'two switches and short leads'),
  ),
  'controller.statorLimit': optional(figure('motor-side limit', 'I_{stator}', 'current', 'controller', 'controller')),
  'controller.supplyLimit': optional(figure('pack-side limit', 'I_{supply}', 'current', 'controller', 'controller')),
  'controller.lowestVoltage': figure('lowest voltage', 'V_{low}', 'voltage', 'controller', 'window'),
  'controller.highestVoltage': figure('highest voltage', 'V_{high}', 'voltage', 'controller', 'window'),
  'controller.greatestDuty': figure('greatest duty', 'd', 'share', 'controller', 'controller', typical(1, 'full on')),
  'controller.erpmLimit': figure('electrical speed limit', 'n_{e}', 'speed', 'controller', 'erpm'),
  'motor.ratedVoltage': figure('rated voltage', 'V_{r}', 'voltage', 'motor', 'motor'),
  'motor.freeSpeed': figure('free speed', '\\omega_{0}', 'speed', 'motor', 'motor'),
  'motor.freeCurrent': figure('free current', 'I_{0}', 'current', 'motor', 'motor'),
  'motor.stallTorque': figure('stall torque', 'T_{s}', 'torque', 'motor', 'motor'),
  'motor.stallCurrent': figure('stall current', 'I_{s}', 'current', 'motor', 'motor'),
  'motor.statedResistance': optional(figure('stated resistance', 'R', 'resistance', 'motor', 'motor')),
  'motor.statedKv': optional(figure('stated Kv', 'K_{v}', 'kv', 'motor', 'motor')),
  'motor.kv': figure('Kv', 'K_{v}', 'kv', 'motor', 'motor'),
  'motor.resistance': figure('resistance', 'R', 'resistance', 'motor', 'motor'),
  'motor.freeCurrentPerSpeed': figure(
    'free current per speed',
    'I_{1}',
    'drag',
    'motor',
    'motor',
    typical(0, 'unless measured'),
  ),
  'motor.rotorInertia': figure(
    'rotor inertia',
    'J_{r}',
    'inertia',
    'motor',
    'rotor',
    rule('a rotor of 0.4 of the mass and 0.6 of the can across'),
  ),
  'motor.mass': figure('motor mass', 'm_{motor}', 'mass', 'motor', 'heat'),
  'motor.canDiameter': optional(figure('can diameter', 'd_{can}', 'length', 'motor', 'rotor')),
  'motor.continuousCurrent': figure(
    'steady current',
    'I_{cont}',
    'current',
    'motor',
    'continuous',
    rule('from the motor’s mass: the winding just at its limit'),
  ),
  'motor.windingLimit': figure(
    'winding limit',
    'T_{lim}',
    'temperature',
    'motor',
    'heat',
    rule('120 °C brushed, 150 °C brushless'),
  ),
  'stage.ratio': figure('ratio', 'i', 'ratio', 'stage', 'train'),
  'stage.efficiency': figure('efficiency', '\\eta', 'share', 'stage', 'train', rule('by the kind of stage')),
  'stage.lead': figure('lead', 'p_{h}', 'length', 'stage', 'train'),
  'stage.leadAngle': figure('lead angle', '\\lambda', 'angle', 'stage', 'train'),
  'stage.flankAngle': figure(
    'flank angle',
    '\\alpha',
    'angle',
    'stage',
    'train',
    typical(0.2527, 'half of a 29° thread'),
  ),
  'stage.friction': figure('friction', '\\mu', 'number', 'stage', 'train', typical(0.12, 'steel on bronze, greased')),
  'output.wheelRadius': figure('wheel radius', 'r', 'length', 'output', 'output'),
  'output.mass': figure('robot mass', 'm', 'mass', 'output', 'load'),
  'output.grip': figure('grip of the tread', '\\mu', 'number', 'output', 'grip', typical(1, 'rubber tread on carpet')),
  'output.drivenShare': figure(
    'weight on driven wheels',
    'k_{d}',
    'share',
    'output',
    'grip',
    typical(1, 'every wheel driven'),
  ),
  'output.rollingResistance': figure(
    'rolling resistance',
    'c_{rr}',
    'number',
    'output',
    'load',
    typical(0.02, 'firm wheels on carpet'),
  ),
  'output.drumRadius': figure('drum radius', 'r', 'length', 'output', 'output'),
  'output.loadPerRope': figure('load moved per rope', 'k', 'number', 'output', 'output', typical(1, 'one plain rope')),
  'output.efficiency': figure('drum and pulley', '\\eta_{d}', 'share', 'output', 'output', typical(0.95, 'one pulley')),
  'output.ropeStrength': optional(figure('rope strength', 'F_{rope}', 'force', 'output', 'rope')),
  'job.mass': figure('load', 'm', 'mass', 'load', 'load'),
  'job.distance': figure('how far', 's', 'length', 'load', 'job'),
  'job.time': figure('in what time', 't', 'time', 'load', 'job'),
  'job.every': figure('once every', 't_{every}', 'time', 'load', 'job', typical(15, 'a busy match')),
  'job.held': figure('held for', 't_{held}', 'time', 'load', 'job', typical(10, 'until the piece is placed')),
  'job.shock': figure('shock factor', 'k_{s}', 'number', 'load', 'job', typical(1, 'a smooth start')),
  'job.slope': figure('slope', '\\gamma', 'angle', 'load', 'load', rule('level for wheels, straight up for a lift')),
  'job.friction': figure('slide friction', 'F_{f}', 'force', 'load', 'load', rule('5 % of the load’s weight')),
  'job.counterforce': figure('counterforce', 'F_{c}', 'force', 'load', 'load', typical(0, 'no spring or weight helps')),
  'job.push': figure('push', 'F_{push}', 'force', 'load', 'load'),
  'job.pushSpeed': figure('pushing speed', 'v', 'velocity', 'load', 'job', typical(0.2, 'leaning on the other robot')),
  'job.speed': optional(figure('speed needed', 'v', 'velocity', 'load', 'job')),
  'job.acceleration': optional(figure('acceleration needed', 'a', 'acceleration', 'load', 'job')),
  ambient: figure('air around it', 'T_{a}', 'temperature', 'motor', 'heat', typical(25, 'a warm hall')),
} as const satisfies Record<string, FigureMeta>;

export type FigureName = keyof typeof FIGURES;

/** The table's row, seen by its general type. */
export const figureMeta = (name: FigureName): FigureMeta => FIGURES[name];
