import type { Plan } from '@rough-gear/core';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { TogetherTold } from '../src/workers/questions.js';
import { freshBrowser, room } from './browser.js';
import { recalled, remembering } from '../src/workers/verdictMemory.js';

/** The build that is running. */
const browser = vi.hoisted(() => ({ build: '/assets/core-1.js' }));

vi.mock('../src/workers/core.js', () => ({
  get CORE_WORKER() {
    return browser.build;
  },
}));

const planCalled = (name: string) => ({ name, mechanisms: [] }) as unknown as Plan;
const enough: TogetherTold = { findings: [], matches: [] };
const judged = (verdict: TogetherTold | undefined = enough) => vi.fn(() => Promise.resolve(verdict));

describe('What a robot’s matches came to', () => {
  beforeEach(() => {
    freshBrowser();
    browser.build = '/assets/core-1.js';
  });

  it('is worked out once for a plan, and recalled for one of the same content', async () => {
    const judge = judged();
    expect(await recalled(planCalled('Heron'))).toBeUndefined();
    expect(await remembering(planCalled('Heron'), judge)).toEqual(enough);
    expect(await remembering(planCalled('Heron'), judge)).toEqual(enough);
    expect(await recalled(planCalled('Heron'))).toEqual(enough);
    expect(judge).toHaveBeenCalledTimes(1);
  });

  it('is of no other plan, and of no other build of the program', async () => {
    await remembering(planCalled('Heron'), judged());
    expect(await recalled(planCalled('Limpet'))).toBeUndefined();
    browser.build = '/assets/core-2.js';
    expect(await recalled(planCalled('Heron'))).toBeUndefined();
  });

  it('is not kept where the question was overtaken', async () => {
    expect(await remembering(planCalled('Heron'), () => Promise.resolve(undefined))).toBeUndefined();
    expect(await recalled(planCalled('Heron'))).toBeUndefined();
  });

  it('is told all the same by a browser without room, or without digests', async () => {
    room.none = true;
    expect(await remembering(planCalled('Heron'), judged())).toEqual(enough);
    vi.stubGlobal('crypto', {});
    expect(await remembering(planCalled('Heron'), judged())).toEqual(enough);
    expect(await recalled(planCalled('Heron'))).toBeUndefined();
    vi.unstubAllGlobals();
  });

  it('is kept of the last twelve', async () => {
    for (let i = 0; i < 13; i++) await remembering(planCalled(`robot ${i}`), judged());
    expect(await recalled(planCalled('robot 0'))).toBeUndefined();
    expect(await recalled(planCalled('robot 1'))).toEqual(enough);
    expect(await recalled(planCalled('robot 12'))).toEqual(enough);
  });

  it('fails whoever asked where the judging itself goes wrong', async () => {
    const wrong = () => Promise.reject(new Error('no such mechanism'));
    await expect(remembering(planCalled('Heron'), wrong)).rejects.toThrow('no such mechanism');
  });
});
