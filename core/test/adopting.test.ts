import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import {
  massOf,
  adoptFound,
  applyChanges,
  currentChoice,
  drivesOf,
  evaluateMechanism,
  inTeeth,
  measureChoice,
  searchShortlist,
  putInForce,
  withoutUnusedParts,
  type Found,
  type Shelved,
  type ShortlistQuery,
  type TeethQuery,
} from '../src/index.js';
import { readPlan } from '../../contract/src/plan/read.js';
import { demoPlan, mechanismOf, withChange } from './demo.js';

const heron = demoPlan('heron');
const shelf = (
  JSON.parse(readFileSync(new URL('../../contract/demo/shelf.json', import.meta.url), 'utf8')) as { parts: Shelved[] }
).parts;
const query: ShortlistQuery = {
  mechanismId: 'intake',
  jobId: 'swallow',
  scope: 'everything',
  ownedOnly: false,
  mostMotors: 1,
  packs: 'mine',
  from: 4,
  to: 30,
  wants: ['time', 'mass', 'price'],
};
const few = shelf.filter(({ id, part }) => part.kind === 'series' || /36-35t|brushed-20|36-55t|brushed-10/.test(id));
const last = <T>(search: Generator<T, T>): T => {
  for (;;) {
    const next = search.next();
    if (next.done) return next.value;
  }
};
const { front } = last(searchShortlist(heron, query, few));
const found = front[0]!;

describe('Adopting a design', () => {
  const after = (as: 'replace' | 'beside', design: Found = found) =>
    applyChanges(heron, adoptFound(heron, 'intake', design, as));

  it('in place of the old one makes a sound plan that is judged as it was in the list', () => {
    const plan = after('replace');
    expect(readPlan(plan)).toMatchObject({ ok: true });
    const mechanism = mechanismOf(plan, 'intake');
    const { headline } = evaluateMechanism(plan, mechanism);
    expect(headline).toMatchObject({ verdict: found.verdict, name: found.first });
    expect(measureChoice(plan, mechanism, mechanism.current, 'swallow').figures).toEqual(found.figures);
    expect(currentChoice(mechanism).name).toContain(found.motor);
    expect(mechanism.choices.length).toBe(mechanismOf(heron, 'intake').choices.length);
  });

  it('beside the old one keeps that, and leaves it in force', () => {
    const plan = after('beside');
    expect(readPlan(plan)).toMatchObject({ ok: true });
    const mechanism = mechanismOf(plan, 'intake');
    expect(mechanism.choices.slice(0, -1)).toEqual(mechanismOf(heron, 'intake').choices);
    expect(mechanism.current).toBe(mechanismOf(heron, 'intake').current);
    const put = applyChanges(plan, putInForce(plan, 'intake', mechanism.choices.at(-1)!.id));
    expect(evaluateMechanism(put, mechanismOf(put, 'intake')).headline).toMatchObject({ verdict: found.verdict });
  });

  it('beside the old one leaves the pack that is there, whatever it was found on', () => {
    const pack = shelf.find(({ part }) => part.kind === 'pack')!;
    const node = heron.supply.find(({ kind }) => kind === 'pack') as { part: string };
    const onAnother: Found = {
      ...found,
      changes: [...found.changes, { at: ['parts', node.part], to: { part: pack.part } }],
    };
    expect(after('beside', onAnother).parts[node.part]).toEqual(heron.parts[node.part]);
    expect(after('replace', onAnother).parts[node.part]).toEqual({ part: pack.part });
  });

  it('found before another part took its ids takes others', () => {
    const [taken] = found.changes.filter(({ at }) => at[0] === 'parts').map(({ at }) => String(at[1]));
    const other = heron.parts[Object.keys(heron.parts)[0]!]!;
    const plan = withChange(heron, ['parts', taken!], other);
    for (const as of ['replace', 'beside'] as const) {
      const made = applyChanges(plan, adoptFound(plan, 'intake', found, as));
      expect(readPlan(made)).toMatchObject({ ok: true });
      const { drive } = mechanismOf(made, 'intake').choices.at(-1)!;
      expect(made.parts[drive.kind === 'dc' ? drive.motor : '']!.part.name).toBe(found.motor);
      if (as === 'beside') expect(made.parts[taken!]).toEqual(other);
    }
  });

  it('beside four is refused', () => {
    let plan = heron;
    while (mechanismOf(plan, 'intake').choices.length < 4)
      plan = applyChanges(plan, adoptFound(plan, 'intake', found, 'beside'));
    expect(() => adoptFound(plan, 'intake', found, 'beside')).toThrow('4 choices are kept side by side');
  });

  it('takes away copies of parts that nothing refers to, and no other', () => {
    const clean = applyChanges(heron, withoutUnusedParts(heron));
    const littered = withChange(clean, ['parts', 'left-over'], { part: few[0]!.part });
    expect(withoutUnusedParts(littered)).toEqual([{ at: ['parts', 'left-over'] }]);
    expect(withoutUnusedParts(clean)).toEqual([]);
    expect(readPlan(clean)).toMatchObject({ ok: true });
  });
});

describe('A design in teeth', () => {
  const teeth: TeethQuery = {
    kinds: ['teeth', 'chain', 'belt'],
    mostStages: 2,
    leastTeeth: 14,
    within: 0.06,
    boring: true,
  };
  const made = last(inTeeth(heron, query, found, few, teeth));

  it('has trains that are sold, near the total, and holds on the mechanism', () => {
    expect(made.designs.length, JSON.stringify(made.fallen)).toBeGreaterThan(0);
    for (const design of made.designs) {
      expect(Math.abs(design.total / found.total - 1)).toBeLessThanOrEqual(0.0601);
      expect(design.train).toMatch(/→/);
      const plan = applyChanges(heron, adoptFound(heron, 'intake', design, 'replace'));
      expect(readPlan(plan)).toMatchObject({ ok: true });
      const { headline } = evaluateMechanism(plan, mechanismOf(plan, 'intake'));
      expect(['enough', 'tight']).toContain(headline.verdict);
      expect(headline.verdict).toBe(design.verdict);
    }
  });

  it('counts the mass and the price of its wheels', () => {
    // Without its train: what an open ratio weighs is that of the wheels whose place it takes.
    const open = applyChanges(heron, found.changes);
    const motors = massOf(open, mechanismOf(open, 'intake')).motors.mass;
    expect(found.figures.mass!).toBeGreaterThan(motors);
    for (const { figures } of made.designs) {
      expect(figures.mass!).toBeGreaterThan(motors);
      expect(figures.price!).toBeGreaterThan(found.figures.price!);
    }
  });

  it('takes no wheel that does not fit the shaft where none may be bored or bushed', () => {
    const sold = last(inTeeth(heron, query, found, few, { ...teeth, boring: false }));
    expect(sold.designs).toEqual([]);
    expect(sold.fallen.map(({ reason }) => reason)).toContain('parts do not fit together');
  });

  it('says why others fell out, and gives nothing where there is nothing', () => {
    const none = last(
      inTeeth(
        heron,
        query,
        found,
        few.filter(({ part }) => part.kind !== 'series'),
        teeth,
      ),
    );
    expect(none).toEqual({ designs: [], fallen: [], done: true });
    const dear = last(inTeeth(heron, { ...query, mostPrice: found.figures.price! }, found, few, teeth));
    expect(dear.designs).toEqual([]);
    expect(dear.fallen.map(({ reason }) => reason)).toContain('over the price set');
  });
});

describe('The drives of a search', () => {
  const optionsOf = (id: string, scope: ShortlistQuery['scope'] = 'everything') => {
    const mechanism = mechanismOf(heron, id);
    return drivesOf(heron, mechanism, { ...query, mechanismId: id, scope, mostMotors: 2 }, shelf);
  };

  it('stay among their own kind, and each makes a plan that can be read', () => {
    for (const [id, kind] of [
      ['turntable', 'step'],
      ['grip', 'servo'],
      ['lift', 'dc'],
    ] as const) {
      const options = optionsOf(id);
      expect(options.length).toBeGreaterThan(5);
      expect(new Set(options.map(({ key }) => key)).size).toBe(options.length);
      for (const { changes } of options.filter((_, i) => i % 7 === 0)) {
        const plan = applyChanges(heron, changes);
        expect(readPlan(plan)).toMatchObject({ ok: true });
        expect(currentChoice(mechanismOf(plan, id)).drive.kind).toBe(kind);
      }
    }
  });

  it('keep what is set for the mechanism, and let go of a limit that a controller does not reach', () => {
    const at = [
      'mechanisms',
      heron.mechanisms.findIndex(({ id }) => id === 'lift'),
      'choices',
      0,
      'drive',
      'statorLimit',
    ];
    const limited = withChange(heron, at, { si: 25, as: '25 A', source: 'typed' });
    const options = drivesOf(limited, mechanismOf(limited, 'lift'), { ...query, mechanismId: 'lift' }, shelf);
    for (const { changes, controller } of options) {
      const { drive } = currentChoice(mechanismOf(applyChanges(limited, changes), 'lift'));
      const part = shelf.find(({ part: { name } }) => name === controller)!.part;
      const own = part.kind === 'controller' ? (part.statorLimit?.si ?? 0) : 0;
      expect(drive.kind === 'dc' && drive.statorLimit?.si, controller).toBe(own >= 25 ? 25 : undefined);
    }
  });

  it('in place of another stand on the same holes and shaft, or are none', () => {
    for (const id of ['turntable', 'grip', 'lift']) expect(optionsOf(id, 'drop-in').length).toBeGreaterThan(0);
    expect(optionsOf('turntable', 'drop-in').length).toBeLessThan(optionsOf('turntable').length);
  });
});
