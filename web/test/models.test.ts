import { readFileSync } from 'node:fs';
import { CHECKS, TERM_IDS } from '@rough-gear/core';
import katex from 'katex';
import { describe, expect, it } from 'vitest';
import { pageOf } from '../src/views/models/page.js';
import { sectionId } from '@rough-gear/contract/find';
import { sectionOf } from '../src/views/models/sectionOf.js';

const page = readFileSync(new URL('../../docs/models.md', import.meta.url), 'utf8');
const sections = new Set([...page.matchAll(/^## (.+)$/gm)].map(([, heading]) => sectionId(heading!)));

describe('the page of models', () => {
  it('names its sections by their headings', () => {
    expect(sectionId('Motor heat')).toBe('motor-heat');
    expect(sectionId('What gives first')).toBe('what-gives-first');
  });

  it('has the section every working leads to', () => {
    for (const { id } of CHECKS) expect(sections, id).toContain(sectionOf({ of: 'check', check: id }));
    for (const term of TERM_IDS) expect(sections, term).toContain(sectionOf({ of: 'term', term }));
    expect(sections).toContain(sectionOf({ of: 'demand', situation: 'working' }));
    expect(sections).toContain(sectionOf({ of: 'rung', rung: 'volts', situation: 'working' }));
  });

  it('has one formula a line, between dollar signs, each of which can be set', () => {
    const alone = page.split('\n').filter((line) => line.includes('$$'));
    expect(alone.length).toBeGreaterThan(100);
    for (const line of alone) expect(line).toMatch(/^\$\$[^$]+\$\$$/);
    const all = [...page.matchAll(/\$\$?([^$]+)\$\$?/g)].map(([, source]) => source!);
    for (const source of all) expect(() => katex.renderToString(source, { throwOnError: true }), source).not.toThrow();
    expect(pageOf(page).match(/class="formula"/g)).toHaveLength(alone.length);
    expect(pageOf(page).match(/data-formula=/g)).toHaveLength(all.length);
  });

  it('names no source file to a reader', () => {
    expect(page).not.toMatch(/`[a-z]+\/[A-Za-z/]+`|\.ts\b/);
  });

  it('leads to its own sections alone', () => {
    for (const [, section] of page.matchAll(/\]\(#([^)]+)\)/g)) expect(sections).toContain(section);
  });

  it('works cases by hand', () => {
    expect(page.match(/_Worked_/g)!.length).toBeGreaterThan(8);
  });
});
