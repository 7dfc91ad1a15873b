import type { Page } from '@playwright/test';
import { expect, expectAccessible, test } from './support';

/** The first key may come before the page has woken up. */
async function openPalette(page: Page): Promise<void> {
  const find = page.getByRole('textbox', { name: 'Find' });
  await expect(async () => {
    await page.keyboard.press('Control+k');
    await expect(find).toBeFocused({ timeout: 1000 });
  }).toPass();
}

const heading = (page: Page) => page.getByRole('heading', { level: 1 }).first();

test(
  'leads to a page, a person, a rung and a set-up by keys alone',
  { tag: '@deep' },
  async ({ page }) => {
    await page.goto('/');
    await heading(page).waitFor();
    for (const [typed, label, address] of [
      ['checks', /^Checks/, /\/checks$/],
      ['dorit am', 'Dorit Amsel', /\/people\/4$/],
      ['kick to the wall, block', /^Kick to the wall, block in hands/, /\/ladders\/FS10/],
    ] as const) {
      await openPalette(page);
      await page.keyboard.type(typed);
      // People and rungs come a moment after the pages.
      const found = page.getByRole('dialog').getByRole('button', { name: label });
      await expect(found.first()).toBeVisible();
      await page.keyboard.press('Enter');
      await page.waitForURL(address);
      await heading(page).waitFor();
      await expect(page.getByRole('textbox', { name: 'Find' })).toHaveCount(0);
    }
  },
);

test('goes through what it found with the arrows, says when there is nothing, and closes with Escape', async ({
  page,
}) => {
  await page.goto('/people');
  await heading(page).waitFor();
  await openPalette(page);
  await expectAccessible(page);
  await page.keyboard.type('qqq');
  await expect(page.getByText('Nothing is called that.')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('textbox', { name: 'Find' })).toHaveCount(0);
  await expect(page).toHaveURL(/\/people$/);
  await openPalette(page);
  await page.keyboard.type('p');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('textbox', { name: 'Find' })).toHaveCount(0);
  await expect(page).not.toHaveURL(/\/people$/);
  // Left by the browser's own way, it does not stay over the page before.
  await heading(page).waitFor();
  await openPalette(page);
  await page.goBack();
  await expect(page).toHaveURL(/\/people$/);
  await expect(page.getByRole('textbox', { name: 'Find' })).toHaveCount(0);
  await page.goForward();
  await expect(page).not.toHaveURL(/\/people$/);
  await expect(page.getByRole('textbox', { name: 'Find' })).toHaveCount(0);
  // And is there when it is asked for.
  await openPalette(page);
});
