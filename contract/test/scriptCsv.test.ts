import { readFileSync } from 'node:fs';
import type { Plan } from '@rough-gear/core';
import { describe, expect, it } from 'vitest';
import { exportScript, importScript } from '../src/match/scriptCsv.js';

const plan = JSON.parse(readFileSync(new URL('../demo/heron.json', import.meta.url), 'utf8')) as Plan;
const refused = (text: string): readonly string[] => {
  const read = importScript(text, plan, 'x');
  return read.ok ? [] : read.problems;
};
const HEAD = 'what,id,name,mechanism,does,begins,time_s,from_s,to_s,go,speed_m_s,seconds,current_A';

describe('A script as a CSV file', () => {
  it.each(plan.scripts!.map((script) => [script.name, script] as const))('%s is read back as it was', (_, script) => {
    const read = importScript(exportScript(script), plan, script.id);
    expect(read).toEqual({ ok: true, script: { ...script, counts: true } });
  });

  it('takes names of mechanisms and jobs as well as ids, whatever the order of the columns', () => {
    const text =
      'begins,time_s,what,seconds,mechanism,does,name\nat,3,go,,Mast lift,Raise a crate,\n,,part,60,,,match\n';
    const read = importScript(text, plan, 'x');
    expect(read.ok && read.script.lanes).toEqual([
      { mechanism: 'lift', goes: [{ id: 'go-2', job: 'raise', when: { kind: 'at', time: 3 } }] },
    ]);
  });

  it.each([
    [`${HEAD}\ngo,,,boom,raise,at,3,,,,,,`, /line 2: mechanism "boom" is none of the robot’s; drive, lift/],
    [`${HEAD}\ngo,,,lift,fly,at,3,,,,,,`, /line 2: lift does no "fly"; raise, lower, cruise are allowed/],
    [`${HEAD}\ngo,,,lift,raise,soon,3,,,,,,`, /begins is "soon"; at, every, after, with are allowed/],
    [`${HEAD}\ngo,,,lift,raise,at,early,,,,,,`, /time_s is "early"; a number is wanted/],
    [`${HEAD}\nrest,,,,,,,,,,,,`, /what is "rest"; script, part, draw, go are allowed/],
    [`what,does\ngo,raise`, /the column "mechanism" is missing/],
    [`${HEAD}\ngo,,,lift,raise,at,3,,,,,,`, /parts/],
    [`${HEAD}\npart,,m,,,,,,,,,60,\ngo,,,lift,raise,at,-3,,,,,,`, /greater than or equal to 0/],
  ])('refuses %j and says why', (text, reason) => {
    expect(refused(text).join('\n')).toMatch(reason);
  });

  it('guards what a spreadsheet would run, and reads it back', () => {
    const script = { ...plan.scripts![0]!, name: '=1+1' };
    expect(exportScript(script)).toContain("'=1+1");
    const read = importScript(exportScript(script), plan, script.id);
    expect(read.ok && read.script.name).toBe('=1+1');
  });
});
