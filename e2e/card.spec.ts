import { execFileSync } from 'node:child_process';
import { expect, test } from './support';

test('gives every figure of the set-up with its basis and its reasons', async ({ page }) => {
  await page.goto('/people/4/card');
  for (const label of [
    'Elbows from the wall',
    'Gap to the wall',
    'Elbow width',
    'Wrists apart',
    'Strap loop',
    'Head above the floor',
    'Lift under both forearms',
    'Lean the distance forces',
  ]) {
    await expect(page.getByText(label, { exact: true })).toBeVisible();
  }
  await expect(page.getByText('proportion and not weakness')).toBeVisible();
  await page
    .getByText(/estimated: \d+ to \d+/)
    .first()
    .click();
  await expect(page.getByText(/Rests on/).first()).toBeVisible();
});

for (const format of ['A4', 'Letter'] as const) {
  test(`prints on one page of ${format}, with the caution line`, async ({ page }, info) => {
    // The fullest card: a lift, two notes, everything the table can hold.
    await page.goto('/people/4/card');
    await page.evaluate(async () => {
      await document.fonts.ready;
    });
    const file = info.outputPath('card.pdf');
    await page.pdf({ path: file, format });
    const facts = execFileSync('pdfinfo', [file], { encoding: 'utf8' });
    expect(facts).toMatch(/Pages:\s+1\n/);
    const text = execFileSync('pdftotext', ['-layout', file, '-'], { encoding: 'utf8' });
    expect(text).toContain('Dorit Amsel');
    expect(text).toContain('Elbows from the wall');
    expect(text).toContain('gives no medical advice');
    expect(text).not.toContain('Tonight');
  });
}

test('saves the drawing as a file true to scale that names nobody', async ({ page }) => {
  await page.goto('/people/4/card');
  const waiting = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Save the drawing' }).click();
  const download = await waiting;
  expect(download.suggestedFilename()).toBe('levitar-set-up.svg');
  const chunks: Buffer[] = [];
  for await (const chunk of await download.createReadStream()) chunks.push(chunk as Buffer);
  const svg = Buffer.concat(chunks).toString('utf8');
  expect(svg).toMatch(/^<svg [^>]*width="[\d.]+mm"/);
  expect(svg).not.toContain('Dorit');
});
