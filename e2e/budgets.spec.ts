/** Script of the pages that are opened most: it may shrink, and does not grow unseen. */
import { classBudget, firstLoadKiB, scriptBudgets } from '../scripts/firstLoad';
import { expect, test } from './support';

test('the pages that are opened most stay within their script', async ({ request }) => {
  const read = async (path: string) => (await request.get(path)).text();
  for (const [path, most] of Object.entries(scriptBudgets)) {
    const size = await firstLoadKiB(path, read);
    expect([path, size <= most, Math.round(size)]).toEqual([path, true, Math.round(size)]);
  }
});

test('a class that runs stays within its script', async ({ page, request }) => {
  await page.goto('/floor');
  await page.getByRole('button', { name: 'Begin the class' }).first().click();
  await page.getByText('all saved').waitFor();
  const { pathname } = new URL(page.url());
  const size = await firstLoadKiB(pathname, async (path) => (await request.get(path)).text());
  expect([size <= classBudget, Math.round(size)]).toEqual([true, Math.round(size)]);
});

test('what comes after the class itself is there before it is wanted, also where nothing is kept', async ({
  browser,
  baseURL,
}) => {
  // A tablet by plain address keeps no page, and its connection ends right after the class came.
  const context = await browser.newContext({ serviceWorkers: 'block', baseURL: baseURL! });
  try {
    const page = await context.newPage();
    await page.goto('/floor');
    await page
      .getByRole('button', { name: 'Begin the class' })
      .or(page.getByRole('link', { name: /Go on with/ }))
      .first()
      .click();
    await page.getByText('all saved').waitFor();
    const scripts = () =>
      page.evaluate(
        () =>
          performance.getEntriesByType('resource').filter((one) => /\.js$/.test(one.name)).length,
      );
    for (let before = -1, now = 0; before !== now; before = now, now = await scripts()) {
      await page.waitForTimeout(1_000);
    }
    await context.setOffline(true);
    await page.getByRole('button', { name: 'More' }).click();
    await page.getByRole('menuitem', { name: 'Somebody new' }).waitFor();
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'Hold', exact: true }).click();
    await page.getByRole('region', { name: 'A hold for the group' }).waitFor();
    await page.getByRole('button', { name: 'Not now' }).click();
    const set = page.getByRole('list', { name: 'Set-ups of this round' });
    while (!(await set.isVisible())) {
      await page.getByRole('button', { name: 'Next', exact: true }).click();
      await page.getByText(/^Next: |^Last line$/).waitFor();
    }
    await page.getByLabel('Everybody in this round').getByRole('button').first().click();
    await page.getByRole('dialog').waitFor();
    await page
      .getByRole('dialog')
      .getByRole('button', { name: /^Stop / })
      .click();
    await page.getByRole('dialog', { name: / stops$/ }).waitFor();
    await page.keyboard.press('Escape');
    // What is wanted on some evenings only comes late, with the connection.
    await page.getByRole('button', { name: 'More' }).click();
    await page.getByRole('menuitem', { name: 'Head load on a scale' }).click();
    await page.waitForTimeout(1_000);
    await context.setOffline(false);
    await page.getByText('practice scale').first().waitFor();
  } finally {
    await context.close();
  }
});
