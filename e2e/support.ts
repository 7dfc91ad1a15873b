import { EventEmitter, once } from 'node:events';
import path from 'node:path';
import axe, { type AxeResults, type RunOptions } from 'axe-core';
import { expect, test as base, type Page } from '@playwright/test';
import { ofMany } from '@/core/testing/depth';

interface Studio {
  readonly url: string;
  readonly doorUrl: string;
  readonly renew: (isEmpty: boolean) => Promise<void>;
  readonly stop: () => Promise<void>;
}

/**
 * One studio at a time for each worker: that of the file whose turn it is. The server is one for all of
 * them: one that has only just started takes its time for the first pages.
 */
interface Studios {
  of(file: string, isEmpty: boolean): Promise<Studio>;
}

async function openStudio(place: number): Promise<Studio> {
  const { startThrowaway } = (await import(path.resolve('scripts', 'server.mjs'))) as {
    startThrowaway: (port: number, options: object) => Promise<Studio>;
  };
  return startThrowaway(3250 + place, {
    doorPort: 3690 + place,
    template: process.env.LEVITAR_TEMPLATE,
  });
}

/**
 * Each file of tests has the demo course to itself, in a folder of its own. Every page of every test
 * is watched: no request to another host, no error in the console.
 */
export const test = base.extend<
  { watched: undefined; door: string; isEmpty: boolean },
  { studios: Studios }
>({
  /** Whether the studio of the file is one that nobody has begun yet, without the demo course. */
  isEmpty: [false, { option: true }],
  studios: [
    async ({}, provide, { parallelIndex }) => {
      let studio: Studio | undefined;
      let now: string | undefined;
      await provide({
        of: async (file, isEmpty) => {
          const isFirst = studio === undefined;
          studio ??= await openStudio(parallelIndex);
          if (isFirst ? isEmpty : now !== file) await studio.renew(isEmpty);
          now = file;
          return studio;
        },
      });
      await studio?.stop();
    },
    { scope: 'worker', timeout: 120_000 },
  ],
  baseURL: async ({ studios, isEmpty }, provide, { file }) => {
    await provide((await studios.of(file, isEmpty)).url);
  },
  /** The network door of the studio. */
  door: async ({ studios, isEmpty }, provide, { file }) => {
    await provide((await studios.of(file, isEmpty)).doorUrl);
  },
  watched: [
    async ({ page, baseURL }, use, testInfo) => {
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
      // A test that cuts the connection on purpose says which error it means.
      const meant = testInfo.annotations.flatMap(({ type, description }) =>
        type === 'allows' && description !== undefined ? [description] : [],
      );
      const unexpected = errors.filter(
        (error) => !['404 (Not Found)', ...meant].some((words) => error.includes(words)),
      );
      expect(unexpected, 'errors in the page').toEqual([]);
    },
    { auto: true },
  ],
});

export { expect };

/**
 * On to another page of the application, as by one of its links: what is there already is not loaded
 * again. The first page of a test is loaded (`page.goto`), and whatever is to come anew.
 */
export async function goOn(page: Page, address: string): Promise<void> {
  const before = page.url();
  const wanted = new URL(address, before).href;
  if (wanted === before) {
    await page.reload();
    return;
  }
  // It is there once the page is awake.
  await page.waitForFunction(() => 'router' in ((window as { next?: object }).next ?? {}));
  await page.evaluate(
    (to) => (window as unknown as { next: { router: Router } }).next.router.push(to),
    address,
  );
  // Some pages send on to another one.
  await page.waitForURL((url) => url.href !== before);
}

interface Router {
  readonly push: (address: string) => void;
}

export async function openPerson(page: Page, name: string): Promise<void> {
  await page.goto('/people');
  // By its address: while the page wakes up, the rows of the table may still move under a click.
  const address = await page.getByRole('link', { name, exact: true }).getAttribute('href');
  await goOn(page, address!);
  await expect(page.getByRole('heading', { level: 1, name })).toBeVisible();
}

/** Everything as one file, from the settings; resolves to where it was saved. */
export async function handOut(page: Page): Promise<string> {
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Hand out everything' }).click(),
  ]);
  return (await download.path())!;
}

/** The plan of a class, the coming one where not said: as it is kept, or once it is composed. */
export async function openPlan(page: Page, address = '/plan'): Promise<void> {
  await page.goto(address);
  await page
    .getByText(/Kept for Tonight|Compose again/)
    .first()
    .waitFor({ timeout: 120_000 });
}

/** A running class; resolves to its address. */
export async function beginClass(page: Page): Promise<string> {
  await page.goto('/floor');
  await page.getByRole('button', { name: 'Begin the class' }).first().click();
  await page.waitForURL(/\/floor\/[0-9a-f-]{36}$/);
  await expect(page.getByText('all saved')).toBeVisible();
  return page.url();
}

/** Starts the clock of a hold and stops it: three taps or more. */
export async function holdOnce(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Hold', exact: true }).click();
  await page.getByRole('button', { name: /^Start the clock/ }).click();
  await page.getByRole('button', { name: 'Stop the clock' }).click();
  await page.getByRole('button', { name: 'Done' }).click();
}

/** From the list of classes into one that runs, by the address it has on another device. */
export async function openClass(page: Page, url: string): Promise<void> {
  await page.locator(`a[href="${new URL(url).pathname}"]`).click();
}

/** Body and cautions are folded away until somebody asks for them. */
export async function openPrivate(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Show body and cautions' }).click();
}

/** What axe says of a page as it stands. Of what is in order it names one each: the rest takes time. */
async function askAxe(page: Page, options: RunOptions): Promise<AxeResults> {
  // Some colours take a moment to get there.
  await page.waitForFunction(() =>
    document
      .getAnimations()
      .every(
        (one) =>
          one.effect?.getComputedTiming().endTime === Infinity || one.playState !== 'running',
      ),
  );
  // A script of the page could not fetch it; what is evaluated is none of the page's.
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(axe.source);
  return page.evaluate(
    (wanted) =>
      (window as unknown as { axe: typeof axe }).axe.run(document, {
        resultTypes: ['violations'],
        preload: false,
        ...wanted,
      }),
    options,
  );
}

/**
 * Nothing that is to be mended, in the scheme as it stands.
 *
 * @param grave how grave that is, in axe’s words; absent: serious and critical
 * @param isByColour whether its words are asked for contrast, which takes longer than all the rest;
 *   absent: in the deep run alone. The walk on a phone asks a third of the pages each time.
 */
export async function expectAccessible(
  page: Page,
  grave: readonly (string | null | undefined)[] = ['serious', 'critical'],
  isByColour = ofMany(1, 0) === 1,
): Promise<void> {
  // The name of a page is put anew whenever it is read again: looked at by itself, and waited for.
  await expect(page).toHaveTitle(/\S/);
  const { violations } = await askAxe(page, {
    rules: { 'document-title': { enabled: false }, 'color-contrast': { enabled: isByColour } },
  });
  const serious = violations
    .filter(({ impact }) => grave.includes(impact))
    .map(({ id, nodes }) => `${id}: ${nodes.map(({ target }) => target.join(' ')).join(' | ')}`);
  expect(serious).toEqual([]);
}

/** The same page in light and in the dark: there, what can differ, which is how it stands out. */
export async function expectAccessibleInBoth(page: Page): Promise<void> {
  await expectAccessible(page, undefined, true);
  await expectContrastInTheDark(page);
}

/** Everything stands out from what is behind it in the dark as well; the page is light again after it. */
export async function expectContrastInTheDark(page: Page): Promise<void> {
  const root = page.locator('html');
  await page.emulateMedia({ colorScheme: 'dark' });
  await expect(root).toHaveAttribute('data-mantine-color-scheme', 'dark');
  const { violations, passes } = await askAxe(page, {
    runOnly: { type: 'rule', values: ['color-contrast'] },
  });
  // It found words to look at.
  expect(passes.length).toBeGreaterThan(0);
  expect(violations.flatMap(({ nodes }) => nodes.map(({ target }) => target.join(' ')))).toEqual(
    [],
  );
  await page.emulateMedia({ colorScheme: null });
  await expect(root).toHaveAttribute('data-mantine-color-scheme', 'light');
}

/**
 * Keeps parts of the program away from a page until they are let come.
 *
 * @param words only those that say this; absent: all of them
 * @returns lets them come, and every other one after them
 */
export async function holdScripts(page: Page, words = ''): Promise<() => Promise<void>> {
  const gate = new EventEmitter();
  const isOpen = once(gate, 'open');
  await page.route('**/_next/static/chunks/*.js', async (route) => {
    const response = await route.fetch();
    const body = await response.text();
    if (body.includes(words)) await isOpen;
    await route.fulfill({ response, body });
  });
  return async () => {
    gate.emit('open');
    await page.unrouteAll({ behavior: 'wait' });
  };
}
