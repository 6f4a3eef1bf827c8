import { evaluate, randomFrom, type Plan } from '@rough-gear/core';
import { readPlan } from '@rough-gear/contract';
import { pick, type Attack } from './attack.js';
import { heron, savedIn, Target } from './server.js';

const ODD: readonly unknown[] = [
  null,
  -1,
  0,
  5e-324,
  1e308,
  -0,
  '',
  'x'.repeat(100_000),
  '\u0000',
  '\ud800',
  '__proto__',
  '../../etc/passwd',
  '<script>alert(1)</script>',
  [],
  {},
  [[]],
  true,
  { si: 1e-300, as: '', source: 'typed' },
  { si: -5, as: 'x', source: 'sheet' },
  { si: '5', as: '5', source: 'typed' },
];

type Node = Record<string, unknown>;

/** A document with some of it replaced, taken away, doubled, or of another place. */
function mutated(document: unknown, roll: () => number): unknown {
  const copy = structuredClone(document);
  for (let i = 0, many = 1 + Math.floor(roll() * 3); i < many; i++) {
    const all = nodesOf(copy);
    const node = pick(all, roll);
    const key = pick(Object.keys(node), roll);
    const how = roll();
    if (how < 0.45) node[key] = pick(ODD, roll);
    else if (how < 0.6) Reflect.deleteProperty(node, key);
    else if (how < 0.75) node[`${key}x`] = node[key];
    else {
      const other = pick(all, roll);
      node[key] = structuredClone(other[pick(Object.keys(other), roll)]);
    }
  }
  return copy;
}

function nodesOf(value: unknown): Node[] {
  if (typeof value !== 'object' || value === null) return [];
  const inner = Object.values(value).flatMap(nodesOf);
  return Object.keys(value).length > 0 ? [value as Node, ...inner] : inner;
}

/** Broken plans through the API, and what is taken of them through the core. */
export const plans: Attack = {
  name: 'broken plans',
  aims: 'the server falls over, or takes what cannot be read again',
  async run(scale) {
    const count = scale === 'long' ? 3000 : 150;
    const roll = randomFrom(20261128);
    const target = await Target.start();
    const { id } = await target.create(heron);
    const broken: string[] = [];
    let [revision, taken] = [1, 0];
    for (let i = 0; i < count && broken.length < 20; i++) {
      const odd = mutated(heron, roll);
      const answer = await target.save(id, revision, odd);
      if (answer.status === 200) {
        taken++;
        ({ revision } = await savedIn(answer));
        broken.push(...unsound(odd, i));
      } else {
        const said = await answer.text();
        if (![400, 413, 422].includes(answer.status))
          broken.push(`${i}: answered ${answer.status}: ${said.slice(0, 200)}`);
        if (said.length > 10_000) broken.push(`${i}: ${said.length} characters are said back`);
      }
    }
    for (const body of ['', '{', '[]', 'null', '"x"', '{"__proto__": {"x": 1}}', '['.repeat(100_000), '\u0000'])
      if ((await target.save(id, revision, body)).status >= 500)
        broken.push(`the body ${body.slice(0, 20)} was not understood as a wrong one`);
    const { total } = await target.list();
    if (total !== 3 || !target.alive) broken.push('the list is not what it was');
    await target.dispose();
    return { tried: `${count} broken plans`, seen: `${taken} were sound enough to be taken`, broken };
  },
};

/** What was taken must be read again, and judged without a figure that is none. */
function unsound(document: unknown, i: number): readonly string[] {
  const read = readPlan(JSON.parse(JSON.stringify(document)));
  if (!read.ok) return [`${i}: was taken, and cannot be read`];
  try {
    const text = JSON.stringify(
      evaluate(read.plan as Plan).mechanisms.map(({ headline }) => [headline.multiple ?? 0, headline.name]),
    );
    return text.includes('null') ? [`${i}: is judged with a figure that is none`] : [];
  } catch (problem) {
    return [`${i}: was taken, and cannot be judged: ${(problem as Error).message}`];
  }
}
