import { execFileSync } from 'node:child_process';
import { expect, goOn, test } from './support';

test('drags the wall distance with the mouse and the figures follow', async ({ page }) => {
  await page.goto('/bench?person=2');
  const mark = page.getByRole('slider', { name: 'Elbows from the wall', exact: true });
  const lean = page.getByLabel('Figures').locator('div', { hasText: 'Lean of one line' });
  await expect(mark).toHaveAttribute('aria-valuetext', '51 cm');
  const before = await lean.innerText();
  const box = (await mark.boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + 20, y, { steps: 4 });
  await page.mouse.move(x + 45, y, { steps: 4 });
  await page.mouse.up();
  const now = Number(await mark.getAttribute('aria-valuenow'));
  expect(now).toBeLessThan(47);
  expect(now).toBeGreaterThan(20);
  expect(await lean.innerText()).not.toBe(before);
});

test('drags with the keyboard, by 1 and by 5 cm, and asks why', async ({ page }) => {
  await page.goto('/bench?person=2');
  const mark = page.getByRole('slider', { name: 'Elbows from the wall', exact: true });
  await mark.focus();
  await page.keyboard.press('ArrowRight');
  await expect(mark).toHaveAttribute('aria-valuetext', '50 cm');
  await page.keyboard.press('Shift+ArrowLeft');
  await expect(mark).toHaveAttribute('aria-valuetext', '55 cm');
  await page.getByText('Why?').first().click();
  await expect(page.getByText(/Dempster in Winter/).first()).toBeVisible();
});

test('stays at the last possible posture and names limb and centimetres', async ({ page }) => {
  await page.goto('/bench?person=2&shape=wallL');
  const feet = page.getByRole('slider', { name: 'Wrists from the wall', exact: true });
  await feet.focus();
  for (let press = 0; press < 22; press += 1) await page.keyboard.press('Shift+ArrowRight');
  await expect(page.getByText(/Out of reach: .*\d+ cm too short/)).toBeVisible();
  await expect(page.getByText('The drawing stays at the last possible place.')).toBeVisible();
  expect(await page.locator('main').innerText()).not.toMatch(/NaN|Infinity/);
});

test('compares people and shapes, switches units, follows the cupboard', async ({ page }) => {
  await page.goto('/bench?person=1&shape=shoulderStand');
  await expect(page.getByText('From the cupboard:')).toBeVisible();
  const paths = () => page.locator('svg[data-px-per-m] path').count();
  const alone = await paths();
  await page.getByText('person', { exact: true }).click();
  await expect.poll(paths).toBeGreaterThan(alone);
  await page.getByText('shape', { exact: true }).click();
  await page.getByRole('combobox', { name: 'Which shape as a ghost' }).click();
  await page.getByRole('option', { name: 'Plough from the platform' }).click();
  await expect.poll(paths).toBeGreaterThan(alone);
  await page.getByText('ft, in', { exact: true }).click();
  await expect(page.getByRole('slider', { name: 'Platform', exact: true })).toHaveAttribute(
    'aria-valuetext',
    / in$/,
  );
  await page.getByText('cm', { exact: true }).click();
  await expect(page.getByRole('slider', { name: 'Platform', exact: true })).toHaveAttribute(
    'aria-valuetext',
    / cm$/,
  );
});

test('keeps a set-up with a note; the card says it was found by trying; undo', async ({ page }) => {
  await page.goto('/bench?person=9');
  const mark = page.getByRole('slider', { name: 'Elbows from the wall', exact: true });
  await mark.focus();
  await page.keyboard.press('Shift+ArrowRight');
  await page.getByLabel('Keep this for Idris Falk').fill('5 cm closer felt better');
  await page.getByRole('button', { name: 'Keep this set-up' }).click();
  const history = page.getByRole('region', { name: 'Set-ups by experience' });
  await expect(history).toContainText('5 cm closer felt better');
  const other = await page.context().newPage();
  await other.goto('/people/9/card');
  await expect(other.getByText(/found by trying/).first()).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(history).not.toContainText('5 cm closer felt better');
  await other.reload();
  await expect(other.getByText(/found by trying/)).toHaveCount(0);
});

test('offers set-ups by recipe, profile and pieces, and shapes without loads', async ({ page }) => {
  await page.goto('/bench?person=1&shape=plough');
  const panel = page.getByRole('region', { name: 'Set-up', exact: true });
  await expect(panel).toContainText('Folded edge from the wall');
  await panel.getByText('Pieces at hand').click();
  await panel.getByLabel('Foam block', { exact: true }).fill('0');
  await panel.getByLabel('Flat foam pad').fill('0');
  await panel.getByLabel('Cork block').fill('0');
  await panel.getByLabel('Shoulder pad').fill('0');
  await panel.getByLabel('Flat bolster').fill('0');
  await panel.getByLabel('Blanket, folded').fill('0');
  await panel.getByLabel('Thin foam block').fill('0');
  await expect(panel).toContainText(/Nothing at hand|Borrow/);
  await page.getByRole('combobox', { name: 'Shape', exact: true }).click();
  await page.getByRole('option', { name: 'Boat' }).click();
  await expect(page.getByText(/no loads to give/).first()).toBeVisible();
});

test('prints on one page and saves the drawing', async ({ page }, info) => {
  await page.goto('/bench?person=1&shape=dolphin');
  await expect(page.getByLabel('Figures')).toBeVisible();
  const file = info.outputPath('bench.pdf');
  await page.pdf({ path: file, format: 'A4' });
  expect(execFileSync('pdfinfo', [file], { encoding: 'utf8' })).toMatch(/Pages:\s+1\n/);
  const text = execFileSync('pdftotext', [file, '-'], { encoding: 'utf8' });
  expect(text).toContain('On the forearms');
  expect(text).toContain('gives no medical advice');
  // The tallest shapes, of the tallest people, of somebody with most to say, on the shorter paper.
  for (const address of [
    '/bench?height=210&shape=handstandWall',
    '/bench?height=210&shape=forearmStand',
    '/bench?person=1&shape=forearmStandWall',
    '/bench?person=6&shape=wallL',
    '/measure',
  ]) {
    await page.goto(address);
    await page.getByRole('heading', { level: 1 }).waitFor();
    await page.pdf({ path: file, format: 'Letter' });
    const facts = execFileSync('pdfinfo', [file], { encoding: 'utf8' });
    expect([address, facts]).toEqual([address, expect.stringMatching(/Pages:\s+1\n/)]);
  }
  await goOn(page, '/bench?person=1&shape=dolphin');
  const waiting = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save the drawing' }).click();
  expect((await waiting).suggestedFilename()).toBe('levitar-bench.svg');
});

test('prints everyone’s card, one to a page', async ({ page }, info) => {
  await page.goto('/cards');
  const file = info.outputPath('cards.pdf');
  await page.evaluate(async () => {
    await document.fonts.ready;
  });
  await page.pdf({ path: file, format: 'Letter' });
  expect(execFileSync('pdfinfo', [file], { encoding: 'utf8' })).toMatch(/Pages:\s+14\n/);
});

test('prints what is practised at home, one page for each person', async ({ page }, info) => {
  await page.goto('/home-practice');
  const sheets = await page.getByRole('article', { name: /^Practice for/ }).count();
  expect(sheets).toBeGreaterThan(10);
  const file = info.outputPath('home.pdf');
  for (const format of ['A4', 'Letter']) {
    await page.pdf({ path: file, format });
    const facts = execFileSync('pdfinfo', [file], { encoding: 'utf8' });
    expect([format, /Pages:\s+(\d+)/.exec(facts)?.[1]]).toEqual([format, String(sheets)]);
  }
});

test('the measuring guide leads to the four lengths that settle most, and to typing them in', async ({
  page,
}) => {
  await page.goto('/bench?person=5&shape=forearmL');
  const guide = page.getByRole('region', { name: 'Measuring guide' });
  await expect(guide.getByRole('listitem')).toHaveCount(4);
  const first = (await guide.getByRole('listitem').first().locator('strong').innerText()).trim();
  await guide.getByRole('link', { name: 'Type them in' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Emeric Toll' })).toBeVisible();
  await expect(page.getByLabel(first)).toBeVisible();
  await page.getByRole('link', { name: 'how to take them' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(
    'Measuring with a wall and a tape',
  );
  // Nineteen lengths, and three that are taken all round.
  await expect(page.getByRole('main').getByRole('listitem').getByRole('img')).toHaveCount(22);
});
