import { readFileSync, readdirSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';

/** Gzip size of what the build holds, by file, the fonts left out. */
export function transferred(): Record<string, number> {
  const folder = 'web/dist/assets';
  const files = readdirSync(folder).filter((name) => /\.(js|css)$/.test(name));
  return Object.fromEntries(
    files
      .filter((name) => statSync(join(folder, name)).isFile())
      .map((name) => [name, gzipSync(readFileSync(join(folder, name))).length]),
  );
}
