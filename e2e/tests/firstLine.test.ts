import { expect, test } from '../fixtures.js';

test('from the start page to what gives first on the mast lift, and what to change', async ({ page, server }) => {
  await page.goto(server.url);
  await page.getByRole('link', { name: 'Mast lift' }).click();

  await expect(page.getByTestId('answer')).toContainText(
    'Tight. The controller’s pack-side limit gives first, at 1.20×',
  );
  await expect(page.getByTestId('mends').getByRole('button', { name: /One more motor/ })).toContainText(
    /1\.20 → 2\.\d\d×/,
  );
  await expect(page.getByRole('navigation', { name: 'Power path' })).toContainText('gives first');
});

test.describe('with a server of its own,', () => {
  test.use({ ownServer: true, ownBrowser: true });

  test('dragging the ratio takes a rung across 1×, and it is still there after a restart of the server', async ({
    heron,
    page,
    server,
  }) => {
    await heron.open('lift');
    await expect(heron.rung('volts')).toContainText('1.29×');
    const handle = page.getByTestId('ratio-handle');
    const box = (await handle.boundingBox())!;
    await page.mouse.move(box.x + 12, box.y + 12);
    await page.mouse.down();
    await page.mouse.move(box.x + 210, box.y + 12, { steps: 12 });
    // While it is dragged, everything has moved already.
    await expect(heron.rung('volts')).toHaveAccessibleName(/gives way/);
    await page.mouse.up();
    await expect(page.getByTestId('answer')).toContainText(/gives way/i);
    await heron.saved();
    const total = await page.getByRole('textbox', { name: 'Total reduction' }).inputValue();

    await server.stop();
    await server.start();
    await page.reload();
    await expect(page.getByRole('textbox', { name: 'Total reduction' })).toHaveValue(total);
    await expect(heron.rung('volts')).toHaveAccessibleName(/gives way/);
  });
});
