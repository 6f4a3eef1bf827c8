import { connect, type AddressInfo } from 'node:net';
import { readFileSync } from 'node:fs';
import { RigReader, readTrial } from '@rough-gear/contract/bench';
import {
  concludeTrial,
  quantityOf,
  RIG_AMBIENT,
  RIG_INERTIA,
  RIG_WATTS,
  TRIAL_KINDS,
  trialSheet,
  truthOf,
  type Trial,
  type TrialKind,
} from '@rough-gear/core';
import { describe, expect, it } from 'vitest';
import { demoBook } from '../src/rig/demoBook.js';
import { recordRig } from '../src/rig/record.js';
import { rigSettings, serveRig } from '../src/rig/rig.js';

/** The simulated rig: what a trial on it finds is what it really is. */
function trialOn(kind: TrialKind, seed: number, wellBehaved = false): Trial {
  const truth = truthOf({}, seed);
  const given: Readonly<Record<string, number>> = {
    resistance: truth.resistance,
    freeCurrent: truth.freeCurrent,
    inertia: RIG_INERTIA,
    ambient: RIG_AMBIENT,
    watts: RIG_WATTS,
    polePairs: 7,
    shortest: 0.0005,
    longest: 0.0025,
  };
  return {
    kind,
    subject: { name: 'it' },
    startedAt: '2026-11-27T10:00:00Z',
    who: '',
    used: '',
    note: '',
    given: Object.fromEntries(trialSheet(kind).given.map(({ key }) => [key, quantityOf(given[key]!, '')])),
    said: {},
    readings: recordRig(kind, truth, { seed, wellBehaved }),
    struck: [],
  };
}

describe('trials on the simulated rig', () => {
  it.each(TRIAL_KINDS)('%s comes to a conclusion, also where lines drop out', (kind) => {
    for (const wellBehaved of [true, false]) {
      const concluded = concludeTrial(trialOn(kind, 4, wellBehaved), {});
      if (!concluded.ok) throw new Error(`${kind}: ${JSON.stringify(concluded.wants)}`);
      expect(concluded.conclusion.figures.length).toBeGreaterThan(0);
    }
  });

  it.each([
    ['free-run', ['backEmfConstant', 'freeCurrent', 'freeCurrentPerSpeed']],
    ['stall', ['resistance', 'torqueConstant']],
    ['spun', ['backEmfConstant']],
    ['coast-down', ['frictionTorque', 'viscousDrag']],
    ['pack', ['restVoltage', 'packResistance']],
    ['pull', ['pullPerAmpere']],
    ['servo-line', ['travel', 'play']],
    ['warmth', ['caseToAir', 'caseCapacity']],
  ] as const)('%s finds its true values within three standard errors, 97 times in a hundred', (kind, keys) => {
    const within = new Map<string, number>(keys.map((key) => [key, 0]));
    for (let seed = 1; seed <= 100; seed++) {
      const trial = trialOn(kind, seed, true);
      const truth = truthOf({}, seed);
      const concluded = concludeTrial(trial, {});
      // Of few readings the errors themselves are uncertain: Student's factor of their degrees of freedom.
      const readings = Object.values(trial.readings)[0]!.length;
      const student = readings > 10 ? 1 : readings > 5 ? 1.7 : 2.8;
      for (const key of keys) {
        const figure = concluded.ok && concluded.conclusion.figures.find((one) => one.key === key)?.measured;
        if (!figure) throw new Error(`${kind} found no ${key}`);
        if (Math.abs(figure.value - truth[key]) <= 3 * student * figure.error) within.set(key, within.get(key)! + 1);
      }
    }
    for (const [key, count] of within) expect(count, key).toBeGreaterThanOrEqual(97);
  });

  it('differ from one specimen to the next, and are the same each time', () => {
    expect(truthOf({}, 1).resistance).not.toBe(truthOf({}, 2).resistance);
    expect(recordRig('pack', truthOf({}, 1), { seed: 1 })).toEqual(recordRig('pack', truthOf({}, 1), { seed: 1 }));
  });
});

describe('the rig as a command', () => {
  it('says what is allowed', () => {
    expect(() => rigSettings(['magic'], {})).toThrow('usage');
    expect(() => rigSettings(['pack', 'x'], {})).toThrow('seed');
    expect(() => rigSettings(['pack', '1', '0'], {})).toThrow('speed');
    expect(() => rigSettings([], { ROUGH_GEAR_RIG: 'x' })).toThrow('ROUGH_GEAR_RIG');
    expect(rigSettings([], {})).toEqual({ kind: 'free-run', seed: 1, port: 4170, speed: 1 });
  });

  it('gives its lines to whoever connects, to the end', async () => {
    const server = serveRig({ kind: 'pack', seed: 2, speed: 100 });
    await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
    const reader = new RigReader('pack');
    let readings = 0;
    await new Promise<void>((resolve, reject) => {
      const line = connect((server.address() as AddressInfo).port, '127.0.0.1');
      line.on('data', (piece) => (readings += reader.push(piece.toString()).readings.length));
      line.once('end', () => resolve(line.destroy() && undefined));
      line.once('error', reject);
    });
    server.close();
    expect(readings).toBeGreaterThan(100);
  });
});

describe('the demo’s bench book', () => {
  const text = demoBook(readFileSync('contract/demo/heron.json', 'utf8'));

  it('is the one in its file: played on this very rig', () => {
    expect(JSON.parse(readFileSync('contract/demo/bench-book.json', 'utf8'))).toEqual(JSON.parse(text));
  });

  it('holds trials that are read and concluded', () => {
    const { trials } = JSON.parse(text) as { trials: { trial: unknown }[] };
    for (const { trial } of trials) {
      const read = readTrial(trial);
      if (!read.ok) throw new Error(JSON.stringify(read.problems));
      expect(concludeTrial(read.trial, {}).ok).toBe(true);
    }
  });
});
