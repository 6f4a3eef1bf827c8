import { readdirSync, readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { describe, expect, it } from 'vitest';
import * as core from '../src/index.js';
import * as things from './examples.js';

const folder = fileURLToPath(new URL('../src/', import.meta.url));
const EXAMPLE = /@example (.+) \/\/=> (.+)$/gm;

/** Examples in doc comments that can be run: those that show a part of a result with an ellipsis are for the eye. */
const files = readdirSync(folder, { recursive: true, encoding: 'utf8' }).filter((file) => file.endsWith('.ts'));
const examples = files.flatMap((file) =>
  [...readFileSync(folder + file, 'utf8').matchAll(EXAMPLE)]
    .filter(([, , result]) => !result!.includes('…'))
    .map(([, expression, result]) => ({ file, expression: expression!, result: result! })),
);

/** Numbers as they are written, to a part in a thousand. */
function like(found: unknown, written: unknown, where: string): void {
  if (typeof written === 'number' && typeof found === 'number')
    expect(Math.abs(found - written), `${where}: ${found}`).toBeLessThanOrEqual(1e-3 * Math.abs(written) + 1e-12);
  else if (typeof written === 'object' && written !== null)
    for (const [key, value] of Object.entries(written))
      like((found as Record<string, unknown>)[key], value, `${where}.${key}`);
  else expect(found, where).toEqual(written);
}

describe('the examples in the doc comments', () => {
  it('are many', () => {
    expect(examples.length).toBeGreaterThan(120);
  });

  it.each(examples)('$file: $expression', async ({ file, expression, result }) => {
    const own = (await import(/* @vite-ignore */ folder + file)) as Record<string, unknown>;
    const scope = { ...core, ...own, ...things };
    // What stands in a comment is run here, and nowhere else.
    const run = (text: string): unknown =>
      new Function(...Object.keys(scope), `return (${text});`)(...Object.values(scope));
    like(run(expression), run(result), expression);
  });
});
