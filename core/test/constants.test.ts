import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { describe, expect, it } from 'vitest';

const root = fileURLToPath(new URL('../..', import.meta.url));
/** The folders whose numbers are a model's. */
const MODELS = [
  'models',
  ...['powerpath', 'resolve', 'job', 'wiring'].map((folder) => `path/${folder}`),
  ...['duty', 'limits', 'ledger'].map((folder) => `judge/${folder}`),
  'bench/trials',
  'match',
  'choose/robotChoice',
  'workshop/pit',
];

const CONSTANT =
  /^(?:export )?const ([A-Z][A-Z_0-9]+)(?:: number)? = (-?[0-9][0-9_.e]*(?:e-?\d+)?(?: [*/] [\w.]+)*);/gm;
const ROW = /^\| `([\w/]+\.ts)` `([A-Z_0-9]+)`\s*\| ([^|]+?)\s*\|/gm;

const inCode = MODELS.flatMap((folder) =>
  readdirSync(join(root, 'core/src', folder), { recursive: true, encoding: 'utf8' })
    .filter((name) => name.endsWith('.ts'))
    .flatMap((name) =>
      [...readFileSync(join(root, 'core/src', folder, name), 'utf8').matchAll(CONSTANT)].map(
        ([, constant, value]) => `${folder}/${name} ${constant} = ${value!.replaceAll('_', '')}`,
      ),
    ),
);
const inDocs = [...readFileSync(join(root, 'docs/constants.md'), 'utf8').matchAll(ROW)].map(
  ([, file, constant, value]) => `${file} ${constant} = ${value}`,
);

describe('constants that tune a model', () => {
  it('are found in the code at all', () => {
    expect(inCode).toContain('models/motor/heat.ts COPPER_ALPHA = 0.00393');
    expect(inCode.length).toBeGreaterThan(60);
  });

  it('stand together in the docs, with the values of the code', () => {
    expect([...inDocs].sort()).toEqual([...inCode].sort());
  });
});
