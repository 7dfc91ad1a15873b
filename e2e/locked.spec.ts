/** The passphrase of the desk. */
import { beginClass, expect, expectAccessible, goOn, holdOnce, openClass, test } from './support';

const word = 'a long enough word';

test(
  'is locked by a key and opened by its word or the printed code, while a class goes on',
  { tag: '@deep' },
  async ({ page, browser, baseURL }) => {
    const url = await beginClass(page);
    await goOn(page, '/settings');
    await page.getByLabel('Passphrase or PIN').fill(word);
    await page.getByLabel('Who is teaching').fill('Vera');
    await page.getByRole('button', { name: 'Set it' }).click();
    const code = await page.getByText(/^[0-9A-Z]{5}(-[0-9A-Z]{5}){3}$/).innerText();
    await expectAccessible(page);
    await page.getByRole('button', { name: 'I have it' }).click();
    await page.keyboard.press('Alt+Shift+L');
    await expect(page.getByRole('heading', { name: 'This desk is locked' })).toBeVisible();
    await expectAccessible(page);
    for (const closed of ['/people', '/settings', '/settings/studio', '/']) {
      await page.goto(closed);
      await expect(page).toHaveURL('/desk');
    }
    // The class goes on, without what is the teacher's to see.
    await page.getByRole('link', { name: 'To the class on the floor' }).click();
    await openClass(page, url);
    await page.waitForURL(url);
    await holdOnce(page);
    await expect(page.getByText('all saved')).toBeVisible();
    await expect(page.getByRole('button', { name: 'Next', exact: true })).toHaveCount(0);

    await goOn(page, '/desk');
    await page.getByLabel('Passphrase').first().fill('some other word');
    await page.getByRole('button', { name: 'Sign in' }).click();
    await expect(page.getByText('This is not the passphrase of this desk.')).toBeVisible();
    await page.getByRole('button', { name: 'The passphrase is forgotten' }).click();
    await page.getByLabel('Recovery code').fill(code.toLowerCase().replace(/-/g, ' '));
    await page.getByLabel('New passphrase').first().fill('the next long word');
    await page.getByRole('button', { name: 'Open and set it' }).click();
    await page.getByRole('button', { name: 'I have it' }).click();
    await page.waitForURL('/');
    // Somebody else at this computer is asked as well.
    const other = await browser.newContext({ baseURL: baseURL! });
    const visitor = await other.newPage();
    await visitor.goto('/people');
    await expect(visitor.getByLabel('Passphrase').first()).toBeVisible();
    await visitor.getByLabel('Passphrase').first().fill(word);
    await visitor.getByRole('button', { name: 'Sign in' }).click();
    await expect(visitor.getByText('This is not the passphrase of this desk.')).toBeVisible();
    await other.close();
    await goOn(page, '/settings');
    await expect(page.getByText(/Vera: signed in|Vera: .*passphrase/).first()).toBeVisible();
  },
);
