import type { Dimension } from '@rough-gear/core';

/** The kinds of part whose sheets are read. */
export const SHEET_KINDS = ['motor', 'servo', 'stepper', 'controller', 'pack'] as const;
export type SheetKind = (typeof SHEET_KINDS)[number];

export const isSheetKind = (kind: string): kind is SheetKind => SHEET_KINDS.some((one) => one === kind);

/** A figure that sheets of a kind have: how they call it, and between what it usually lies, in SI. */
export interface SheetField {
  readonly name: string;
  readonly dimension: Dimension | 'count';
  /** Whole label, in small letters, without what stands in brackets and without volts it is told for. */
  readonly label: RegExp;
  readonly usual: readonly [number, number];
  /** Instead of the name, where one label may mean either. */
  readonly either?: readonly string[];
}

const RPM = Math.PI / 30;
const figure = (
  name: string,
  dimension: SheetField['dimension'],
  label: string,
  usual: readonly [number, number],
  more: Pick<SheetField, 'either'> = {},
): SheetField => ({ name, dimension, label: new RegExp(`^(?:${label})$`), usual, ...more });

const MASS = figure(
  'mass',
  'mass',
  '(?:net |motor |unit |total |servo |pack |approx )*(?:weight|mass)(?: approx)?',
  [0.001, 60],
);
const PRICE = figure('price', 'number', '(?:unit |list |our )?price(?: each)?|cost', [0.05, 5000]);
const SHAFT = figure(
  'shaftDiameter',
  'length',
  '(?:output |motor )?shaft(?: diameter| dia| size| od)?|diameter of (?:the )?shaft',
  [0.0008, 0.06],
);
const INERTIA = figure(
  'rotorInertia',
  'inertia',
  '(?:rotor )?(?:moment of )?inertia(?: of (?:the )?rotor)?|rotor inertia|jr',
  [1e-10, 0.1],
);
const DETENT = figure('detentTorque', 'torque', '(?:detent|cogging|residual) torque', [1e-5, 20]);

/** What the sheets of a kind are read for. The names are those of the plan file. */
export const SHEET_FIELDS: Readonly<Record<SheetKind, readonly SheetField[]>> = {
  motor: [
    figure(
      'ratedVoltage',
      'voltage',
      '(?:rated|nominal|test|reference|supply) (?:voltage|volts)|voltage|volts',
      [1, 120],
    ),
    figure(
      'freeSpeed',
      'speed',
      '(?:no load|noload|free|free run(?:ning)?|unloaded) (?:speed|rpm)|speed (?:at )?(?:no load|free)|n0',
      [20 * RPM, 120_000 * RPM],
    ),
    figure(
      'freeCurrent',
      'current',
      '(?:no load|noload|free|free run(?:ning)?|idle|unloaded) (?:current|amps)|current (?:at )?no load|i ?0|io',
      [0.005, 40],
    ),
    figure(
      'stallTorque',
      'torque',
      '(?:stall|starting|locked rotor|blocked rotor) torque|torque (?:at )?stall',
      [1e-4, 500],
    ),
    figure(
      'stallCurrent',
      'current',
      '(?:stall|starting|locked rotor|blocked rotor) (?:current|amps)|current (?:at )?stall',
      [0.05, 3000],
    ),
    figure(
      'resistance',
      'resistance',
      '(?:motor |internal |winding |terminal |armature |phase to phase |line to line |coil |dc )*resistance(?: phase to phase| line to line| terminal)?|r ?m|r ?i|r',
      [1e-4, 100],
    ),
    figure(
      'kv',
      'kv',
      '(?:motor )?(?:kv|velocity constant|speed constant)(?: rating| value| constant)?|rpm (?:/|per) ?v(?:olt)?|rpm/volt',
      [2 * RPM, 20_000 * RPM],
    ),
    figure('torqueConstant', 'torque constant', '(?:motor )?torque constant|kt|km t|k t', [1e-5, 20]),
    figure('turns', 'number', '(?:number of )?turns|winding turns|winds?', [1, 120]),
    figure(
      'continuousCurrent',
      'current',
      '(?:max(?:imum)? )?(?:continuous|cont|rated|nominal) (?:current|amps)|current (?:continuous|rated)',
      [0.05, 400],
    ),
    figure(
      'highestVoltage',
      'voltage',
      '(?:max(?:imum)?|highest|absolute max) (?:input |operating |supply )?(?:voltage|volts)',
      [1, 150],
    ),
    figure(
      'highestSpeed',
      'speed',
      '(?:max(?:imum)?|highest|top|permissible) (?:rotor |motor |permissible )?(?:speed|rpm|revolutions)',
      [100 * RPM, 150_000 * RPM],
    ),
    figure(
      'windingLimit',
      'temperature',
      '(?:max(?:imum)? )?(?:winding|coil|motor|operating) temp(?:erature)?(?: limit| max)?',
      [60, 220],
    ),
    figure(
      'canDiameter',
      'length',
      '(?:motor |can |outer |outside |case |body |housing )+(?:diameter|dia|od)|diameter|outside dia',
      [0.006, 0.4],
    ),
    figure('length', 'length', '(?:motor |can |body |case |housing )+length|length(?: without shaft)?', [0.006, 0.4]),
    figure('poles', 'count', '(?:number of |no of |rotor |magnet )*(?:poles|magnets)(?: count)?|pole count', [2, 80]),
    figure('polePairs', 'count', '(?:number of |no of )?pole pairs?|pairs of poles', [1, 40]),
    figure(
      'slots',
      'count',
      '(?:number of |no of |stator )*(?:slots|arms|bars|stator teeth)(?: count)?|slot count',
      [3, 90],
    ),
    DETENT,
    INERTIA,
    SHAFT,
    MASS,
    PRICE,
  ],
  servo: [
    figure(
      'stallTorque',
      'torque',
      '(?:max(?:imum)? )?(?:stall |output |holding )?torque(?: max| stall| stalled)?|stall',
      [0.005, 100],
    ),
    figure('stallForce', 'force', '(?:max(?:imum)? )?(?:stall |push |thrust )?force', [0.5, 5000]),
    figure(
      'speed',
      'turning',
      '(?:max(?:imum)? |operating |no load |working |transit )*(?:speed|transit time|transit)(?: no load)?(?: 60)?|speed s 60|sec 60|rpm',
      [0.2, 60],
    ),
    figure('velocity', 'velocity', '(?:max(?:imum)? |no load )?(?:linear |travel )?(?:speed|velocity)', [0.0005, 1]),
    figure(
      'stallCurrent',
      'current',
      '(?:stall|max(?:imum)?|peak) (?:current|draw)(?: draw)?|current (?:at )?stall',
      [0.05, 40],
    ),
    figure('idleCurrent', 'current', '(?:idle|standby|quiescent|static|rest) current(?: draw)?', [0.0005, 0.5]),
    figure(
      'runningCurrent',
      'current',
      '(?:running|operating|no load|working|moving) current(?: draw)?(?: no load)?',
      [0.02, 6],
    ),
    figure(
      'voltage',
      'voltage',
      '(?:operating |working |rated |supply |input )*(?:voltage|volts)(?: range)?|volts',
      [2, 60],
    ),
    figure('highestVoltage', 'voltage', '(?:max(?:imum)?|highest) (?:operating |input )?(?:voltage|volts)', [2, 60]),
    figure(
      'travel',
      'angle',
      '(?:max(?:imum)? |total |operating |rotation(?:al)? |control |running )*(?:travel|angle|rotation|range|throw)(?: of (?:travel|motion|rotation))?(?: degrees?)?',
      [0.3, 80],
    ),
    figure('stroke', 'length', '(?:max(?:imum)? )?stroke(?: length)?', [0.003, 1]),
    figure('deadband', 'pulse', 'dead ?band(?: width| setting)?|dead (?:bandwidth|zone)', [1e-7, 3e-5]),
    figure(
      'pulse',
      'pulse',
      '(?:control |signal |operating |working )*pulse(?: width)?(?: range)?|(?:max(?:imum)? )?(?:pwm|pulse)(?: signal)?(?: range)?|pulse width modulation',
      [2e-4, 3e-3],
    ),
    figure('slop', 'angle', '(?:gear )?(?:play|slop|backlash)', [0.0002, 0.2]),
    figure(
      'splineTeeth',
      'count',
      '(?:output |servo )*(?:shaft )?spline(?: teeth| count)?|horn spline|output shaft teeth',
      [9, 40],
    ),
    MASS,
    PRICE,
  ],
  stepper: [
    figure('holdingTorque', 'torque', '(?:min(?:imum)? )?holding torque(?: 2 phases? on)?|static torque', [0.003, 200]),
    figure(
      'ratedCurrent',
      'current',
      '(?:rated |nominal )?(?:current|phase current|amps)(?: ?(?:/|per) ?phase)?(?: rated)?',
      [0.02, 30],
    ),
    figure(
      'phaseResistance',
      'resistance',
      '(?:phase |coil |winding |dc )*resistance(?: ?(?:/|per) ?(?:phase|coil))?',
      [0.02, 500],
    ),
    figure(
      'phaseInductance',
      'inductance',
      '(?:phase |coil |winding )*inductance(?: ?(?:/|per) ?(?:phase|coil))?',
      [1e-5, 1],
    ),
    figure('stepAngle', 'angle', '(?:basic |full )?step(?:ping)? angle|angle (?:of a|per) step', [0.0005, 0.4]),
    figure('stepsPerTurn', 'count', '(?:full )?steps (?:/|per|a|of a) ?(?:turn|rev(?:olution)?)', [20, 1000]),
    figure('leads', 'count', '(?:number of |no of )?(?:leads?|wires?|lead wires)(?: count| no)?', [4, 8]),
    DETENT,
    INERTIA,
    SHAFT,
    MASS,
    PRICE,
  ],
  controller: [
    figure(
      'voltage',
      'voltage',
      '(?:input |operating |supply |working |battery |rated |nominal )*(?:voltage|volts)(?: range)?|input|supply',
      [3, 120],
    ),
    figure(
      'lowestVoltage',
      'voltage',
      '(?:min(?:imum)?|least|lowest) (?:input |operating )?(?:voltage|volts)',
      [2, 100],
    ),
    figure(
      'highestVoltage',
      'voltage',
      '(?:max(?:imum)?|most|highest) (?:input |operating |battery )?(?:voltage|volts)',
      [3, 120],
    ),
    figure(
      'statorLimit',
      'current',
      '(?:max(?:imum)? |continuous )*(?:motor|phase|motor side|stator)(?: side)? (?:current|amps)(?: limit| max)?(?: continuous)?|motor side limit',
      [0.5, 1000],
    ),
    figure(
      'supplyLimit',
      'current',
      '(?:max(?:imum)? |continuous )*(?:battery|pack|pack side|supply|input|dc)(?: side)? (?:current|amps)(?: limit| max)?(?: continuous)?|pack side limit',
      [0.5, 1000],
    ),
    figure(
      'current',
      'current',
      '(?:max(?:imum)? )?(?:rated |continuous |cont |constant |nominal |output )*current(?: rating| continuous)?|amps|cont(?:inuous)?/(?:burst|peak|max) current|(?:continuous|constant) output',
      [0.5, 1000],
      { either: ['statorLimit', 'supplyLimit', 'continuousCurrent'] },
    ),
    figure('brakeLimit', 'current', '(?:motor (?:side )?|phase )(?:brake|braking) current(?: limit)?', [0.5, 1000]),
    figure(
      'returnLimit',
      'current',
      '(?:regen(?:erative|eration)?|return(?:ed)?|charge|battery regen) current(?: limit)?',
      [0.5, 1000],
    ),
    figure(
      'resistance',
      'resistance',
      '(?:on |internal |bridge |fet )*resistance(?: on)?|on state resistance|rds on',
      [1e-5, 1],
    ),
    figure('erpmLimit', 'speed', '(?:max(?:imum)? )?(?:erpm|electrical (?:rpm|speed))(?: limit| max)?', [
      1000 * RPM,
      1e6 * RPM,
    ]),
    figure('leastErpm', 'speed', '(?:min(?:imum)?|least) (?:erpm|electrical (?:rpm|speed))', [10 * RPM, 20_000 * RPM]),
    figure('greatestDuty', 'share', '(?:max(?:imum)?|greatest) duty(?: cycle)?', [0.5, 1]),
    MASS,
    PRICE,
  ],
  pack: [
    figure('voltage', 'voltage', '(?:rated |nominal |pack |battery )*(?:voltage|volts)(?: nominal)?', [1, 120]),
    figure(
      'capacity',
      'charge',
      '(?:rated |nominal |typical |min(?:imum)? |battery )*(?:capacity|charge)(?: 20 ?h(?:r)?)?',
      [180, 7.2e5],
    ),
    figure(
      'cellResistance',
      'resistance',
      '(?:cell )(?:internal )?(?:resistance|impedance)|(?:internal )?(?:resistance|impedance|ir) (?:per|of a|/) ?cell',
      [5e-5, 1],
    ),
    figure('packResistance', 'resistance', '(?:pack |battery |internal )*(?:resistance|impedance)|ir', [1e-4, 10]),
    figure(
      'dischargeLimit',
      'current',
      '(?:max(?:imum)? )?(?:continuous |cont |constant )*discharge(?: current| rate)?(?: max| continuous)?',
      [0.1, 2000],
    ),
    figure(
      'chargeLimit',
      'current',
      '(?:max(?:imum)? )?(?:continuous |initial )?charg(?:e|ing) (?:current|rate)(?: max)?',
      [0.01, 500],
    ),
    figure('series', 'count', '(?:number of |no of )?cells(?: in series)?|cell count|series', [1, 30]),
    figure('parallel', 'count', '(?:cells )?(?:in )?parallel', [1, 60]),
    MASS,
    PRICE,
  ],
};
