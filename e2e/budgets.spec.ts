/** Script of the pages that are opened most: it may shrink, and does not grow unseen. */
import { firstLoadKiB, scriptBudgets } from '../scripts/firstLoad';
import { expect, test } from './support';

test('the pages that are opened most stay within their script', async ({ request }) => {
  const read = async (path: string) => (await request.get(path)).text();
  for (const [path, most] of Object.entries(scriptBudgets)) {
    const size = await firstLoadKiB(path, read);
    expect([path, size <= most, Math.round(size)]).toEqual([path, true, Math.round(size)]);
  }
});
