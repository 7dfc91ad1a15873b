/** The desk: its passphrase, its copies, a studio that cannot be opened, a tablet that is put out. */
import { rmSync } from 'node:fs';
import path from 'node:path';
import { type Page } from '@playwright/test';
import { startOwnServer, type OwnServer } from './ownServer';
import { expect, expectAccessible, test } from './support';

const word = 'a long enough word';

/** A running class of a server; resolves to its address. */
async function beginClass(page: Page, { address }: OwnServer): Promise<string> {
  await page.goto(`${address}/floor`);
  await page.getByRole('button', { name: 'Begin the class' }).first().click();
  await page.waitForURL(/\/floor\/[0-9a-f-]{36}$/);
  await expect(page.getByText('all saved')).toBeVisible();
  return page.url();
}

/** Starts the clock of a hold and stops it: three taps or more. */
async function holdOnce(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Hold', exact: true }).click();
  await page.getByRole('button', { name: /^Start the clock/ }).click();
  await page.getByRole('button', { name: 'Stop the clock' }).click();
  await page.getByRole('button', { name: 'Done' }).click();
}

test('is locked by a key and opened by its word or the printed code, while a class goes on', async ({
  request,
  browser,
}) => {
  test.setTimeout(300_000);
  const server = await startOwnServer(request, { port: 3238, isSeeded: true });
  const context = await browser.newContext();
  const page = await context.newPage();
  try {
    const url = await beginClass(page, server);
    await page.goto(`${server.address}/settings`);
    await page.getByLabel('Passphrase or PIN').fill(word);
    await page.getByLabel('Who is teaching').fill('Vera');
    await page.getByRole('button', { name: 'Set it' }).click();
    const code = await page.getByText(/^[0-9A-Z]{5}(-[0-9A-Z]{5}){3}$/).innerText();
    await expectAccessible(page);
    await page.getByRole('button', { name: 'I have it' }).click();
    await page.keyboard.press('Alt+Shift+L');
    await expect(page.getByRole('heading', { name: 'This desk is locked' })).toBeVisible();
    await expectAccessible(page);
    for (const closed of ['/people', '/settings', '/settings/studio', '/']) {
      await page.goto(server.address + closed);
      await expect(page).toHaveURL(`${server.address}/desk`);
    }
    // The class goes on, without what is the teacher's to see.
    await page.getByRole('link', { name: 'To the class on the floor' }).click();
    await page.getByRole('link', { name: /today’s class/ }).click();
    await page.waitForURL(url);
    await holdOnce(page);
    await expect(page.getByText('all saved')).toBeVisible();
    await expect(page.getByRole('button', { name: 'Next', exact: true })).toHaveCount(0);

    await page.goto(`${server.address}/desk`);
    await page.getByLabel('Passphrase').first().fill('some other word');
    await page.getByRole('button', { name: 'Sign in' }).click();
    await expect(page.getByText('This is not the passphrase of this desk.')).toBeVisible();
    await page.getByRole('button', { name: 'The passphrase is forgotten' }).click();
    await page.getByLabel('Recovery code').fill(code.toLowerCase().replace(/-/g, ' '));
    await page.getByLabel('New passphrase').first().fill('the next long word');
    await page.getByRole('button', { name: 'Open and set it' }).click();
    await page.getByRole('button', { name: 'I have it' }).click();
    await page.waitForURL(`${server.address}/`);
    // Somebody else at this computer is asked as well.
    const other = await browser.newContext();
    const visitor = await other.newPage();
    await visitor.goto(`${server.address}/people`);
    await expect(visitor.getByLabel('Passphrase').first()).toBeVisible();
    await visitor.getByLabel('Passphrase').first().fill(word);
    await visitor.getByRole('button', { name: 'Sign in' }).click();
    await expect(visitor.getByText('This is not the passphrase of this desk.')).toBeVisible();
    await other.close();
    await page.goto(`${server.address}/settings`);
    await expect(page.getByText(/Vera: signed in|Vera: .*passphrase/).first()).toBeVisible();
  } finally {
    await context.close();
    await server.stop();
  }
});

test('takes a copy back in the middle of a class and back again; the tablet agrees anew', async ({
  request,
  browser,
}) => {
  test.setTimeout(300_000);
  const server = await startOwnServer(request, { port: 3239, isSeeded: true });
  const tablet = await browser.newPage();
  const page = await browser.newPage();
  try {
    await beginClass(tablet, server);
    await holdOnce(tablet);
    await expect(tablet.getByText('all saved')).toBeVisible();
    await page.goto(`${server.address}/settings`);
    await page.getByRole('button', { name: 'Copy now' }).click();
    await expect(page.getByText('Copied and checked.')).toBeVisible();
    await holdOnce(tablet);
    await page.goto(`${server.address}/people/1`);
    const name = await page.getByRole('heading', { level: 1 }).innerText();
    await page.goto(`${server.address}/settings`);
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
    await page.goto(`${server.address}/people/1`);
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(name);
  } finally {
    await tablet.close();
    await page.close();
    await server.stop();
  }
});

test('says what is wrong with a studio that cannot be opened, and takes a copy back', async ({
  request,
  browser,
}) => {
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
    await expect(page.getByRole('heading', { name: 'The studio cannot be opened' })).toBeVisible();
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
});

test('a tablet that is put out keeps nothing, and offers first what was not delivered', async ({
  request,
  browser,
}) => {
  test.setTimeout(300_000);
  const server = await startOwnServer(request, { port: 3241, doorPort: 3678, isSeeded: true });
  const page = await browser.newPage();
  const context = await browser.newContext({ ignoreHTTPSErrors: true });
  const tablet = await context.newPage();
  try {
    await beginClass(page, server);
    await page.goto(`${server.address}/devices`);
    await page.getByRole('button', { name: 'A code for an assistant' }).click();
    const code = await page.getByText(/^\d{4} \d{4}$/).innerText();
    await tablet.goto(`${server.door}/pair`);
    await tablet.getByLabel('Name of this tablet').fill('Helper');
    await tablet.getByLabel('Code').fill(code);
    await tablet.getByRole('button', { name: 'Join' }).click();
    await tablet.waitForURL(`${server.door}/floor`);
    await tablet.getByRole('link', { name: /today’s class/ }).click();
    await holdOnce(tablet);
    await expect(tablet.getByText('all saved')).toBeVisible();
    // Its last taps do not get through before it is put out.
    await tablet.route('**/taps', (route) => route.abort());
    await holdOnce(tablet);
    await page.goto(`${server.address}/devices`);
    await page.getByRole('button', { name: 'Put Helper out' }).click();
    await tablet.waitForURL(`${server.door}/pair`, { timeout: 60_000 });
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
    await tablet.goto(`${server.door}/floor`);
    await expect(tablet).toHaveURL(`${server.door}/pair`);
  } finally {
    await context.close();
    await page.close();
    await server.stop();
  }
});
