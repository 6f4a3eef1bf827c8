import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { expect, test } from '../fixtures.js';
import { straysOn } from '../strays.js';

const textsIn = (value: unknown): readonly string[] =>
  typeof value === 'string'
    ? [value]
    : typeof value === 'object' && value !== null
      ? Object.values(value).flatMap(textsIn)
      : [];

/** Names, notes and sources that people or makers wrote: "brushed 12 V, 64 mm can" is no figure. A bare "20 kg" is one. */
const NAMED = ['heron', 'limpet', 'shelf']
  .flatMap((name) =>
    textsIn(JSON.parse(readFileSync(new URL(`../../contract/demo/${name}.json`, import.meta.url), 'utf8'))),
  )
  .filter((text) => text.length > 8 && !/^[\d.]+ \S+$/.test(text))
  .sort((a, b) => b.length - a.length);

const LINKS = {
  drive: ['pack', 'branch', 'controller', 'output', 'load'],
  lift: ['motor', 's1', 's2', 'output', 'load'],
  climb: ['s1', 'output'],
  arm: ['output', 'load'],
  thrower: ['output', 'load'],
  turntable: ['controller', 'motor', 'load'],
  grip: ['rail', 'linkage', 'motor', 'load'],
} as const;

for (const units of ['metric', 'inch'] as const) {
  test.describe(`in ${units} units nothing is shown in others`, () => {
    test.beforeEach(async ({ page }) => {
      test.setTimeout(300_000);
      await page.addInitScript((value) => localStorage.setItem('rough-gear:units', value), units);
    });
    const none = async (page: Page, where: string): Promise<void> => {
      expect(await straysOn(page, units, NAMED), where).toEqual([]);
    };

    test('on every link of every kind of machine', async ({ heron, page }) => {
      for (const [mechanism, links] of Object.entries(LINKS))
        for (const link of links) {
          await heron.open(mechanism, link);
          await none(page, `${mechanism} ${link}`);
        }
    });

    test('in what gives way, its mends and its workings', async ({ heron, page }) => {
      await heron.open('climb', 'output');
      await page.getByTestId('mends').getByRole('button').first().waitFor();
      await none(page, 'mends');
      await heron.open('lift');
      await page.getByRole('region', { name: 'What gives first' }).getByRole('button', { name: 'Working' }).click();
      await page.locator('.katex').first().waitFor();
      await none(page, 'working');
      await page.keyboard.press('Escape');
      await page.getByRole('button', { name: 'Compare' }).click();
      for (const tab of ['How many', 'Which winding', 'Volts and speed', 'Brushed or brushless']) {
        await page.getByRole('tab', { name: tab }).click();
        await none(page, tab);
      }
      await page.keyboard.press('Escape');
      await page.getByRole('button', { name: 'Add a mechanism' }).click();
      await page.getByRole('textbox', { name: 'what: the load' }).waitFor();
      await none(page, 'add a mechanism');
    });

    test('on the pages of a train and of choosing', async ({ heron, page }) => {
      for (const train of ['stages', 'lengths', 'layout']) {
        await heron.open('lift', 's2', `?train=${train}`);
        await page.getByRole('region', { name: 'The train' }).waitFor();
        await none(page, `train, ${train}`);
      }
      for (const [choose, there] of [
        ['ratio', 'ratio-sweep'],
        ['side', 'differences'],
      ] as const) {
        await heron.open('intake', 'motor', `?choose=${choose}`);
        if (choose === 'side') await page.getByRole('button', { name: 'One or two motors?' }).click();
        await page.getByTestId(there).waitFor();
        await none(page, choose);
      }
    });

    test('in the pit', async ({ heron, page, server }) => {
      for (const at of ['checks', 'cards', 'wires', 'verdicts']) {
        await page.goto(`${server.url}/robots/${heron.id}/pit/${at}`);
        await page.getByRole('heading', { name: 'Heron, pit' }).waitFor();
        await page.getByRole('region').first().waitFor();
        await none(page, `pit, ${at}`);
      }
    });

    test('on what is drawn for paper', async ({ heron, page, server }) => {
      for (const sheet of ['order', 'cards', 'wiring', 'book']) {
        await page.goto(`${server.url}/robots/${heron.id}/paper/${sheet}`);
        await page.getByRole('article').first().waitFor();
        await none(page, sheet);
      }
    });

    test('in the bench book, its trials and their paper', async ({ page, server }) => {
      await page.goto(`${server.url}/bench`);
      await page.getByRole('row').nth(1).waitFor();
      await none(page, 'bench book');
      for (const trial of ['01', '03', '04', '06', '07', '08', '09', '10', '11', '12']) {
        await page.goto(`${server.url}/bench/7d2a0000-0000-4000-8000-0000000000${trial}`);
        await page.getByTestId('found').waitFor();
        await none(page, `trial ${trial}`);
      }
      for (const form of ['report', 'blank']) {
        await page.goto(`${server.url}/bench/7d2a0000-0000-4000-8000-000000000005/paper/${form}`);
        await page.getByRole('article').waitFor();
        await none(page, form);
      }
    });

    test('on the start page and the shelf', async ({ page, server }) => {
      await page.goto(`${server.url}/robots`);
      await page.getByRole('link', { name: 'Heron' }).first().waitFor();
      await none(page, 'robots');
      for (const part of ['motor/motor-brushed-64', 'servo', 'stepper', 'pack', 'series']) {
        await page.goto(`${server.url}/shelf/${part}`);
        await page.getByRole('row').nth(1).waitFor();
        await none(page, `shelf, ${part}`);
      }
      const file = await page.request.get(`${server.url}/api/shelf/file?kind=motor&units=${units}`);
      expect((await file.text()).split('\r\n')[0]).toContain(units === 'inch' ? '(oz-in)' : '(N·m)');
    });
  });
}
