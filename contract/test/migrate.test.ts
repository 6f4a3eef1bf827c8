import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { readPlan } from '../src/index.js';
import { migrate } from '../src/plan/migrate.js';

const heron = JSON.parse(readFileSync(new URL('../demo/heron.json', import.meta.url), 'utf8')) as {
  version: number;
  parts: Record<string, { part: Record<string, unknown> }>;
};

describe('A plan of the first version', () => {
  const owning = (owned: unknown) => ({
    ...heron,
    version: 1,
    parts: { ...heron.parts, 'motor-1': { part: { ...heron.parts['motor-1']!.part, owned } } },
  });

  it('is read: what was owned is one piece, what was not is none', () => {
    const read = readPlan(owning(true));
    expect(read.ok && read.plan.version).toBe(2);
    expect(read.ok && read.plan.parts['motor-1']!.part.owned).toBe(1);
    const not = readPlan(owning(false));
    expect(not.ok && 'owned' in not.plan.parts['motor-1']!.part).toBe(false);
    expect(readPlan({ ...heron, version: 1 })).toMatchObject({ ok: true });
  });

  it('that is broken is refused by the schema, not by the migration', () => {
    for (const broken of [
      null,
      3,
      'plan',
      [],
      { version: 1 },
      { version: 1, parts: null },
      { version: 1, parts: { a: 1 } },
    ])
      expect(readPlan(migrate(broken)).ok).toBe(false);
    expect(readPlan({ ...heron, version: 3 }).ok).toBe(false);
    expect(readPlan({ ...heron, parts: { x: { part: { kind: 'motor', owned: true } } } }).ok).toBe(false);
  });
});
