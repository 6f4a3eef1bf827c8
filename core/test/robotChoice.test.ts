import { readFileSync } from 'node:fs';
import { beforeAll, describe, expect, it } from 'vitest';
import {
  adoptAll,
  applyChanges,
  ceilingsOf,
  chooseForAll,
  currentChoice,
  evaluate,
  judgeRobot,
  loadJointSolver,
  ledgerOf,
  mechanismById,
  robotOptions,
  searchShortlist,
  type Found,
  type Plan,
  type RobotChoice,
  type RobotOptions,
  type Shelved,
} from '../src/index.js';
import { demoPlan, nansIn } from './demo.js';

const limpet = demoPlan('limpet');
const solver = await loadJointSolver();
const shelf = (
  JSON.parse(readFileSync(new URL('../../contract/demo/shelf.json', import.meta.url), 'utf8')) as { parts: Shelved[] }
).parts;

function end<T>(steps: Generator<unknown, T>): T {
  for (;;) {
    const next = steps.next();
    if (next.done) return next.value;
  }
}

const frontOf = (plan: Plan, id: string, jobId: string): readonly Found[] =>
  end(
    searchShortlist(
      plan,
      {
        mechanismId: id,
        jobId,
        scope: 'everything',
        ownedOnly: false,
        mostMotors: 2,
        packs: 'mine',
        from: 2,
        to: 150,
        wants: ['mass', 'price', 'margin'],
      },
      shelf,
    ),
  ).front;

describe('Choosing for all mechanisms of Limpet at once', () => {
  let ways: RobotOptions;
  beforeAll(() => {
    ways = end(
      robotOptions(
        limpet,
        limpet.mechanisms.map(({ id, jobs }) => frontOf(limpet, id, jobs[0]!.id)),
      ),
    );
  }, 120_000);
  const chosen = (question: Partial<Parameters<typeof chooseForAll>[2]>): RobotChoice =>
    end(chooseForAll(solver, limpet, { ...ways, ceilings: {}, want: 'mass', ...question }));

  it('knows today, and more ways than that', () => {
    expect(ways.todays.map(({ key }) => key)).toEqual(limpet.mechanisms.map(() => 'today'));
    expect(ways.options.some((all) => all.length > 1)).toBe(true);
    expect(nansIn(ways)).toEqual([]);
  });

  it('proposes a set that is lighter than today, holds in every match, and weighs what it says', () => {
    const { held, today, paper, done } = chosen({});
    expect(done).toBe(true);
    expect(paper).toBeDefined();
    const [best] = held;
    expect(best!.choice.mass).toBeLessThan(today.mass);
    const changed = applyChanges(limpet, best!.changes);
    const before = end(judgeRobot(limpet)).matches.flatMap(({ rungs }) => rungs);
    const after = end(judgeRobot(changed)).matches.flatMap(({ rungs }) => rungs);
    const gave = new Set(before.filter(({ verdict }) => verdict === 'gives way').map(({ id }) => id));
    expect(after.filter(({ id, verdict }) => verdict === 'gives way' && !gave.has(id))).toEqual([]);
    // No mechanism that held alone gives way alone.
    const alone = (plan: Plan) => evaluate(plan).mechanisms.map(({ headline }) => headline.verdict === 'gives way');
    alone(changed).forEach((gives, i) => expect(gives && !alone(limpet)[i]).toBe(false));
    const motorsOf = (plan: Plan) =>
      ledgerOf(plan).rows.reduce((sum, { mass }) => sum + mass.motors.mass + mass.controllers.mass, 0);
    expect(today.mass - best!.choice.mass).toBeCloseTo(motorsOf(limpet) - motorsOf(changed), 6);
    expect(held.map(({ choice }) => choice.mass)).toEqual(
      [...held.map(({ choice }) => choice.mass)].sort((a, b) => a - b),
    );
  });

  it('stays under ceilings, says what each costs, and when there is none', () => {
    const free = chosen({ want: 'mass' }).paper!;
    const cheapest = chosen({ want: 'price' }).paper!.price;
    const dear = chosen({ ceilings: { price: cheapest } });
    expect(dear.paper!.price).toBeLessThanOrEqual(cheapest);
    expect(dear.paper!.mass).toBeGreaterThanOrEqual(free.mass);
    const cost = dear.costs.find(({ ceiling }) => ceiling === 'price')!;
    expect(cost.step).toBe(100);
    // The same as asking with the ceiling that much higher.
    const looser = chosen({ ceilings: { price: cheapest + 100 } }).paper!.mass;
    expect(cost.value).toBeCloseTo(looser, 9);
    expect(cost.helps).toBe(looser < dear.paper!.mass * 0.999);
    const none = chosen({ ceilings: { mass: 0.001 } });
    expect(none).toMatchObject({ held: [], paper: undefined, done: true });
    expect(none.costs.find(({ ceiling }) => ceiling === 'mass')!.step).toBe(1);
  });

  it('is best in what each school asks', () => {
    const of = (want: Parameters<typeof chooseForAll>[2]['want']) => chosen({ want }).paper!;
    const [light, cheap, cool, strong, few] = [of('mass'), of('price'), of('coolness'), of('margin'), of('kinds')];
    for (const other of [light, cool, strong, few]) expect(cheap.price).toBeLessThanOrEqual(other.price + 1e-9);
    for (const other of [light, cheap, strong, few])
      expect(cool.coolness).toBeGreaterThanOrEqual(other.coolness - 1e-9);
    for (const other of [light, cheap, cool, few]) expect(strong.margin).toBeGreaterThanOrEqual(other.margin - 1e-9);
    for (const other of [light, cheap, cool, strong]) expect(few.kinds).toBeLessThanOrEqual(other.kinds);
  });

  it('is adopted at once: every design under a name of its own, nothing left without use', () => {
    const [best] = chosen({}).held;
    const changed = applyChanges(limpet, adoptAll(limpet, best!.taken));
    for (const { mechanism, found, label } of best!.taken) {
      const { name, drive } = currentChoice(mechanismById(changed, mechanism));
      expect(name).toBe(found ? label.slice(0, 60) : currentChoice(mechanismById(limpet, mechanism)).name);
      if (found && drive.kind !== 'servo') expect(changed.parts[drive.motor]!.part.name).toBe(found.motor);
    }
    expect(evaluate(changed).mechanisms).toHaveLength(limpet.mechanisms.length);
  });
});

it('ceilings follow from the event: frame and pack leave what they leave of the mass', () => {
  const heron = demoPlan('heron');
  expect(ceilingsOf(heron)).toMatchObject({ mass: 48 - 8.6, price: 1100, motors: 14, slots: 15 });
  const limits = heron.event!.limits.map((limit) => (limit.id === 'mass' ? { ...limit, withPack: true } : limit));
  expect(ceilingsOf({ ...heron, event: { ...heron.event!, limits } }).mass).toBeCloseTo(48 - 8.6 - 5.9, 9);
  expect(ceilingsOf(limpet)).toEqual({});
});
