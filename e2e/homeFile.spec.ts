import { mkdirSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { pathToFileURL } from 'node:url';
import { expect, expectAccessible, goOn, openPerson, test } from './support';

test('practice goes home as one file, without a network, and its diary comes back both ways', async ({
  page,
  browser,
}, info) => {
  await openPerson(page, 'Halina Brook');
  await page.getByRole('main').getByRole('link', { name: 'Home practice' }).click();
  const coming = page.waitForEvent('download');
  await page.getByRole('link', { name: 'For the phone' }).click();
  const download = await coming;
  expect(download.suggestedFilename()).toBe('practice.html');
  const file = path.join(info.outputDir, 'practice.html');
  await download.saveAs(file);

  // A phone with nothing but the file.
  const context = await browser.newContext({
    viewport: { width: 390, height: 780 },
    offline: true,
    acceptDownloads: true,
    reducedMotion: 'no-preference',
  });
  const phone = await context.newPage();
  const asked: string[] = [];
  phone.on('request', (request) => asked.push(request.url()));
  await phone.clock.install();
  await phone.goto(pathToFileURL(file).href);
  await expect(phone.getByRole('heading', { name: 'Practice for Halina' })).toBeVisible();
  expect(await phone.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  await expectAccessible(phone, undefined, true);
  const drawing = phone.getByRole('img').first();
  const before = await drawing.innerHTML();
  await phone.clock.runFor(4000);
  await expect.poll(() => drawing.innerHTML()).not.toBe(before);

  await phone
    .getByRole('button', { name: /^Begin: / })
    .first()
    .click();
  await expect(phone.getByText('Get ready')).toBeVisible();
  await phone.clock.runFor(6000);
  await expect(phone.getByText(/^(in|out)$/)).toBeVisible();
  await phone.getByRole('button', { name: 'Pause' }).click();
  const held = await phone.locator('.clock').innerText();
  await phone.clock.runFor(5000);
  expect(await phone.locator('.clock').innerText()).toBe(held);
  await phone.getByRole('button', { name: 'Go on' }).click();
  // To the end of the dose, however long it is.
  await phone.clock.runFor(900_000);
  await expect(phone.getByRole('heading', { name: /^How was it/ })).toBeVisible();
  await phone.getByRole('button', { name: 'about right' }).click();
  await expect(phone.getByText('done once')).toBeVisible();

  await phone
    .getByRole('button', { name: /^Begin: / })
    .nth(1)
    .click();
  await phone.getByRole('button', { name: 'Stop' }).click();
  await phone.getByLabel('Did anything hurt?').selectOption('wrist');
  await phone.getByRole('button', { name: 'hard' }).click();
  await expect(phone.getByRole('alert')).toContainText('Leave out what hurt');
  await phone.getByRole('button', { name: 'Back to the list' }).click();
  // What loads the wrist is left out until the teacher has asked; it is there when opened again.
  const leftOut = phone.getByText('Leave this out until your teacher has asked you');
  const all = await phone.getByRole('button', { name: /^Begin: / }).count();
  await expect(leftOut.first()).toBeVisible();
  await phone.reload();
  await expect(leftOut.first()).toBeVisible();
  await expectAccessible(phone, undefined, true);
  // Told by mistake: it goes back, and comes again.
  await phone.getByRole('button', { name: 'Diary (2)' }).click();
  await phone
    .getByRole('button', { name: /^Take it back: / })
    .first()
    .click();
  await phone.getByRole('button', { name: 'Back to the list' }).click();
  await expect(leftOut).toHaveCount(0);
  expect(await phone.getByRole('button', { name: /^Begin: / }).count()).toBeGreaterThan(all);
  await phone.getByRole('button', { name: 'Diary (1)' }).click();
  await phone.getByRole('button', { name: /^Put it back: / }).click();
  await phone.getByRole('button', { name: 'Back to the list' }).click();
  await expect(leftOut.first()).toBeVisible();
  // The drawing holds still at a tap, and goes from pose to pose with the keys.
  const moving = phone.getByRole('group', { name: /^Drawing: / }).first();
  await moving.click();
  const still = await moving.innerHTML();
  await phone.clock.runFor(4000);
  expect(await moving.innerHTML()).toBe(still);
  await moving.press('ArrowRight');
  const pose = await moving.innerHTML();
  await moving.press('ArrowRight');
  expect(await moving.innerHTML()).not.toBe(pose);
  await phone.getByRole('button', { name: 'Diary (2)' }).click();
  await phone.getByRole('button', { name: 'Show as a picture' }).click();
  await expect(phone.getByRole('img', { name: /read by a camera/ })).toBeVisible();
  await expectAccessible(phone, undefined, true);
  const code = await phone.getByLabel(/copy this/).inputValue();
  const saving = phone.waitForEvent('download');
  await phone.getByRole('button', { name: 'Save as a file' }).click();
  const diary = path.join(info.outputDir, 'practice-diary.json');
  await (await saving).saveAs(diary);
  expect(asked.filter((url) => !url.startsWith('file:') && !url.startsWith('blob:'))).toEqual([]);
  await context.close();

  // Back at the studio: the code, and then the file, which brings nothing new.
  await openPerson(page, 'Halina Brook');
  const home = page.locator('#from-home');
  await home.getByLabel('Code from the practice file').fill(code.slice(0, -3));
  await home.getByRole('button', { name: 'Take it in' }).click();
  await expect(home.getByText(/not whole/)).toBeVisible();
  await home.getByLabel('Code from the practice file').fill(code);
  await home.getByRole('button', { name: 'Take it in' }).click();
  await expect(home.getByText('2 times on 1 day')).toBeVisible();
  await expect(home.getByText('to ask about')).toBeVisible();
  const choosing = page.waitForEvent('filechooser');
  await home.getByRole('button', { name: 'Choose the diary’s file' }).click();
  await (await choosing).setFiles(diary);
  await expect(page.getByText('Everything in it was here already.')).toBeVisible();
  await expect(home.getByText('2 times on 1 day')).toBeVisible();
  // Said tonight, without what it is.
  await goOn(page, '/');
  await expect(page.getByText(/Something from home:/)).toContainText('Halina');
});

test('what has no length of its own is counted until it is done', async ({
  page,
  browser,
}, info) => {
  const text = await (await page.request.get('/people/2/home/file')).text();
  const file = path.join(info.outputDir, 'open.html');
  mkdirSync(info.outputDir, { recursive: true });
  // As of a drill of the teacher's own, whose dose is in words.
  writeFileSync(
    file,
    text.replace(/"steps":\[.*?\]/, '"steps":[{"kind":"hold","label":"as told","seconds":null}]'),
  );
  const context = await browser.newContext({ offline: true });
  const phone = await context.newPage();
  await phone.clock.install();
  await phone.goto(pathToFileURL(file).href);
  await phone
    .getByRole('button', { name: /^Begin/ })
    .first()
    .click();
  await phone.clock.runFor(6000);
  await expect(phone.getByText('as told')).toBeVisible();
  await phone.clock.runFor(150_000);
  // Up, not down, and nobody is asked before they say so.
  await expect(phone.locator('.clock')).toHaveText(/^2:3\d$/);
  await phone.getByRole('button', { name: 'Done' }).click();
  await expect(phone.getByRole('heading', { name: /^How was it/ })).toBeVisible();
  await context.close();
});

test('a sheet that has ended says whom to ask', async ({ page, browser }, info) => {
  const answer = await page.request.get('/people/2/home/file');
  expect(answer.headers()['content-disposition']).toContain('attachment');
  const file = path.join(info.outputDir, 'ended.html');
  mkdirSync(info.outputDir, { recursive: true });
  writeFileSync(file, (await answer.text()).replace(/"ends":"[\d-]+"/, '"ends":"2020-01-01"'));
  const context = await browser.newContext({ offline: true, colorScheme: 'dark' });
  const phone = await context.newPage();
  await phone.goto(pathToFileURL(file).href);
  await expect(phone.getByRole('status')).toContainText('Ask your teacher');
  await expect(phone.getByRole('button', { name: /^Begin/ }).first()).toBeDisabled();
  await context.close();
});
