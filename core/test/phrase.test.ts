import { describe, expect, it } from 'vitest';
import {
  amount,
  capitalised,
  evaluate,
  inMetric,
  joined,
  ladderSentence,
  mendsFor,
  rungSentence,
  say,
  SITUATIONS,
  worded,
  type Amount,
  type Words,
} from '../src/index.js';
import { demoPlan, said } from './demo.js';

describe('words with values in them', () => {
  const force = amount(400, 'force');

  it('keep words and values apart, in the order in which they are read', () => {
    expect(say`gives at ${force}, ${'1.20×'} the job`).toEqual(['gives at ', force, ', 1.20× the job']);
    expect(say`${force}`).toEqual([force]);
    expect(say`nothing`).toEqual(['nothing']);
    expect(say`${3} goes`).toEqual(['3 goes']);
  });

  it('take other phrases in as their own', () => {
    const inner = say`after ${amount(0.05, 'length')}`;
    expect(say`It stalls ${inner}: ${'slower'}.`).toEqual(['It stalls after ', amount(0.05, 'length'), ': slower.']);
    expect(joined(['a', say`b ${force}`], '; ')).toEqual(['a', '; ', 'b ', force]);
  });

  it('are worded by whoever shows them', () => {
    const units = ({ value, dimension }: Amount) => `${value} of ${dimension}`;
    expect(worded(say`Push with ${force}`, units)).toBe('Push with 400 of force');
    expect(worded('plain', units)).toBe('plain');
    expect(said(say`⌀ ${amount(0.044, 'length')}`)).toBe('⌀ 44 mm');
    expect(inMetric(amount(1.3456, 'length', 5))).toBe('1.3456 m');
  });

  it('get a capital letter in front', () => {
    expect(capitalised('the belt')).toBe('The belt');
    expect(capitalised(say`the belt at ${force}`)).toEqual(['The belt at ', force]);
    expect(capitalised([force])).toEqual([force]);
  });
});

/** Everything core says of a plan. */
function everythingSaid(name: 'heron' | 'limpet'): readonly Words[] {
  const plan = demoPlan(name);
  return evaluate(plan).mechanisms.flatMap((mechanism) =>
    mechanism.jobs.flatMap((job) => [
      ...SITUATIONS.map((id) => job.ladders[id]).flatMap((ladder) => [
        ladderSentence(ladder).rest,
        ...ladder.rungs.map((rung) => rungSentence(rung, ladder, job.unit)),
      ]),
      ...job.checks.flatMap(({ sentence, hint, asked, there }) =>
        [sentence, hint, asked, there].flatMap((words) =>
          words === undefined || (typeof words === 'object' && 'value' in words) ? [] : [words],
        ),
      ),
      ...job.links.map(({ detail }) => detail),
      ...job.checks
        .filter(({ verdict }) => verdict === 'gives way')
        .flatMap(({ id }) => mendsFor(plan, mechanism.id, { jobId: job.jobId, check: id }).map(({ label }) => label)),
    ]),
  );
}

describe.each(['heron', 'limpet'] as const)('what core says of %s', (name) => {
  const all = everythingSaid(name);

  it('has no unit in its words that a person may want otherwise: values stand apart', () => {
    expect(all.length).toBeGreaterThan(100);
    expect(all.filter((words) => typeof words !== 'string').length).toBeGreaterThan(50);
    const plain = all.map((words) => worded(words, () => '#'));
    expect(plain.filter((text) => /\d\s*(N·m|N|mm|m|kg|m\/s|°C|kg·cm²)(?![\w²/·])/.test(text))).toEqual([]);
  });

  it('is never a value written out by the language itself', () => {
    for (const words of all) expect(said(words)).not.toMatch(/object Object|undefined|NaN/);
  });
});
