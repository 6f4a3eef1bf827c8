import type { ImportReport } from '@rough-gear/contract/shelf-files';
import { PART_KINDS, randomFrom } from '@rough-gear/core';
import { pick, type Attack } from './attack.js';
import { Target } from './server.js';

const ODD = [
  '',
  '"',
  '""',
  ',',
  '\n',
  '\r\n',
  '=1+1',
  "'=x",
  '\t',
  '5e-324',
  '1e999',
  '-',
  'NaN',
  '\u0000',
  '🦩',
  'x'.repeat(5000),
  ';',
  '12 mm',
  '1,5',
];

/** A file with some of its characters and cells replaced, taken away or doubled. */
function mutated(text: string, roll: () => number): string {
  let odd = text;
  for (let i = 0, many = 1 + Math.floor(roll() * 4); i < many; i++) {
    const at = Math.floor(roll() * odd.length);
    const length = Math.floor(roll() * (roll() < 0.2 ? 200 : 4));
    odd = odd.slice(0, at) + pick(ODD, roll) + odd.slice(at + length);
  }
  return odd;
}

/** Broken sheets into the shelf: what is taken goes out and comes in again as it was. */
export const sheets: Attack = {
  name: 'broken sheets of parts',
  aims: 'the shelf takes in what it cannot give out again',
  async run(scale) {
    const each = scale === 'long' ? 60 : 4;
    const roll = randomFrom(1128);
    const target = await Target.start();
    const broken: string[] = [];
    let [tried, taken] = [0, 0];
    const send = (kind: string, text: string, dry: boolean) =>
      target.send('POST', `/shelf/file?kind=${kind}&dry=${dry}`, text, { 'Content-Type': 'text/csv' });
    for (const kind of PART_KINDS) {
      for (let i = 0; i < each; i++) {
        const file = await (await fetch(`${target.url}/api/shelf/file?kind=${kind}`)).text();
        const odd = mutated(file, roll);
        tried++;
        const answer = await send(kind, odd, false);
        const said = await answer.text();
        if (answer.status >= 500) broken.push(`${kind} ${i}: answered ${answer.status}`);
        if (answer.status === 200 && (JSON.parse(said) as { taken: boolean }).taken) taken++;
      }
      const after = await (await fetch(`${target.url}/api/shelf/file?kind=${kind}`)).text();
      const again = (await (await send(kind, after, true)).json()) as ImportReport;
      const other = again.lines.filter(({ does }) => does !== 'same');
      if (!again.sound || other.length > 0)
        broken.push(
          `${kind}: its own export comes in as ${other[0]?.does}: ${[...again.problems, ...(other[0]?.problems ?? [])].join().slice(0, 200)}`,
        );
    }
    await target.dispose();
    return { tried: `${tried} sheets`, seen: `${taken} were understood and taken`, broken };
  },
};
