import type { Dimension } from '../words/dimension.js';

/** Every guided measurement there is. */
export const TRIAL_KINDS = [
  'free-run',
  'stall',
  'spun',
  'coast-down',
  'pack',
  'pull',
  'step-ladder',
  'servo-currents',
  'servo-line',
  'warmth',
] as const;
export type TrialKind = (typeof TRIAL_KINDS)[number];

/** One column of its table of readings. */
export interface TrialColumn {
  readonly key: string;
  readonly label: string;
  readonly dimension: Dimension;
  /** May be left empty in a row. */
  readonly optional?: true;
}

/** How a measurement is done: what to connect and set, what to mind, what to read. */
export interface TrialSheet {
  readonly kind: TrialKind;
  readonly name: string;
  /** What comes out of it, in words. */
  readonly gives: string;
  readonly connect: readonly string[];
  readonly set: readonly string[];
  /** Of this very trial, where hands are. */
  readonly cautions: readonly string[];
  readonly columns: readonly TrialColumn[];
  /** Rows without which nothing is fitted, and how many make a good one. */
  readonly fewest: number;
  readonly good: number;
}

const column = (key: string, label: string, dimension: Dimension): TrialColumn => ({ key, label, dimension });
const VOLTS = column('voltage', 'volts at the motor', 'voltage');
const AMPERES = column('current', 'amperes', 'current');
const SPEED = column('speed', 'speed of the shaft', 'speed');
const TIME = column('time', 'time', 'time');

const CLAMP = 'Clamp the motor: it twists when it starts.';
const EYES = 'Eye protection; hair, sleeves and cords away from what turns.';
const FUSE = 'A fuse for the motor’s current in the supply, and the supply within reach.';

export const TRIALS: readonly TrialSheet[] = [
  {
    kind: 'free-run',
    name: 'Free run',
    gives: 'Ke and Kv, the free current and how it grows with speed',
    connect: [
      'Motor to a supply, ammeter in one lead, voltmeter at the motor’s own terminals.',
      'Nothing on its shaft; a mark for the tachometer.',
    ],
    set: ['Three volts or more, evenly from a quarter to all it is rated at.', 'Wait at each until the amperes stand.'],
    cautions: [CLAMP, EYES, FUSE],
    columns: [VOLTS, SPEED, AMPERES],
    fewest: 3,
    good: 6,
  },
  {
    kind: 'stall',
    name: 'Short stall',
    gives: 'resistance, what the brushes keep, and torque for each ampere',
    connect: ['An arm on the shaft against a scale; voltmeter at the motor’s terminals, ammeter in one lead.'],
    set: ['A few volts only, several different ones; turn the rotor a little between two readings.'],
    cautions: [
      'At most one second each: all of its power stays in the winding. Let it cool in between.',
      'The arm against a stop that cannot slip, hands out of its way.',
      CLAMP,
      FUSE,
    ],
    columns: [VOLTS, AMPERES, { ...column('torque', 'torque, arm times force', 'torque'), optional: true }],
    fewest: 2,
    good: 6,
  },
  {
    kind: 'spun',
    name: 'Spun by a drill',
    gives: 'Ke and Kv without any current',
    connect: ['Shaft in a drill’s chuck, leads open, the meter across two of them.'],
    set: ['Two speeds or more; say what the meter shows: direct volts, peak, r.m.s., or behind a bridge.'],
    cautions: [EYES, 'Hold the motor in a vise, not in the hand; open leads bite above 60 V.'],
    columns: [SPEED, column('voltage', 'volts across two leads', 'voltage')],
    fewest: 1,
    good: 4,
  },
  {
    kind: 'coast-down',
    name: 'Coast-down',
    gives: 'friction and drag that grows with speed, given the inertia',
    connect: ['The wheel or output lifted and free; a tachometer that tells speed against time.'],
    set: ['Run it up, let go, read until a third of the speed is left.'],
    cautions: ['A clear zone round it; it turns on for long after the power has gone.', EYES],
    columns: [TIME, SPEED],
    fewest: 3,
    good: 12,
  },
  {
    kind: 'pack',
    name: 'Pack under load',
    gives: 'volts at rest and resistance, leads and plugs with them',
    connect: ['Voltmeter where the robot is fed, ammeter in the main lead.'],
    set: ['Two loads or more, far apart; read a second after each is on.'],
    cautions: [
      'Fuse it for the greatest load. Never below the cells’ floor, never a swollen or warm pack.',
      'Loads get hot: on something that does not burn.',
    ],
    columns: [AMPERES, column('voltage', 'volts', 'voltage')],
    fewest: 2,
    good: 5,
  },
  {
    kind: 'pull',
    name: 'Pull on a scale',
    gives: 'pull for each ampere through the train, and what is lost before it pulls',
    connect: ['The hook or the robot on a scale that stands fast; amperes of one motor.'],
    set: ['Current limits from a fifth to all of it, one after the other.'],
    cautions: [
      'At most two seconds each; the motors stand and warm.',
      'Nobody in line with rope and scale: what breaks flies along it.',
      'Power off before touching.',
    ],
    columns: [AMPERES, column('force', 'pull', 'force')],
    fewest: 2,
    good: 6,
  },
  {
    kind: 'step-ladder',
    name: 'Ladder of rates',
    gives: 'the fastest rate that keeps its steps',
    connect: ['A mark on the shaft and one beside it; the load it will have.'],
    set: ['So many steps there and back at each rate, with the ramp or without; then look at the mark.'],
    cautions: [CLAMP, 'Never unplug the motor from a driver that is on.'],
    columns: [column('rate', 'full steps a second', 'rate'), column('kept', 'kept its steps, 1 or 0', 'number')],
    fewest: 2,
    good: 8,
  },
  {
    kind: 'servo-currents',
    name: 'Servo currents',
    gives: 'what it draws idle, moving and stalled',
    connect: ['Ammeter in the servo’s plus; volts at its plug.'],
    set: ['Idle; moving to and fro without load; stalled for a moment against a stop.'],
    cautions: ['Stalled at most one second, then let it cool.', 'Fingers out of the horn’s way.'],
    columns: [
      column('idle', 'idle', 'current'),
      column('moving', 'moving', 'current'),
      { ...column('stalled', 'stalled', 'current'), optional: true },
    ],
    fewest: 1,
    good: 5,
  },
  {
    kind: 'servo-line',
    name: 'Pulse and angle',
    gives: 'the line of pulses, the play, and the travel it really has',
    connect: ['A pointer on the horn over a protractor.'],
    set: ['The same pulses on the way up and on the way down.'],
    cautions: ['The first pulse moves it at full speed.', 'Stay within the pulses its sheet allows.'],
    columns: [
      column('pulse', 'pulse', 'pulse'),
      column('angle', 'angle', 'angle'),
      column('way', 'up 1, down 0', 'number'),
    ],
    fewest: 4,
    good: 10,
  },
  {
    kind: 'warmth',
    name: 'Warmth of a case',
    gives: 'how well the case sheds heat, and how much it takes',
    connect: ['A thermometer in contact with the case, out of the draught.'],
    set: ['A steady current at rest or under a steady load; note the watts that stay inside.'],
    cautions: ['Cases over 60 °C burn skin.', 'Stop before the winding’s limit, or where it smells.'],
    columns: [TIME, column('temperature', 'on the case', 'temperature')],
    fewest: 3,
    good: 10,
  },
];

/**
 * How a kind of trial is done.
 *
 * @example trialSheet('pack').fewest //=> 2
 */
export const trialSheet = (kind: TrialKind): TrialSheet => TRIALS.find((sheet) => sheet.kind === kind)!;
