import { readFileSync } from 'node:fs';
import { CHECKS, TERM_IDS } from '@rough-gear/core';
import { describe, expect, it } from 'vitest';
import { sectionId } from '../src/views/models/sectionId.js';
import { sectionOf } from '../src/views/models/sectionOf.js';

const page = readFileSync(new URL('../../docs/models.md', import.meta.url), 'utf8');
const sections = new Set([...page.matchAll(/^## (.+)$/gm)].map(([, heading]) => sectionId(heading!)));

describe('the page of models', () => {
  it('names its sections by their headings', () => {
    expect(sectionId('Motor heat (`motor/heat`, `duty`)')).toBe('motor-heat');
    expect(sectionId('What gives first (`limits`)')).toBe('what-gives-first');
  });

  it('has the section every working leads to', () => {
    for (const { id } of CHECKS) expect(sections, id).toContain(sectionOf({ of: 'check', check: id }));
    for (const term of TERM_IDS) expect(sections, term).toContain(sectionOf({ of: 'term', term }));
    expect(sections).toContain(sectionOf({ of: 'demand', situation: 'working' }));
    expect(sections).toContain(sectionOf({ of: 'rung', rung: 'volts', situation: 'working' }));
  });

  it('works cases by hand', () => {
    expect(page.match(/_Worked_/g)!.length).toBeGreaterThan(8);
  });
});
