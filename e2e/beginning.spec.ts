import { expect, expectAccessible, test } from './support';

const people = [
  'Ada Wren, 172',
  'Bo Lindqvist, 181',
  'Cleo Marsh',
  'Dara Quist, 163',
  'Eli Thorne',
  'Fenna Holt, 168',
  'Gus Amari, 176',
  'Hanne Brook',
  'Ivo Sand',
  'Jule Pike',
].join('\n');

test.use({ isEmpty: true });

test('from an empty studio to a first class on paper, by keyboard alone', async ({ page }) => {
  test.setTimeout(300_000);
  const { keyboard } = page;
  /** Goes on with the tab key until this has the focus. */
  const tabTo = async (name: RegExp, role: 'link' | 'button' | 'radio' = 'link') => {
    const wanted = page.getByRole(role, { name }).first();
    await expect(wanted).toBeVisible();
    for (let count = 0; count < 160; count += 1) {
      if (await wanted.evaluate((element) => element === document.activeElement)) return;
      await keyboard.press('Tab');
    }
    throw new Error(`The tab key never reaches ${name}.`);
  };
  const look = async (name: string) => {
    const folder = process.env.LEVITAR_LOOK;
    if (folder) await page.screenshot({ path: `${folder}/begin-${name}.png` });
  };
  await page.goto('/');
  await tabTo(/Begin with my own/);
  await keyboard.press('Enter');
  await page.waitForURL(/begin\/place/);
  await expectAccessible(page);
  await look('place');
  await expect(page.getByLabel('What you call it')).toBeFocused();
  await keyboard.type('Mondays');
  await keyboard.press('Tab');
  await keyboard.type('Old school hall');
  await keyboard.press('Enter');
  await page.waitForURL(/begin\/people/);
  await expect(page.getByLabel(/A name a line/)).toBeFocused();
  await keyboard.insertText(people);
  await expect(page.getByText('5 without a height')).toBeVisible();
  await expectAccessible(page);
  await look('people');
  await tabTo(/Keep 10 people/, 'button');
  await keyboard.press('Enter');
  await page.waitForURL(/begin\/room/);
  await tabTo(/Hall/, 'button');
  await keyboard.press('Enter');
  await expect(page.getByText(/of wall/).first()).toBeVisible();
  await expectAccessible(page);
  await look('room');
  await tabTo(/On to the cupboard/);
  await keyboard.press('Enter');
  await page.waitForURL(/begin\/cupboard/);
  await tabTo(/One foam block more/i, 'button');
  for (let count = 0; count < 6; count += 1) await keyboard.press('Enter');
  await look('cupboard');
  await tabTo(/On to the placing/);
  await keyboard.press('Enter');
  await page.waitForURL(/begin\/placing/);
  // One row a person: the arrow keys point along it.
  await tabTo(/Ada Wren: never seen/, 'radio');
  await keyboard.press('ArrowRight');
  await keyboard.press('ArrowRight');
  await expect(page.getByRole('radio', { name: 'Ada Wren: Forearm plank' })).toBeChecked();
  await expect(page.getByText('9 to go')).toBeVisible();
  await expectAccessible(page);
  await look('placing');
  await tabTo(/On to the first class/);
  await keyboard.press('Enter');
  await page.waitForURL(/begin\/class/);
  await expect(page.getByRole('link', { name: 'Print the first class' })).toBeVisible({
    timeout: 60_000,
  });
  await expectAccessible(page);
  await look('class');
  await tabTo(/Print the first class/);
  await keyboard.press('Enter');
  await page.waitForURL(/plan\/print/);
  const cards = page.getByRole('region', { name: 'Cards' });
  await expect(cards.getByRole('article')).toHaveCount(10);
  await look('print');
  // A real version for everybody in every round, and no rest in place of one.
  await expect(cards.getByText('Rest, watching')).toHaveCount(0);

  // What is left is taken up again where it was left.
  await page.goto('/begin');
  await page.waitForURL(/begin\/class/);
  // Tonight shows the same plan, and composes nothing anew.
  await page.goto('/');
  await expect(page.getByText(/Composing/)).toHaveCount(0);
  await expect(page.getByRole('heading', { name: 'Mondays' })).toBeVisible();
  await look('tonight');
});
