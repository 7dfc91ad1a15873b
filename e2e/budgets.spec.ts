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
