import type { TrialKind } from '../trials/trials.js';
import { randomFrom } from '../../judge/spread/random.js';
import { programmeOf } from './programmes.js';
import { bell, type RigTruth } from './truth.js';

/** One line of the rig, and when it is sent: seconds after it was started. */
export interface RigLine {
  readonly at: number;
  readonly text: string;
}

export interface RigOptions {
  readonly seed: number;
  /** Without drop-outs, garbled lines, other units and tripped breakers. */
  readonly wellBehaved?: boolean;
  /** Of what turns on it, where the trial says so; the rig’s own disc otherwise, kg·m². */
  readonly inertia?: number;
}

/** Of a unit of the header, SI for one of it. */
export const RIG_UNITS: Readonly<Record<string, number>> = {
  s: 1,
  ms: 1e-3,
  us: 1e-6,
  V: 1,
  mV: 1e-3,
  A: 1,
  mA: 1e-3,
  rpm: Math.PI / 30,
  N: 1,
  Nm: 1,
  deg: Math.PI / 180,
  degC: 1,
  Hz: 1,
  m: 1,
  mm: 1e-3,
};

/** "t_s" is in s; "A" is a unit by itself; "kept" has none. */
const perUnit = (column: string): number => RIG_UNITS[column.split('_').at(-1)!] ?? 1;

/** Lines between which it turns to another unit, and lines for which it stays silent. */
const OTHER_UNIT_FOR = 20;
const SILENT_FOR = 5;
const SILENCE = 0.012;
const GARBLED = 0.006;

/**
 * All lines of the simulated rig for one trial, header first: a reading a line, with noise; now and then the line is gone for
 * a moment, garbled, or in milliamperes under a header that says so.
 *
 * @example [...rigLines('pack', truthOf({}, 1), { seed: 1 })][0].text //=> 't_s,A,V'
 */
export function* rigLines(
  kind: TrialKind,
  truth: RigTruth,
  { seed, wellBehaved, inertia }: RigOptions,
): Generator<RigLine> {
  const programme = programmeOf(kind, truth, inertia);
  const random = randomFrom(seed);
  const { header, length, every, noise, scaleNoise, tripsAt = Infinity } = programme;
  const inMilli = header.map((column) => (column === 'A' ? 'mA' : column));
  const otherFrom = wellBehaved || kind === 'stall' ? Infinity : Math.floor((length / every) * (0.3 + 0.4 * random()));
  let silent = 0;
  let now = header;
  yield { at: 0, text: header.join(',') };
  const count = Math.round(length / every);
  for (let i = 0; i < count; i++) {
    const at = i * every;
    const wanted = i >= otherFrom && i < otherFrom + OTHER_UNIT_FOR ? inMilli : header;
    if (wanted.join() !== now.join()) yield { at, text: (now = wanted).join(',') };
    const tripped = !wellBehaved && at >= tripsAt;
    const read = (value: number, j: number): number =>
      value * (1 + (noise[j] ?? 0) * bell(random)) + (scaleNoise?.[j] ?? 0) * bell(random);
    const values = programme.at(at).map((value, j) => {
      const electric = header[j] === 'V' || header[j] === 'A' || header[j] === 'Nm';
      return (tripped && electric ? 0 : read(value, j)) / perUnit(now[j]!);
    });
    if (!wellBehaved && every < 1 && silent === 0 && random() < SILENCE) silent = SILENT_FOR;
    if (silent > 0) silent--;
    else if (!wellBehaved && every < 1 && random() < GARBLED) yield { at, text: values.join(',').slice(0, 9) };
    else yield { at, text: values.map((value) => String(Number(value.toPrecision(6)))).join(',') };
  }
}
