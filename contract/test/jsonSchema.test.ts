import { readFileSync } from 'node:fs';
import Ajv2019 from 'ajv/dist/2019.js';
import { describe, expect, it } from 'vitest';
import { applyChanges, type Plan } from '@rough-gear/core';
import { planJsonSchema } from '../src/plan/jsonSchema.js';

const file = (path: string) => readFileSync(new URL(`../../${path}`, import.meta.url), 'utf8');
const heron = JSON.parse(file('contract/demo/heron.json')) as Plan;
const limpet = JSON.parse(file('contract/demo/limpet.json')) as Plan;
const typed = (si: number) => ({ si, as: String(si), source: 'typed' });

describe('the published JSON Schema', () => {
  it('is the one that the code makes', async () => {
    expect(JSON.parse(file('docs/plan.schema.json'))).toEqual(JSON.parse(JSON.stringify(await planJsonSchema())));
  });

  it('writes what occurs often once: under 120 kB, and no field anywhere in full', async () => {
    const text = file('docs/plan.schema.json');
    expect(text.length).toBeLessThan(120_000);
    const { $defs, ...rest } = JSON.parse(text) as { $defs: Record<string, unknown> };
    expect($defs['positive']).toMatchObject({ properties: { si: { exclusiveMinimum: 0 } } });
    expect(JSON.stringify(rest)).not.toContain('"maxLength":80,"type":"string"},"from"');
    expect(await planJsonSchema()).toHaveProperty('$defs.partCopy');
  });

  it('takes the demo and refuses what the schema refuses', async () => {
    const validate = new Ajv2019({ strict: false, validateFormats: false }).compile(await planJsonSchema());
    expect(validate(heron), JSON.stringify(validate.errors?.slice(0, 3))).toBe(true);
    expect(validate(limpet)).toBe(true);
    expect(validate(applyChanges(heron, [{ at: ['mechanisms', 1, 'jobs', 0, 'mass'], to: typed(0) }]))).toBe(false);
    expect(validate(applyChanges(heron, [{ at: ['parts', 'motor-1', 'part', 'type'], to: 'steam' }]))).toBe(false);
    expect(validate(applyChanges(heron, [{ at: ['format'], to: 'other' }]))).toBe(false);
  });
});
