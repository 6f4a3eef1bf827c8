import type { Dimension } from './dimension.js';

/** A value in a sentence. Whoever shows it chooses its unit: a force is not a torque, nor a speed a rate of turning. */
export interface Amount {
  /** SI */
  readonly value: number;
  readonly dimension: Dimension;
  /** Significant digits; 3 where absent. */
  readonly significant?: number;
}

/** Words and values, in the order in which they are read. */
export type Phrase = readonly (string | Amount)[];

/** What core says: plain words where no value is in them. The edges put it into the units a person likes. */
export type Words = string | Phrase;

/**
 * A value to be said. SI in.
 *
 * @example amount(400, 'force') //=> { value: 400, dimension: 'force' }
 */
export const amount = (value: number, dimension: Dimension, significant?: number): Amount =>
  significant === undefined ? { value, dimension } : { value, dimension, significant };

/**
 * Words with values in them.
 *
 * @example say`gives at ${amount(400, 'force')}, ${times(1.2)} the job` //=> ['gives at ', { value: 400, … }, ', 1.20× the job']
 */
export function say(texts: TemplateStringsArray, ...parts: readonly (Words | Amount | number)[]): Phrase {
  const phrase: (string | Amount)[] = [];
  let text = texts[0]!;
  parts.forEach((part, i) => {
    if (typeof part === 'string' || typeof part === 'number') text += part;
    else
      for (const piece of 'value' in part ? [part] : part) {
        if (typeof piece === 'string') text += piece;
        else {
          if (text !== '') phrase.push(text);
          phrase.push(piece);
          text = '';
        }
      }
    text += texts[i + 1]!;
  });
  if (text !== '') phrase.push(text);
  return phrase;
}

/**
 * Several in a row, with something between them.
 *
 * @example joined(['a', 'b'], ', ') //=> ['a', ', ', 'b']
 */
export const joined = (all: readonly Words[], between: string): Phrase =>
  all.flatMap((words, i) => [...(i > 0 ? [between] : []), ...(typeof words === 'string' ? [words] : words)]);

/**
 * The same with a capital letter in front.
 *
 * @example capitalised('tight') //=> 'Tight'
 */
export function capitalised<W extends Words>(words: W): W {
  const [first, ...rest] = words as Phrase;
  const upper = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);
  if (typeof words === 'string') return upper(words) as W;
  return (typeof first === 'string' ? [upper(first), ...rest] : words) as W;
}

/**
 * The words themselves, values as `show` writes them.
 *
 * @example worded(say`holds ${amount(400, 'force')}`, inMetric) //=> 'holds 400 N'
 */
export function worded(words: Words, show: (amount: Amount) => string): string {
  if (typeof words === 'string') return words;
  return words.map((piece) => (typeof piece === 'string' ? piece : show(piece))).join('');
}
