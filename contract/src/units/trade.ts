import type { Dimension } from '@rough-gear/core';

/** A trade notation and what it reads as, in SI. The dimensions it belongs to stand in front. */
interface Notation {
  readonly of: readonly Dimension[];
  readonly pattern: RegExp;
  read(match: RegExpExecArray): number;
}

const number = (text: string | undefined): number => Number((text ?? '0').replace(',', '.'));
const N = String.raw`(\d+(?:[.,]\d+)?|[.,]\d+)`;
const LIPO_NOMINAL = 3.7;
/** N·m */
const OZ_IN = 0.007061551814226;

/** Notations that no units library knows. */
const NOTATIONS: readonly Notation[] = [
  // "35:12" slows down 2.92 times; "9.4:1"; also "35 to 12".
  { of: ['ratio'], pattern: new RegExp(`^${N} ?(?::|to) ?${N}$`, 'i'), read: (m) => number(m[1]) / number(m[2]) },
  // "16 → 54": 16 teeth drive 54.
  { of: ['ratio'], pattern: new RegExp(`^${N} ?(?:→|->|=>|>) ?${N}$`), read: (m) => number(m[2]) / number(m[1]) },
  { of: ['ratio', 'number'], pattern: new RegExp(`^${N} ?[x×]$`, 'i'), read: (m) => number(m[1]) },
  { of: ['gauge'], pattern: /^(?:#|awg ?|gauge ?)?(\d{1,2}) ?(?:awg|ga|gauge)?$/i, read: (m) => number(m[1]) },
  {
    of: ['kv'],
    pattern: new RegExp(`^${N} ?(?:kv|rpm ?/ ?v|rpm per volt)?$`, 'i'),
    read: (m) => (number(m[1]) * Math.PI) / 30,
  },
  // "3S" is three lithium cells at 3.7 V.
  { of: ['voltage'], pattern: /^(\d{1,2}) ?s(?:1p)?$/i, read: (m) => number(m[1]) * LIPO_NOMINAL },
  // A torque constant, N·m/A, is one over Kv: "0.0181 N·m/A", "2.57 oz-in/A".
  {
    of: ['kv'],
    pattern: new RegExp(`^${N} ?(m?)n[ -]?m ?/ ?a$`, 'i'),
    read: (m) => (m[2] ? 1000 : 1) / number(m[1]),
  },
  { of: ['kv'], pattern: new RegExp(`^${N} ?oz[ -]?in ?/ ?a$`, 'i'), read: (m) => 1 / (OZ_IN * number(m[1])) },
  // What a free run measures: "5800 rpm at 12 V". The free current drops a little more, and is left out.
  {
    of: ['kv'],
    pattern: new RegExp(`^${N} ?(k?) ?(?:rpm|r/min|/min) ?(?:at|@|on) ?${N} ?v$`, 'i'),
    read: (m) => ((m[2] ? 1000 : 1) * number(m[1]) * Math.PI) / 30 / number(m[3]),
  },
  // "0.14 s/60°", a servo's way to give a speed.
  {
    of: ['speed', 'turning'],
    pattern: new RegExp(`^${N} ?s(?:ec)? ?/ ?60 ?(?:°|deg)?$`, 'i'),
    read: (m) => Math.PI / 3 / number(m[1]),
  },
  { of: ['speed'], pattern: new RegExp(`^${N} ?(?:rps|rev/s|turns/s)$`, 'i'), read: (m) => number(m[1]) * 2 * Math.PI },
  {
    of: ['speed', 'turning'],
    pattern: new RegExp(`^${N} ?(?:°|deg)/s$`, 'i'),
    read: (m) => (number(m[1]) * Math.PI) / 180,
  },
  { of: ['velocity'], pattern: new RegExp(`^${N} ?(?:kmh|kph)$`, 'i'), read: (m) => number(m[1]) / 3.6 },
  // "20 kHz", "20k", "20000 pulses/s"
  { of: ['rate'], pattern: new RegExp(`^${N} ?k(?:hz|pps|/s)?$`, 'i'), read: (m) => number(m[1]) * 1000 },
  {
    of: ['rate'],
    pattern: new RegExp(`^${N} ?(?:hz|pps|/s|pulses ?/ ?s|steps ?/ ?s)$`, 'i'),
    read: (m) => number(m[1]),
  },
  // 4'7", 4 ft 7 in
  {
    of: ['length'],
    pattern: new RegExp(`^${N} ?(?:'|ft|feet) ?${N} ?(?:"|″|in|inch|inches)$`, 'i'),
    read: (m) => number(m[1]) * 0.3048 + number(m[2]) * 0.0254,
  },
  { of: ['length'], pattern: new RegExp(`^(?:⌀|ø|dia\\.?) ?${N} ?mm$`, 'i'), read: (m) => number(m[1]) / 1000 },
  // "24 DP", teeth to the inch of diameter, and "m 0.8", millimetres of diameter to the tooth.
  { of: ['length'], pattern: new RegExp(`^${N} ?dp$`, 'i'), read: (m) => 0.0254 / number(m[1]) },
  { of: ['length'], pattern: new RegExp(`^(?:m|module) ?${N}(?: ?mm)?$`, 'i'), read: (m) => number(m[1]) / 1000 },
  // A times sign has been read as a space by now.
  // "12 tpi", threads to the inch, is a lead; of several starts: "12 tpi, 4 starts", "4 × 12 tpi".
  { of: ['length'], pattern: new RegExp(`^${N} ?(?:tpi|threads? per inch)$`, 'i'), read: (m) => 0.0254 / number(m[1]) },
  {
    of: ['length'],
    pattern: new RegExp(`^${N} ?tpi,? ?(?:[x×] ?)?(\\d) ?starts?$`, 'i'),
    read: (m) => (0.0254 * number(m[2])) / number(m[1]),
  },
  {
    of: ['length'],
    pattern: new RegExp(`^(\\d)(?: ?[x×] ?| )${N} ?tpi$`, 'i'),
    read: (m) => (0.0254 * number(m[1])) / number(m[2]),
  },
  // "4 x 2 mm": four starts of two millimetres. By a space alone it may be a thousand.
  {
    of: ['length'],
    pattern: new RegExp(`^(\\d) ?x ?${N} ?mm$`, 'i'),
    read: (m) => (number(m[1]) * number(m[2])) / 1000,
  },
  // "2:30" is two and a half minutes.
  { of: ['time'], pattern: /^(\d+):([0-5]\d)(?: ?min)?$/, read: (m) => number(m[1]) * 60 + number(m[2]) },
];

/** SI value of a trade notation; `undefined` where the text is none. */
export function readTrade(text: string, dimension: Dimension): number | undefined {
  for (const { of, pattern, read } of NOTATIONS) {
    const match = of.includes(dimension) ? pattern.exec(text) : null;
    if (match) return read(match);
  }
  return undefined;
}
