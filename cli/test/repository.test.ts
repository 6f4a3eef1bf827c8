import { existsSync, readFileSync, readdirSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { describe, expect, it } from 'vitest';

const root = fileURLToPath(new URL('../../', import.meta.url));
const read = (path: string) => readFileSync(join(root, path), 'utf8');
const pages = [
  'README.md',
  'CONTRIBUTING.md',
  'CHANGELOG.md',
  ...readdirSync(join(root, 'docs'))
    .filter((name) => name.endsWith('.md'))
    .map((name) => `docs/${name}`),
];

describe('the pages', () => {
  it.each(pages)('%s leads only to what is there', (page) => {
    const links = [...read(page).matchAll(/\]\((?!https?:)([^)#]+)/g)].map(([, target]) => target!);
    expect(links.filter((target) => !existsSync(join(root, dirname(page), target)))).toEqual([]);
  });

  it('show every picture that is kept, fewer than twenty', () => {
    const pictures = readdirSync(join(root, 'docs/screenshots'));
    expect(pictures.length).toBeLessThan(20);
    expect(pictures.filter((name) => !read('README.md').includes(`docs/screenshots/${name}`))).toEqual([]);
  });

  it('open with two commands that are scripts', () => {
    const [, first] = /## Two commands\n\n```sh\n([\s\S]*?)```/.exec(read('README.md'))!;
    expect(
      first!
        .trim()
        .split('\n')
        .map((line) => line.replace(/ *#.*/, '')),
    ).toEqual(['npm start', 'npm test']);
  });

  it('name only scripts that exist', () => {
    const { scripts } = JSON.parse(read('package.json')) as { scripts: Record<string, string> };
    const named = pages.flatMap((page) =>
      [...read(page).matchAll(/npm run (?:-s )?([a-z0-9:]+)/g)].map(([, name]) => name!),
    );
    expect(named.filter((name) => !(name in scripts))).toEqual([]);
  });

  it('speak of every setting the server reads', () => {
    const settings = [...read('server/src/settings.ts').matchAll(/^ {2}([A-Z_]+): Joi/gm)].map(([, name]) => name!);
    expect(settings.length).toBe(5);
    expect(settings.filter((name) => !read('docs/settings.md').includes(`\`${name}\``))).toEqual([]);
  });
});

describe('the repository', () => {
  it('has no registry host in its lock file', () => {
    expect(read('package-lock.json')).not.toMatch(/"resolved": "\w+:\/\//);
  });

  it('has one version throughout, the newest of the changes', () => {
    const versions = ['.', 'core', 'contract', 'cli', 'server', 'web', 'e2e'].map(
      (folder) => (JSON.parse(read(join(folder, 'package.json'))) as { version: string }).version,
    );
    expect(new Set(versions).size).toBe(1);
    expect(/^## (\d+\.\d+\.\d+)/m.exec(read('CHANGELOG.md'))![1]).toBe(versions[0]);
  });

  it('runs npm test in CI and nothing less', () => {
    expect(read('.ci/run')).toMatch(/^npm test$/m);
  });

  it('has an explanation of each limit and check in the models', () => {
    const models = read('docs/models.md').toLowerCase();
    for (const word of [
      'volts',
      'motor-side limit',
      'pack-side limit',
      'brown-out',
      'pack discharge',
      'breakers',
      'steady heat',
      'heat while held',
      'wheels slip',
      'rope',
      'in time',
      'stays up',
    ]) {
      expect(models, word).toContain(word);
    }
  });
});
