/** How quick Plumb is, and how close a clip is read: through the screen, each page as if new here. */
import { chromium, type Browser, type Page } from '@playwright/test';
import { resolveBody } from '@/core/body/body';
import { readClip, type ClipEventKind } from '@/core/plumb/clip/clip';
import { eventWords } from '@/core/plumb/clip/course';
import { clipSize, kickWishes, practiceClip } from '@/core/plumb/practiceClip';
import { listPeople } from '@/db/people';
import { database } from '@/server/database';
import { chromiumArguments } from '../../playwright.config';
import { longestBlock, noteBlocks } from './longTasks';
import { medianOf, print } from './timing';

const url = process.env.LEVITAR_URL!;
const people = listPeople(database()).slice(0, 6);

/** The page's long tasks are noted from its beginning. */
async function openNew(browser: Browser, address: string): Promise<Page> {
  // Of its own, so that nothing is at hand from before.
  const context = await browser.newContext({ viewport: { width: 1280, height: 1000 } });
  const page = await context.newPage();
  await page.goto(url + address);
  await page.evaluate(noteBlocks);
  return page;
}

/** From the tap to the marks, as the page itself has it, ms: none of the picture before may be there. */
const timeReading = (page: Page, button: string) =>
  page.evaluate(async (name) => {
    const buttons = [...document.querySelectorAll('button')];
    const began = performance.now();
    buttons.find(({ textContent }) => textContent === name)!.click();
    while (
      document.querySelector('[aria-label^="near shoulder"]') === null &&
      performance.now() - began < 20_000
    ) {
      await new Promise((resolve) => setTimeout(resolve, 4));
    }
    return performance.now() - began;
  }, button);

/** Work of one step of a mark, with everything that follows it, ms. */
const timeDrag = (page: Page) =>
  page.evaluate(async () => {
    const hip = document.querySelector<SVGElement>('[aria-label^="near hip"]')!;
    hip.focus();
    const times: number[] = [];
    for (let step = 0; step < 40; step += 1) {
      const key = step % 2 === 0 ? 'ArrowRight' : 'ArrowLeft';
      const began = performance.now();
      hip.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }));
      // What a key changes is drawn before the next thing is done.
      await Promise.resolve();
      times.push(performance.now() - began);
      await new Promise((resolve) => setTimeout(resolve, 20));
    }
    return times;
  });

async function benchStills(browser: Browser) {
  const [first, later, blocks, drags]: number[][] = [[], [], [], []];
  for (const { id } of people) {
    const page = await openNew(browser, `/plumb?person=${id}&shape=handstandWall`);
    // The page stands: its script answers.
    await page.waitForTimeout(1500);
    for (let turn = 0; turn < 4; turn += 1) {
      // A page that knows nothing yet: with the painting, which is the practice camera's own.
      if (turn === 0) first!.push(await timeReading(page, 'A practice picture'));
      else await page.getByRole('button', { name: 'A practice picture' }).click();
      const shoulder = page.getByRole('button', { name: /^near shoulder/ });
      // Of the picture before, and of this one, whose marks are taken off to be read again.
      if (turn > 0) await shoulder.waitFor({ state: 'detached' });
      await shoulder.waitFor();
      await page.getByRole('button', { name: 'Undo' }).click();
      await shoulder.waitFor({ state: 'detached' });
      await page.waitForTimeout(600);
      await longestBlock(page);
      later!.push(await timeReading(page, 'Read the marks'));
      await page.waitForTimeout(200);
      blocks!.push(await longestBlock(page));
    }
    drags!.push(...(await timeDrag(page)));
    await page.context().close();
  }
  const read = medianOf(later!);
  print({ name: 'A still read, the model there', median: read, unit: 'ms', target: 1000 });
  const load = medianOf(first!) - read;
  print({ name: 'Until the model is there', median: load, unit: 'ms', target: 2000 });
  const block = medianOf(blocks!);
  print({
    name: 'Longest block of the page while it is read',
    median: block,
    unit: 'ms',
    target: 50,
  });
  print({ name: 'A mark that is moved', median: medianOf(drags!), unit: 'ms', target: 8 });
}

/**
 * Clicks what says this, by the page itself: a search from outside goes through all of the page for
 * tens of milliseconds, which would be taken for a block of the interface.
 */
const clickWords = (page: Page, words: string) =>
  page.evaluate((text) => {
    const all = [...document.querySelectorAll<HTMLElement>('button, label')];
    all.find(({ textContent }) => textContent === text)!.click();
  }, words);

/** Waits, looking ten times a second, until something is in the page or no more. */
const waitUntil = (page: Page, selector: string, isThere: boolean) =>
  page.evaluate(
    async ([looked, wanted]) => {
      const until = performance.now() + 200_000;
      while ((document.querySelector(looked) !== null) !== wanted && performance.now() < until) {
        await new Promise((resolve) => setTimeout(resolve, 100));
      }
    },
    [selector, isThere] as const,
  );

const progressBar = '[role="progressbar"][aria-label="Pictures read"]';

const events = Object.entries(eventWords) as [ClipEventKind, string][];

async function benchClips(browser: Browser) {
  const [paces, opened, blocks, errors]: number[][] = [[], [], [], []];
  let missed = 0;
  for (const { id, body } of people) {
    const page = await openNew(browser, `/plumb?person=${id}`);
    await page.waitForTimeout(1500);
    await longestBlock(page);
    await clickWords(page, 'Clip');
    await page.waitForTimeout(1500);
    opened!.push(await longestBlock(page));
    const began = performance.now();
    await clickWords(page, 'A practice clip');
    await waitUntil(page, progressBar, true);
    await waitUntil(page, progressBar, false);
    paces!.push((performance.now() - began) / 1000 / (clipSize.durationS / 10));
    blocks!.push(await longestBlock(page));
    const truth = readClip(practiceClip(resolveBody(body), kickWishes.placed, 50)).events;
    for (const [kind, words] of events) {
      const texts = await page
        .getByRole('list', { name: 'What happens' })
        .getByRole('button', { name: new RegExp(words) })
        .allInnerTexts();
      const at = truth.find((event) => event.kind === kind)?.atS;
      const found = texts.map((text) => Number(/([\d.]+) s/.exec(text)![1]));
      if (at === undefined) continue;
      if (found.length === 0) missed += 1;
      else errors!.push(Math.min(...found.map((one) => Math.abs(one - at))));
    }
    await page.context().close();
  }
  print({ name: 'Ten seconds of a clip', median: medianOf(paces!), unit: 's', target: 60 });
  print({
    name: 'Longest block until it is open',
    median: medianOf(opened!),
    unit: 'ms',
    target: 50,
  });
  print({ name: 'Longest block meanwhile', median: medianOf(blocks!), unit: 'ms', target: 50 });
  const sorted = [...errors!].sort((a, b) => a - b);
  const name = `Events of a clip, median of ${sorted.length}, ${missed} missed`;
  print({ name, median: medianOf(sorted), unit: 's', target: 0.15 });
  print({ name: 'The furthest of them', median: sorted.at(-1)!, unit: 's' });
}

const browser = await chromium.launch({
  executablePath: process.env.LEVITAR_CHROMIUM ?? '/usr/bin/chromium',
  args: chromiumArguments,
});
await benchStills(browser);
await benchClips(browser);
await browser.close();
