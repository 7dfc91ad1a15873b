/** The desk: its copies, a studio that cannot be opened, a tablet that is put out. */
import { rmSync } from 'node:fs';
import path from 'node:path';
import { startOwnServer } from './ownServer';
import { beginClass, expect, expectAccessible, goOn, holdOnce, openClass, test } from './support';

test('takes a copy back in the middle of a class and back again; the tablet agrees anew', async ({
  page,
  context,
}) => {
  const tablet = await context.newPage();
  await beginClass(tablet);
  await holdOnce(tablet);
  await expect(tablet.getByText('all saved')).toBeVisible();
  await page.goto('/settings');
  await page.getByRole('button', { name: 'Copy now' }).click();
  await expect(page.getByText('Copied and checked.')).toBeVisible();
  await holdOnce(tablet);
  await goOn(page, '/people/1');
  const name = await page.getByRole('heading', { level: 1 }).innerText();
  await goOn(page, '/settings');
  const look = page.getByRole('button', { name: /^Look into the copy/ });
  const before = await look.count();
  await look.first().click();
  await expect(page.getByRole('row', { name: /^people 22 22/ })).toBeVisible();
  await expect(page.getByRole('row', { name: /^classes on the floor 1 1/ })).toBeVisible();
  await page.getByRole('button', { name: 'Take it back' }).click();
  await expect(page.getByText(/^Taken back\./)).toBeVisible();
  await expect(look).not.toHaveCount(before);
  // Nothing of the tablet's is lost, and it goes on.
  await holdOnce(tablet);
  await expect(tablet.getByText('all saved')).toBeVisible();
  await goOn(page, '/people/1');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(name);
});

test(
  'says what is wrong with a studio that cannot be opened, and takes a copy back',
  { tag: '@deep' },
  async ({ request, browser }) => {
    test.setTimeout(300_000);
    const server = await startOwnServer(request, { port: 3240, isSeeded: true });
    const context = await browser.newContext();
    const page = await context.newPage();
    try {
      await page.goto(`${server.address}/settings`);
      await page.getByRole('button', { name: 'Copy now' }).click();
      await expect(page.getByText('Copied and checked.')).toBeVisible();
      await server.restartAfter(() => rmSync(path.join(server.folder, 'levitar.sqlite')));
      await page.goto(`${server.address}/people`);
      await expect(
        page.getByRole('heading', { name: 'The studio cannot be opened' }),
      ).toBeVisible();
      await expect(page.getByText(/no new one was begun/)).toBeVisible();
      await expectAccessible(page);
      expect((await request.get(`${server.address}/settings/studio`)).status()).toBe(503);
      await page
        .getByRole('button', { name: /^Look into the copy/ })
        .first()
        .click();
      await page.getByRole('button', { name: 'Take it back' }).click();
      await page.waitForURL(`${server.address}/`);
      await page.goto(`${server.address}/people`);
      await expect(page.getByRole('link', { name: 'Anselm Rook' })).toBeVisible();
    } finally {
      await context.close();
      await server.stop();
    }
  },
);

test(
  'a tablet that is put out keeps nothing, and offers first what was not delivered',
  { tag: '@deep' },
  async ({ page, browser, door }) => {
    const context = await browser.newContext({ ignoreHTTPSErrors: true });
    const tablet = await context.newPage();
    try {
      const url = await beginClass(page);
      await goOn(page, '/devices');
      await page.getByRole('button', { name: 'A code for an assistant' }).click();
      const code = await page.getByText(/^\d{4} \d{4}$/).innerText();
      await tablet.goto(`${door}/pair`);
      await tablet.getByLabel('Name of this tablet').fill('Helper');
      await tablet.getByLabel('Code').fill(code);
      await tablet.getByRole('button', { name: 'Join' }).click();
      await tablet.waitForURL(`${door}/floor`);
      await openClass(tablet, url);
      await holdOnce(tablet);
      await expect(tablet.getByText('all saved')).toBeVisible();
      // Its last taps do not get through before it is put out.
      await tablet.route('**/taps', (route) => route.abort());
      await holdOnce(tablet);
      await goOn(page, '/devices');
      await page.getByRole('button', { name: 'Put Helper out' }).click();
      await tablet.waitForURL(`${door}/pair`, { timeout: 60_000 });
      await expect(tablet.getByRole('heading', { name: 'Join the class' })).toBeVisible();
      const [download] = await Promise.all([
        tablet.waitForEvent('download'),
        tablet.getByRole('button', { name: 'Save them as a file' }).click(),
      ]);
      expect(download.suggestedFilename()).toMatch(/\.json$/);
      await tablet.getByRole('button', { name: 'Wipe this device' }).click();
      await expect
        .poll(() =>
          tablet.evaluate(async () => {
            const databases = await indexedDB.databases();
            const workers = await navigator.serviceWorker.getRegistrations();
            return [
              databases.length,
              workers.length,
              (await caches.keys()).length,
              localStorage.length,
            ];
          }),
        )
        .toEqual([0, 0, 0, 0]);
      await tablet.goto(`${door}/floor`);
      await expect(tablet).toHaveURL(`${door}/pair`);
    } finally {
      await context.close();
    }
  },
);
