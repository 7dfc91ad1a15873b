/** How long the plan page keeps a hand waiting: while it loads, and while the solver works. */
import { chromium, type Page } from '@playwright/test';
import { chromiumArguments } from '../../playwright.config';
import { longestBlock, noteBlocks } from './longTasks';
import { medianOf, print } from './timing';

const url = process.env.LEVITAR_URL!;
const runs = 5;
/** The proof of a changed class goes on for some seconds after the first plan. */
const solvingMs = 5_000;

/** What a teacher changes, each of which is composed anew. */
const changes = [
  { field: 'Helpers', value: '2' },
  { field: 'Minutes', value: '80' },
  { field: 'Helpers', value: '0' },
] as const;

/**
 * Types it as a hand would. The field is looked for before anything is noted: looking for it is work
 * of the page as well, and not of the app.
 */
async function change(page: Page, { field, value }: (typeof changes)[number]): Promise<void> {
  await page.getByLabel(field, { exact: true }).focus();
  await page.keyboard.press('Control+A');
  await longestBlock(page);
  await page.keyboard.type(value);
  await page.keyboard.press('Tab');
}

/** So many people are asked about, one after the other, once nothing is composed any more. */
const askedAbout = 6;
/** What a tap draws is drawn by then. */
const drawingMs = 1_000;

/** Taps names in the row of set-ups, as somebody does who goes through the class. */
async function askWhy(page: Page): Promise<number> {
  const names = await page
    .getByRole('list', { name: 'Set-ups of this round' })
    .getByRole('button')
    .all();
  if (names.length < askedAbout) throw new Error('The row of set-ups has hardly anybody in it.');
  await longestBlock(page);
  let longest = 0;
  for (const name of names.slice(0, askedAbout)) {
    // By the element itself: looking for where to click is work of the page, and not of the app.
    await name.evaluate((button: HTMLElement) => button.click());
    await page.waitForTimeout(drawingMs);
    longest = Math.max(longest, await longestBlock(page));
  }
  return longest;
}

const browser = await chromium.launch({
  executablePath: process.env.LEVITAR_CHROMIUM!,
  args: chromiumArguments,
});
const loading: number[] = [];
const solving: number[] = [];
const asking: number[] = [];
for (let run = 0; run < runs; run += 1) {
  // Of its own, so that nothing is at hand from before.
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const page = await context.newPage();
  await page.addInitScript(noteBlocks);
  await page.goto(`${url}/plan`);
  await page
    .getByText(/Kept for Tonight|Compose again/)
    .first()
    .waitFor({ timeout: 120_000 });
  await page.waitForTimeout(solvingMs);
  loading.push(await longestBlock(page));
  for (const one of changes) {
    await change(page, one);
    await page.waitForTimeout(solvingMs);
    solving.push(await longestBlock(page));
  }
  asking.push(await askWhy(page));
  await context.close();
}
await browser.close();
print({
  name: 'Longest block of the plan page while the solver works',
  median: medianOf(solving),
  unit: 'ms',
  target: 50,
});
console.log(`  each: ${solving.map((block) => Math.round(block)).join(', ')}`);
print({
  name: 'Longest block when somebody on the plan is asked about',
  median: medianOf(asking),
  unit: 'ms',
  target: 50,
});
console.log(`  each: ${asking.map((block) => Math.round(block)).join(', ')}`);
print({
  name: 'Longest block while the plan page loads, as if new there',
  median: medianOf(loading),
  unit: 'ms',
});
console.log(`  each: ${loading.map((block) => Math.round(block)).join(', ')}`);
