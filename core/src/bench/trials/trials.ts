import { START_NAMES } from '../../models/controller/leastSpeed.js';
import { SPUN_METERS } from './motorTrials.js';
import type { Dimension } from '../../plan/words/dimension.js';

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
  'least-speed',
  'drag-offset',
  'ramp',
  'go',
  'logged-go',
  'match-log',
] as const;
export type TrialKind = (typeof TRIAL_KINDS)[number];

/** One column of its table of readings. */
export interface TrialColumn {
  readonly key: string;
  readonly label: string;
  readonly dimension: Dimension;
  /** May be left empty in a row. */
  readonly optional?: true;
  /** Of one that is chosen rather than read: its values, and what they mean. */
  readonly options?: readonly (readonly [value: number, label: string])[];
}

/** One figure that is not read off at each row, but known or measured once beside them. */
export interface TrialGiven {
  readonly key: string;
  readonly label: string;
  readonly dimension: Dimension;
  /** Where it comes from. */
  readonly how: string;
}

/** One thing to say about the whole trial. */
export interface TrialSaid {
  readonly key: string;
  readonly label: string;
  readonly options: readonly [string, ...string[]];
  /** How an option is told, where that is more than its word. */
  readonly names?: Readonly<Record<string, string>>;
}

/** What is measured: a kind of part by itself, or a mechanism as it stands. */
export type TrialAbout = 'motor' | 'pack' | 'stepper' | 'servo' | 'mechanism' | 'robot';

/** How a measurement is done: what to connect and set, what to mind, what to read. */
export interface TrialSheet {
  readonly kind: TrialKind;
  readonly name: string;
  readonly about: TrialAbout;
  /** What it takes of a team, with the setting up. */
  readonly minutes: number;
  readonly people: number;
  readonly given: readonly TrialGiven[];
  readonly said: readonly TrialSaid[];
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
  /** Of a live line: one reading where it stands still, or each line by itself. */
  readonly live: 'when it stands' | 'each line';
}

/** Ways a controller finds its feet, as they are chosen on the sheet. */
const START_STYLES = ['sensors', 'forced', 'bump'] as const;

const column = (key: string, label: string, dimension: Dimension): TrialColumn => ({ key, label, dimension });
const given = (key: string, label: string, dimension: Dimension, how: string): TrialGiven => ({
  key,
  label,
  dimension,
  how,
});
const chosen = (
  key: string,
  label: string,
  options: readonly (readonly [value: number, label: string])[],
): TrialColumn => ({ key, label, dimension: 'number', options });
const WAYS = [
  [1, 'up'],
  [0, 'down'],
] as const;
const VOLTS = column('voltage', 'volts at the motor', 'voltage');
const AMPERES = column('current', 'amperes', 'current');
const SPEED = column('speed', 'speed of the shaft', 'speed');
const TIME = column('time', 'time', 'time');

const CLAMP = 'Clamp the motor: it twists when it starts.';
const EYES = 'Eye protection; hair, sleeves and cords away from what turns.';
const FUSE = 'A fuse for the motor’s current in the supply, and the supply within reach.';

const SHEETS: Readonly<Record<TrialKind, Omit<TrialSheet, 'kind'>>> = {
  'free-run': {
    name: 'Free run',
    about: 'motor',
    minutes: 10,
    people: 1,
    given: [given('resistance', 'resistance of motor and leads', 'resistance', 'from a short stall, or the sheet’s')],
    said: [],
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
    live: 'when it stands',
  },
  stall: {
    name: 'Short stall',
    about: 'motor',
    minutes: 12,
    people: 2,
    given: [given('freeCurrent', 'free current', 'current', 'from a free run, or the sheet’s')],
    said: [],
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
    live: 'when it stands',
  },
  spun: {
    name: 'Spun by a drill',
    about: 'motor',
    minutes: 8,
    people: 2,
    given: [],
    said: [{ key: 'meter', label: 'the meter shows', options: SPUN_METERS }],
    gives: 'Ke and Kv without any current',
    connect: ['Shaft in a drill’s chuck, leads open, the meter across two of them.'],
    set: ['Two speeds or more; say what the meter shows: direct volts, peak, r.m.s., or behind a bridge.'],
    cautions: [EYES, 'Hold the motor in a vise, not in the hand; open leads bite above 60 V.'],
    columns: [SPEED, column('voltage', 'volts across two leads', 'voltage')],
    fewest: 1,
    good: 4,
    live: 'when it stands',
  },
  'coast-down': {
    name: 'Coast-down',
    about: 'motor',
    minutes: 10,
    people: 1,
    given: [
      given(
        'inertia',
        'inertia of all that turns',
        'inertia',
        'rotor and what sits on it; wrong, both figures are wrong alike',
      ),
    ],
    said: [{ key: 'turns', label: 'what turns', options: ['the motor alone', 'the whole mechanism'] }],
    gives: 'friction and drag that grows with speed, given the inertia',
    connect: ['The wheel or output lifted and free; a tachometer that tells speed against time.'],
    set: ['Run it up, let go, read until a third of the speed is left.'],
    cautions: ['A clear zone round it; it turns on for long after the power has gone.', EYES],
    columns: [TIME, SPEED],
    fewest: 3,
    good: 12,
    live: 'each line',
  },
  pack: {
    name: 'Pack under load',
    about: 'pack',
    minutes: 15,
    people: 1,
    given: [],
    said: [],
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
    live: 'when it stands',
  },
  pull: {
    name: 'Pull on a scale',
    about: 'mechanism',
    minutes: 10,
    people: 2,
    given: [],
    said: [],
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
    live: 'when it stands',
  },
  'step-ladder': {
    name: 'Ladder of rates',
    about: 'stepper',
    minutes: 15,
    people: 1,
    given: [],
    said: [{ key: 'ramp', label: 'each go', options: ['with the ramp', 'at once'] }],
    gives: 'the fastest rate that keeps its steps',
    connect: ['A mark on the shaft and one beside it; the load it will have.'],
    set: ['So many steps there and back at each rate, with the ramp or without; then look at the mark.'],
    cautions: [CLAMP, 'Never unplug the motor from a driver that is on.'],
    columns: [
      column('rate', 'full steps a second', 'rate'),
      chosen('kept', 'its steps', [
        [1, 'kept'],
        [0, 'lost'],
      ]),
    ],
    fewest: 2,
    good: 8,
    live: 'each line',
  },
  'servo-currents': {
    name: 'Servo currents',
    about: 'servo',
    minutes: 6,
    people: 1,
    given: [],
    said: [],
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
    live: 'each line',
  },
  'servo-line': {
    name: 'Pulse and angle',
    about: 'servo',
    minutes: 10,
    people: 1,
    given: [
      given('shortest', 'shortest pulse', 'pulse', 'as its sheet allows'),
      given('longest', 'longest pulse', 'pulse', 'as its sheet allows'),
    ],
    said: [],
    gives: 'the line of pulses, the play, and the travel it really has',
    connect: ['A pointer on the horn over a protractor.'],
    set: ['The same pulses on the way up and on the way down.'],
    cautions: ['The first pulse moves it at full speed.', 'Stay within the pulses its sheet allows.'],
    columns: [column('pulse', 'pulse', 'pulse'), column('angle', 'angle', 'angle'), chosen('way', 'on the way', WAYS)],
    fewest: 4,
    good: 10,
    live: 'each line',
  },
  warmth: {
    name: 'Warmth of a case',
    about: 'motor',
    minutes: 40,
    people: 1,
    given: [
      given('ambient', 'air around it', 'temperature', 'a thermometer beside it'),
      given(
        'watts',
        'watts that stay inside',
        'power',
        'volts times amperes at a stall; less what comes out where it turns',
      ),
    ],
    said: [],
    gives: 'how well the case sheds heat, and how much it takes',
    connect: ['A thermometer in contact with the case, out of the draught.'],
    set: ['A steady current at rest or under a steady load; note the watts that stay inside.'],
    cautions: [
      'A case may be hot enough to burn skin: do not feel it by hand.',
      'Stop before the winding’s limit, or where it smells.',
    ],
    columns: [TIME, column('temperature', 'on the case', 'temperature')],
    fewest: 3,
    good: 10,
    live: 'each line',
  },
  'least-speed': {
    name: 'Least speed',
    about: 'mechanism',
    minutes: 10,
    people: 1,
    given: [
      given('polePairs', 'pole pairs', 'number', 'magnets of the motor over two; with its internal gear, times that'),
    ],
    said: [{ key: 'start', label: 'starts', options: START_STYLES, names: START_NAMES }],
    gives: 'the slowest turning at which motor and controller keep in step, on the way up and on the way down',
    connect: ['The wheel or output free; a tachometer on it or on the motor.'],
    set: ['Raise the command in small steps until it turns and keeps turning; lower it until it stops.'],
    cautions: ['It may jump into motion: a clear zone round it.', EYES],
    columns: [
      column('speed', 'speed of the shaft', 'speed'),
      chosen('keeps', 'turning', [
        [1, 'keeps on'],
        [0, 'stops'],
      ]),
      chosen('way', 'on the way', WAYS),
    ],
    fewest: 2,
    good: 8,
    live: 'each line',
  },
  'drag-offset': {
    name: 'Offset against drag',
    about: 'mechanism',
    minutes: 10,
    people: 1,
    given: [],
    said: [],
    gives: 'the small steady current that cancels the drag of running idle',
    connect: ['The robot or the wheel rolling free; the controller’s offset as it is set.'],
    set: ['Push it at each offset: does it slow down, coast, or creep off by itself?'],
    cautions: ['It may creep off by itself: keep a hand on the switch, wheels lifted at first.'],
    columns: [
      column('offset', 'offset', 'current'),
      chosen('does', 'left alone it', [
        [-1, 'slows down'],
        [0, 'coasts'],
        [1, 'creeps off'],
      ]),
    ],
    fewest: 2,
    good: 6,
    live: 'each line',
  },
  ramp: {
    name: 'Start on a ramp',
    about: 'mechanism',
    minutes: 15,
    people: 2,
    given: [],
    said: [{ key: 'sensors', label: 'its motor', options: ['with sensors', 'without sensors'] }],
    gives: 'the steepest slope it starts on, and how far it rolls back first',
    connect: ['The robot with all its mass on a board; tape where the wheel stands.'],
    set: ['Hold it on the slope, let go, full command; then a steeper one. Do both ways of finding its feet.'],
    cautions: [
      'Nobody below it. A line to hold it by, or a stop at the foot of the board.',
      'A motor that does not start stalls: at most two seconds.',
    ],
    columns: [
      column('slope', 'slope', 'angle'),
      chosen('started', 'on command it', [
        [1, 'starts'],
        [0, 'stays'],
      ]),
      { ...column('rolled', 'rolled back', 'length'), optional: true },
    ],
    fewest: 2,
    good: 6,
    live: 'each line',
  },
  go: {
    name: 'Timed run',
    about: 'mechanism',
    minutes: 5,
    people: 2,
    given: [],
    said: [],
    gives: 'time, peak current and least volts of the job as it is really done',
    connect: ['The mechanism as in a match; a stopwatch or the controller’s log.'],
    set: ['The same job, three times or more, on a pack whose charge is known.'],
    cautions: [
      'Hands and cables out of its reach; someone at the switch.',
      'What is lifted may fall: nobody below it.',
    ],
    columns: [
      column('time', 'time of the go', 'time'),
      { ...column('peak', 'peak current', 'current'), optional: true },
      { ...column('mean', 'mean current', 'current'), optional: true },
      { ...column('least', 'least volts', 'voltage'), optional: true },
      { ...column('rest', 'volts before it', 'voltage'), optional: true },
    ],
    fewest: 1,
    good: 4,
    live: 'each line',
  },
  'logged-go': {
    name: 'Go with a log',
    about: 'mechanism',
    minutes: 10,
    people: 2,
    given: [],
    said: [],
    gives: 'speed, current and volts over time, laid over the run that is predicted',
    connect: ['The mechanism as in a match; the controller’s log, or a rig, from standing to standing.'],
    set: ['One go; begin the log with the command, end it where the go ends.'],
    cautions: [
      'Hands and cables out of its reach; someone at the switch.',
      'What is lifted may fall: nobody below it.',
    ],
    columns: [
      TIME,
      { ...column('speed', 'speed of the motor', 'speed'), optional: true },
      { ...column('current', 'current of the pack', 'current'), optional: true },
      { ...column('voltage', 'volts of the pack', 'voltage'), optional: true },
    ],
    fewest: 5,
    good: 100,
    live: 'each line',
  },
  'match-log': {
    name: 'Log of a match',
    about: 'robot',
    minutes: 10,
    people: 1,
    given: [],
    said: [],
    gives: 'volts and amperes of a real match, laid over the one that is predicted',
    connect: ['The robot’s own log, or a logger in the main lead, from before the match to after it.'],
    set: ['Keep the file: its columns are said once, on the page of the robot, each mechanism’s own channel too.'],
    cautions: ['Fix a logger and its leads well: nothing may come loose in a match.', 'Event rules may forbid it.'],
    columns: [
      TIME,
      { ...column('voltage', 'volts of the pack', 'voltage'), optional: true },
      { ...column('current', 'current of the pack', 'current'), optional: true },
    ],
    fewest: 5,
    good: 1000,
    live: 'each line',
  },
};
export const TRIALS: readonly TrialSheet[] = TRIAL_KINDS.map((kind) => ({ kind, ...SHEETS[kind] }));

/**
 * How a kind of trial is done.
 *
 * @example trialSheet('pack').fewest //=> 2
 */
export const trialSheet = (kind: TrialKind): TrialSheet => TRIALS[TRIAL_KINDS.indexOf(kind)]!;
