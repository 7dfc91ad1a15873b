import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { resolveBody } from '@/core/body/body';
import { practiceScene } from '@/core/plumb/practice';
import { chooseFile } from './ownServer';
import { choosePhoto } from './paintedPhoto';
import type { Page } from '@playwright/test';
import { expect, expectAccessible, expectAccessibleInBoth, goOn, test } from './support';

test.describe.configure({ mode: 'serial' });

test('packs what goes over a network and is helped by it, and nothing for the browser beside it', async ({
  page,
  request,
  door,
}) => {
  await page.goto('/devices');
  await page.getByRole('button', { name: 'A code for a tablet of my own' }).click();
  const code = await page.getByText(/^\d{4} \d{4}$/).innerText();
  const joined = await request.post(`${door}/pair/join`, {
    data: { code, name: 'Tablet' },
    headers: { origin: door },
    ignoreHTTPSErrors: true,
  });
  const cookie = joined.headers()['set-cookie']!.split(';')[0]!;
  const isPacked = async (address: string) => {
    const answer = await request.get(address, {
      headers: { 'accept-encoding': 'gzip, br', cookie },
      ignoreHTTPSErrors: true,
    });
    expect(answer.ok()).toBe(true);
    return answer.headers()['content-encoding'] !== undefined;
  };
  const html = await (await request.get('/plumb')).text();
  const [script] = /\/_next\/static\/chunks\/[^"]+\.js/.exec(html)!;
  const reader = (file: string) => `/plumb/reader/${file}`;
  // Weights are noise to a packer: it took half a second of the first reading.
  const noise = ['blazepose-full.bin', 'blazepose-detector.bin'].map(reader);
  const helped = ['blazepose-full.json', 'tfjs-backend-wasm-simd.wasm'].map(reader).concat(script);
  for (const file of [...noise, ...helped]) {
    expect([file, await isPacked(file)]).toEqual([file, false]);
    expect([file, await isPacked(door + file)]).toEqual([file, helped.includes(file)]);
  }
});

/** Puts marks where they usually are, whether or not the reader has been there before. */
const byHand = (page: Page) =>
  page.getByRole('button', { name: /^(Put the marks on|Anew by hand)$/ });

test('reads lines from a practice picture by keyboard alone, and sends nothing anywhere', async ({
  page,
}) => {
  const asked: string[] = [];
  page.on('request', (request) => asked.push(request.url()));
  await page.goto('/plumb?person=3&shape=handstand');
  await page.getByRole('button', { name: 'A practice picture' }).press('Enter');
  await byHand(page).press('Enter');
  const measures = page.getByRole('region', { name: 'Measures' });
  const hip = measures.locator('div', { has: page.getByText('Hip', { exact: true }) });
  const before = await hip.innerText();
  const knee = page.getByRole('button', { name: /^near knee/ });
  await knee.focus();
  for (let step = 0; step < 4; step += 1) await page.keyboard.press('Shift+ArrowRight');
  await expect(hip).not.toHaveText(before);
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  expect(await hip.innerText()).toBe(before);
  const own = new URL(page.url()).origin;
  const elsewhere = asked.filter((url) => !url.startsWith(own) && !/^(blob|data):/.test(url));
  expect(elsewhere).toEqual([]);
  // No picture is among what was sent.
  expect(asked.filter((url) => /\.(png|jpe?g|webp)/.test(url))).toEqual([]);
});

test('finds the marks by itself, on the device, close to where they were painted', async ({
  page,
}) => {
  const asked: string[] = [];
  page.on('request', (request) => asked.push(request.url()));
  await page.goto('/plumb?person=3&shape=forearmStandWall');
  // Not a byte of it before it is asked for.
  expect(asked.filter((url) => url.includes('/plumb/reader/'))).toEqual([]);
  await page.getByRole('button', { name: 'A practice picture' }).click();
  // Without another tap; on what carries in the shape that it was opened for.
  await expect(page.getByRole('button', { name: /^near shoulder/ })).toBeVisible({
    timeout: 60_000,
  });
  await expect(page.getByLabel('Weight on')).toHaveValue('forearms');
  const place = async (name: string) => {
    const words = await page
      .getByRole('button', { name: new RegExp(`^near ${name}`) })
      .getAttribute('aria-label');
    const [, x, y] = /: (-?\d+), (-?\d+)/.exec(words!)!;
    return [Number(x), Number(y)] as const;
  };
  const read = new Map<string, readonly [number, number]>();
  for (const name of ['shoulder', 'hip', 'knee', 'ankle']) read.set(name, await place(name));
  const { joints, place: paintedAt } = practiceScene(resolveBody({ heightM: 1.75 }), {
    shape: 'forearmStandWall',
    archDeg: 14,
    tiltDeg: 2,
  });
  for (const [name, at] of read) {
    const truth = paintedAt(joints[name as 'hip']);
    // A hand's breadth at the picture's scale of 500 pixels to the metre.
    expect(Math.hypot(at[0] - truth[0], at[1] - truth[1])).toBeLessThan(45);
  }
  const own = new URL(page.url()).origin;
  expect(asked.filter((url) => !url.startsWith(own) && !/^(blob|data):/.test(url))).toEqual([]);
});

test(
  'paints a practice picture as it is asked for, from the front, and says what it painted',
  { tag: '@deep' },
  async ({ page }) => {
    await page.goto('/plumb?person=3&shape=handstand');
    await page.getByRole('button', { name: 'A practice picture' }).click();
    await page.getByText('How it is painted').click();
    await page.getByText('From the front').click();
    // One after the other, faster than they are painted: none is lost.
    await page.getByLabel('Wider than shoulders').fill('8');
    await page.getByText('Against a window').click();
    await expect(page.getByRole('radio', { name: 'Against a window' })).toBeChecked();
    await expect(page.getByLabel('Wider than shoulders')).toHaveValue('8 cm');
    await expect(page.getByRole('radio', { name: 'Front', exact: true })).toBeChecked();
    await byHand(page).click();
    await page.getByLabel('Scale from').selectOption('trunk');
    await page.getByText('What was painted').click();
    const painted = page.getByRole('table').filter({ hasText: 'painted' });
    await expect(painted.getByRole('row', { name: /^Wrists apart/ })).toContainText(' cm');
    // It measures nobody.
    await expect(page.getByRole('button', { name: 'Keep it' })).toHaveCount(0);
    await expect(page.getByRole('region', { name: 'To compare later' })).toHaveCount(0);
    await page.getByText('From the side').click();
    await expect(page.getByLabel('Arch')).toBeVisible();
    await expect(page.getByRole('radio', { name: 'Side', exact: true })).toBeChecked();
  },
);

test('says so where nobody is found', async ({ page }) => {
  await page.goto('/plumb?person=3');
  const blank = readFileSync('docs/screenshots/ladders.png');
  await chooseFile(page, 'Choose a picture', {
    name: 'page.png',
    mimeType: 'image/png',
    buffer: blank,
  });
  await expect(page.getByText(/Nobody is found in this picture/)).toBeVisible({ timeout: 60_000 });
});

test('draws a mark by mouse, and keeps a record with where it is from', async ({ page }) => {
  await page.goto('/plumb?person=5&shape=dolphin');
  await choosePhoto(page);
  await expect(page.getByLabel('Weight on')).toHaveValue('forearms');
  await byHand(page).click();
  const crown = page.getByRole('button', { name: /^near crown/ });
  const words = await crown.getAttribute('aria-label');
  const box = (await crown.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2 + 12, { steps: 4 });
  await page.mouse.up();
  await expect(crown).not.toHaveAttribute('aria-label', words!);
  await page
    .getByRole('region', { name: 'As a record' })
    .getByRole('button', { name: 'Keep it' })
    .click();
  await expect(page.getByText('Head clearance in dolphin recorded')).toBeVisible();
  await goOn(page, '/people/5');
  await expect(page.getByRole('cell', { name: /from a picture, give or take/ })).toBeVisible();
});

test('says what is wrong with a file that is no picture', async ({ page }) => {
  await page.goto('/plumb?person=5');
  const text = { name: 'photo.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('not a picture') };
  await chooseFile(page, 'Choose a picture', text);
  await expect(page.getByText(/no picture that the browser can open/)).toBeVisible();
  await chooseFile(page, 'Choose a picture', { ...text, buffer: Buffer.alloc(0) });
  await expect(page.getByText(/This file is empty/)).toBeVisible();
});

test('marks go out as a file and come back, measures as a table', async ({ page }) => {
  await page.goto('/plumb?person=5&shape=wallL');
  await page.getByRole('button', { name: 'A practice picture' }).click();
  await byHand(page).click();
  const download = async (name: string) => {
    const waiting = page.waitForEvent('download');
    await page.getByRole('button', { name }).click();
    const file = await waiting;
    return { name: file.suggestedFilename(), path: await file.path() };
  };
  const marks = await download('Marks as a file');
  expect(marks.name).toBe('levitar-marks.json');
  expect((await download('Measures as CSV')).name).toBe('levitar-measures.csv');
  const lines = await download('Lines as SVG');
  expect(lines.name).toBe('levitar-lines.svg');
  // It stands by itself: nothing of the page's styles is needed to draw it.
  const drawing = readFileSync(lines.path, 'utf8');
  expect(drawing).toMatch(/<path[^>]* fill="none"[^>]* stroke="rgb\(255, 253, 248\)"/);
  expect(drawing).not.toMatch(/class=|var\(/);
  await page.getByRole('button', { name: /^near hip/ }).focus();
  const words = await page.getByRole('button', { name: /^near hip/ }).getAttribute('aria-label');
  await page.keyboard.press('Delete');
  await expect(page.getByRole('button', { name: /^near hip/ })).toHaveCount(0);
  const choosing = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Marks from a file' }).click();
  await (await choosing).setFiles(marks.path);
  await expect(page.getByRole('button', { name: /^near hip/ })).toHaveAttribute(
    'aria-label',
    words!,
  );
});

test('is accessible, light and dark', { tag: '@deep' }, async ({ page }) => {
  await page.goto('/plumb?person=3');
  await expectAccessibleInBoth(page);
  await page.getByRole('button', { name: 'A practice picture' }).click();
  await byHand(page).click();
  await expectAccessibleInBoth(page);
});

test(
  'keeps a picture only with consent, compares two, and really deletes',
  { tag: '@deep' },
  async ({ page }, info) => {
    // A made-up adult who has agreed to nothing yet.
    await page.goto('/plumb?person=6&shape=handstand');
    const take = async () => {
      await choosePhoto(page);
      await byHand(page).click();
      await expect(page.getByRole('button', { name: /^near hip/ })).toBeVisible();
    };
    await take();
    const panel = page.getByRole('region', { name: 'To compare later' });
    await expect(panel).toContainText('has not agreed to pictures');
    await expect(panel.getByRole('checkbox')).toHaveCount(0);
    await panel.getByRole('button', { name: 'Keep the marks' }).click();
    await expect(page.getByText('Marks kept, without the picture.')).toBeVisible();

    await goOn(page, '/people/6');
    await page.getByRole('button', { name: 'Show body and cautions' }).click();
    await page
      .getByRole('radiogroup', { name: 'Pictures that are kept' })
      .getByText('yes', { exact: true })
      .click();
    await expect(page.getByText('Kept.', { exact: true })).toBeVisible();

    await goOn(page, '/plumb?person=6&shape=handstand');
    await take();
    await panel.getByRole('checkbox').check();
    await panel.getByRole('button', { name: 'Keep marks and picture' }).click();
    await expect(page.getByText('Marks and picture kept.')).toBeVisible();

    await page.getByRole('radiogroup', { name: 'Read from' }).getByText('Compare').click();
    await expect(page.getByRole('table')).toContainText('Lean of the trunk');
    const picture = page.getByRole('img', { name: / on \d/ });
    await expect(picture).toHaveCount(1);
    await expect
      .poll(() => picture.evaluate((image: HTMLImageElement) => image.naturalWidth))
      .toBeGreaterThan(800);
    await expectAccessible(page);
    // Before and after are one page to pin up or take home.
    const paper = info.outputPath('sheet.pdf');
    await page.pdf({ path: paper, format: 'A4', printBackground: true });
    expect(execFileSync('pdfinfo', [paper], { encoding: 'utf8' })).toMatch(/Pages: +1\n/);
    expect(execFileSync('pdftotext', [paper, '-'], { encoding: 'utf8' })).toContain(
      'Bend of the neck',
    );
    const address = (await picture.getAttribute('src'))!;
    await page.getByRole('button', { name: /^Delete .*with picture/ }).click();
    await page.getByRole('button', { name: /^Delete .*with picture for good/ }).click();
    await expect(page.getByText('Deleted, also on the disk.')).toBeVisible();
    await expect(picture).toHaveCount(0);
    expect((await page.request.get(address)).status()).toBe(404);
  },
);

test('says that somebody else is in the picture', { tag: '@deep' }, async ({ page }) => {
  await page.goto('/plumb?person=3&shape=handstand');
  await choosePhoto(page, 2);
  await expect(page.getByText(/More than one person is in this picture/)).toBeVisible({
    timeout: 60_000,
  });
});

test(
  'says what is cut off, guesses nothing of it, and has it put on by hand',
  { tag: '@deep' },
  async ({ page }) => {
    await page.goto('/plumb?person=3&shape=handstand');
    await choosePhoto(page, 1, 0.3);
    await expect(page.getByText(/No feet are surely seen in this picture/).first()).toBeVisible({
      timeout: 60_000,
    });
    await expect(page.getByRole('button', { name: /^near (ankle|heel|toe)/ })).toHaveCount(0);
    await expect(page.getByText('Foot height')).toHaveCount(0);
    await page.getByLabel('Add a mark').selectOption({ label: 'near ankle' });
    await expect(page.getByRole('button', { name: /^near ankle/ })).toBeFocused();
    await expect(page.getByText('Foot height')).toBeVisible();
  },
);
