import type { SheetLine } from './entries.js';
import type { Doubtful, Told } from './reading.js';
import { valuesIn } from './readFigure.js';

const REGULATOR = /\bU?S?BEC\b|\bregulator\b|\bservo (?:supply|power)\b/i;
const NONE = /\b(?:no|none|without|opto)\b/i;
const BURST = /\b(?:burst|peak|max\.?|maximum|instant)\b/i;

/** What a controller's sheet says of the regulator inside it: volts, steady amperes, and more for a moment. */
export function regulatorOn(lines: readonly SheetLine[]): {
  readonly told: readonly Told[];
  readonly doubtful: readonly Doubtful[];
  readonly lines: ReadonlySet<number>;
} {
  const told: Told[] = [];
  const doubtful: Doubtful[] = [];
  const read = new Set<number>();
  for (const { line, at } of lines) {
    if (!REGULATOR.test(line)) continue;
    read.add(at);
    if (NONE.test(line)) continue;
    const [volts, amperes] = [valuesIn(line, 'voltage'), valuesIn(line, 'current')].map((values) =>
      values.filter(({ figure }) => figure.unit),
    );
    const say = (name: string, one: { readonly si?: number; readonly as: string }): Told => ({
      ...one,
      name,
      line,
      at,
    });
    const [volt, current] = [volts!.flatMap((one) => one.told), amperes!.flatMap((one) => one.told)];
    if (volt.length === 1) told.push(say('regulatorVoltage', volt[0]!));
    else if (volt.length > 1)
      doubtful.push({
        line,
        at,
        name: 'regulatorVoltage',
        as: line,
        reason: 'set to which?',
        choices: volt.map((one) => say('regulatorVoltage', one)),
      });
    const [steady, burst] = current;
    if (!steady) continue;
    if (current.length === 1 && BURST.test(line))
      doubtful.push({
        line,
        at,
        name: 'regulatorContinuous',
        as: line,
        reason: 'steady, or for a moment?',
        choices: [say('regulatorContinuous', steady), say('regulatorBurst', steady)],
      });
    else told.push(say('regulatorContinuous', steady));
    if (burst && current.length === 2 && BURST.test(line) && burst.si! > steady.si!)
      told.push(say('regulatorBurst', burst));
  }
  return { told, doubtful, lines: read };
}
