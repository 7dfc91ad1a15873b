import AxeBuilder from '@axe-core/playwright';
import { expect, test as base, type Page } from '@playwright/test';

/** Every page of every test is watched: no request to another host, no error in the console. */
export const test = base.extend<{ watched: undefined }>({
  watched: [
    async ({ page, baseURL }, use) => {
      const own = new URL(baseURL!).host;
      const strays: string[] = [];
      const errors: string[] = [];
      page.on('request', (request) => {
        const url = new URL(request.url());
        if (url.protocol.startsWith('http') && url.host !== own) strays.push(request.url());
      });
      page.on('pageerror', (error) => errors.push(error.message));
      page.on('console', (message) => {
        if (message.type() === 'error') errors.push(message.text());
      });
      await use(undefined);
      expect(strays, 'requests to another host').toEqual([]);
      const unexpected = errors.filter((error) => !error.includes('404 (Not Found)'));
      expect(unexpected, 'errors in the page').toEqual([]);
    },
    { auto: true },
  ],
});

export { expect };

export async function openPerson(page: Page, name: string): Promise<void> {
  await page.goto('/people');
  await page.getByRole('link', { name }).click();
  await expect(page.getByRole('heading', { level: 1, name })).toBeVisible();
}

/** Nothing serious or critical, in the scheme as it stands. */
export async function expectAccessible(page: Page): Promise<void> {
  const { violations } = await new AxeBuilder({ page }).analyze();
  const serious = violations
    .filter(({ impact }) => impact === 'serious' || impact === 'critical')
    .map(({ id, nodes }) => `${id}: ${nodes.map(({ target }) => target.join(' ')).join(' | ')}`);
  expect(serious).toEqual([]);
}
