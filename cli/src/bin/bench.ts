import { fileURLToPath } from 'node:url';
import { measuredBeside } from '../bench/beside.js';

/** `npm run -s bench`: one JSON on stdout. Measures, never asserts: machines differ. */
if (!measuredBeside()) {
  const { everything } = await import('../bench/everything.js');
  process.stdout.write(`${JSON.stringify(await everything(fileURLToPath(import.meta.url)), null, 2)}\n`);
}
