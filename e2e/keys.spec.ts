import type { Page } from '@playwright/test';
import { expect, goOn, holdScripts, test } from './support';

/** Presses keys and counts them; what is typed counts letter by letter. */
function counting(page: Page) {
  let pressed = 0;
  return {
    press: async (key: string, times = 1) => {
      for (let at = 0; at < times; at += 1) await page.keyboard.press(key);
      pressed += times;
    },
    type: async (text: string) => {
      await page.keyboard.type(text);
      pressed += text.length;
    },
    count: () => pressed,
  };
}

const heading = (page: Page) => page.getByRole('heading', { level: 1 }).first();

test('the focus goes to the page that was gone to, and back to what opened a menu or a dialog', async ({
  page,
}) => {
  await page.goto('/people');
  await heading(page).waitFor();
  await page.getByRole('link', { name: 'Plan', exact: true }).first().click();
  await page.waitForURL(/\/plan/);
  await heading(page).waitFor();
  await expect(page.locator('#main')).toBeFocused();

  await goOn(page, '/people/4');
  const entry = page.getByRole('button', { name: 'This entry' });
  await entry.focus();
  await page.keyboard.press('Enter');
  await page.getByRole('menuitem', { name: 'Rename' }).waitFor();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('menuitem', { name: 'Rename' })).toHaveCount(0);
  await expect(entry).toBeFocused();

  // The first time its dialog comes over the network, the second time at once.
  for (let time = 0; time < 2; time += 1) {
    await page.keyboard.press('Enter');
    await page.getByRole('menuitem', { name: 'Rename' }).waitFor();
    await page.getByRole('menuitem', { name: 'Rename' }).press('Enter');
    const name = page.getByRole('dialog').getByLabel('Name');
    await expect(name).toBeFocused();
    await page.keyboard.press('Escape');
    await expect(name).toHaveCount(0);
    await expect(entry).toBeFocused();
  }

  const decide = page.getByRole('button', { name: 'Decide' }).first();
  await decide.focus();
  await page.keyboard.press('Enter');
  await page.getByRole('dialog').waitFor();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await expect(decide).toBeFocused();
});

test(
  'ten hops are recorded, and a bar is changed, with fewer than thirty keys each',
  { tag: '@deep' },
  async ({ page }) => {
    await page.goto('/');
    await heading(page).waitFor();
    const find = page.getByRole('textbox', { name: 'Find' });
    const wake = async () => {
      // The first key may come before the page has woken up: it is not counted.
      await expect(async () => {
        await page.keyboard.press('Control+k');
        await expect(find).toBeFocused({ timeout: 1000 });
      }).toPass();
    };

    const takeFirst = async (keys: ReturnType<typeof counting>, typed: string, name: RegExp) => {
      await keys.type(typed);
      // People, rungs and bars come a moment after the pages.
      await expect(page.getByRole('dialog').getByRole('button', { name }).first()).toBeVisible();
      await keys.press('Enter');
    };

    await wake();
    const hops = counting(page);
    await takeFirst(hops, 'halina', /^Halina Brook$/);
    await page.waitForURL(/\/people\/\d+$/);
    await expect(page.getByRole('heading', { level: 1, name: 'Halina Brook' })).toBeVisible();
    await expect(find).toHaveCount(0);
    await hops.press('Control+k');
    await expect(find).toBeFocused();
    await takeFirst(hops, 'rec hops', /^Record hops/);
    const much = page.getByLabel('How much');
    await expect(much).toBeFocused();
    await hops.type('10');
    await hops.press('Enter');
    await expect(page.getByText(/^Hops that reach.* recorded$/)).toBeVisible();
    expect(1 + hops.count()).toBeLessThan(30);

    await goOn(page, '/profiles');
    await page.getByRole('button', { name: 'Copy' }).first().click();
    await page.getByLabel('Name of the copy').fill('Quick');
    await page.getByRole('button', { name: 'Make the copy' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Quick');
    await goOn(page, '/');
    await heading(page).waitFor();
    await wake();
    const bar = counting(page);
    await takeFirst(bar, 'bar dol ho', /^Bar of dolphin hold, Quick$/);
    const field = page.getByLabel('Dolphin hold', { exact: true });
    await expect(field).toBeFocused();
    await bar.type('50');
    await bar.press('Control+Enter');
    await expect(page.getByText('at least 45 s → at least 50 s')).toBeVisible();
    expect(1 + bar.count()).toBeLessThan(30);

    // The next one is looked for from within a field.
    await expect(field).toBeVisible();
    await field.focus();
    await page.keyboard.press('Control+k');
    await expect(find).toBeFocused();
    await takeFirst(bar, 'bar hollow', /^Bar of hollow.*Quick/);
    await expect(page.getByLabel(/^Hollow hold/)).toBeFocused();
  },
);

test('what is tapped before the script has come is done when it comes, once', async ({ page }) => {
  const letCome = await holdScripts(page);
  await page.goto('/people/4', { waitUntil: 'commit' });
  const show = page.getByRole('button', { name: 'Show body and cautions' });
  await show.click();
  // Whoever sees nothing happen taps again.
  await show.click();
  await expect(show).toBeVisible();
  await letCome();
  await expect(page.getByRole('button', { name: 'Fold body and cautions away' })).toBeVisible();
  await expect(page.getByRole('combobox', { name: /Cautions this person/ })).toBeVisible();
});

test('a menu of a page that is hardly there opens, by key too', async ({ page }) => {
  const letCome = await holdScripts(page);
  await page.goto('/people/4', { waitUntil: 'commit' });
  await page.getByRole('button', { name: 'This entry' }).focus();
  await page.keyboard.press('Enter');
  await letCome();
  await expect(page.getByRole('menuitem', { name: 'Delete for good' })).toBeVisible();
});
