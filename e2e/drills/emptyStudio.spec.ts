/** A studio that takes everything of another one in shows what the other one shows. */
import { readFileSync } from 'node:fs';
import type { StudioFile } from '@/core/files/studioFile';
import type { Page } from '@playwright/test';
import { chooseFile, startOwnServer } from '../ownServer';
import { expect, handOut, test } from '../support';

/** Where everything stands, by the words that both studios share; ids are each studio's own. */
async function listAddresses(page: Page, base: string): Promise<ReadonlyMap<string, string>> {
  const found = new Map(
    ['/', '/people', '/courses', '/ladders', '/checks', '/record', '/room', '/plan', '/entries']
      .concat(['/profiles', '/cards', '/home-practice', '/floor'])
      .map((address) => [address, address]),
  );
  const collect = async (at: string, pattern: RegExp, make: (path: string) => string[]) => {
    await page.goto(base + at);
    await page.getByRole('heading', { level: 1 }).first().waitFor();
    const links = await page
      .locator('main a')
      .evaluateAll((all) =>
        all.map((a) => [(a as HTMLElement).innerText, a.getAttribute('href') ?? ''] as const),
      );
    for (const [words, path] of links) {
      if (pattern.test(path)) for (const one of make(path)) found.set(`${words} ${one}`, one);
    }
  };
  // Practice at home takes a while to draw; one in four will do.
  let count = 0;
  await collect('/people', /^\/people\/\d+$/, (path) =>
    (count += 1) % 4 === 1 ? [path, `${path}/home`] : [path],
  );
  await collect('/courses', /^\/courses\/\d+$/, (path) => [path]);
  await collect('/floor', /^\/review\//, (path) => [path]);
  return new Map(
    [...found].map(([words, path]) => [words.replace(/\/(people|courses)\/\d+/, '/$1/n'), path]),
  );
}

async function openPage(page: Page, address: string): Promise<void> {
  await page.goto(address);
  await page.getByRole('heading', { level: 1 }).first().waitFor();
  const folded = page.getByRole('button', { name: 'Show body and cautions' });
  if ((await folded.count()) > 0) await folded.click();
}

const patienceMs = 6000;

/** The first line in which two pages differ, once both have drawn what they draw; `null` for none. */
async function findDifference(one: Page, other: Page): Promise<string | null> {
  const until = Date.now() + patienceMs;
  for (;;) {
    const [a, b] = await Promise.all([one, other].map((page) => page.locator('main').innerText()));
    if (a === b) return null;
    if (Date.now() > until) return firstDifference(a!, b!);
    await one.waitForTimeout(250);
  }
}

test('an empty studio that takes the file in shows the same pages', async ({
  page,
  request,
  browser,
  baseURL,
}) => {
  test.setTimeout(900_000);
  await page.goto('/settings');
  const file = await handOut(page);
  const server = await startOwnServer(request, { port: 3230, isSeeded: false });
  const other = await browser.newPage();
  try {
    await other.goto(`${server.address}/settings`);
    await chooseFile(other, 'Take a file in', file);
    const held = JSON.parse(readFileSync(file, 'utf8')) as StudioFile;
    await expect(other.getByText(`${held.people.length} people are new`)).toBeVisible();
    await other.getByRole('button', { name: 'Take it in' }).click();
    await expect(other.getByText('Taken in.')).toBeVisible();

    const here = await listAddresses(page, baseURL!);
    const there = await listAddresses(other, server.address);
    expect([...there.keys()].sort()).toEqual([...here.keys()].sort());
    expect(here.size).toBeGreaterThan(held.people.length);
    const differing: string[] = [];
    for (const [words, path] of here) {
      await Promise.all([
        openPage(page, baseURL! + path),
        openPage(other, server.address + there.get(words)!),
      ]);
      const found = await findDifference(page, other);
      if (found !== null) differing.push(`${words}\n${found}`);
    }
    expect(differing).toEqual([]);
  } finally {
    await other.close();
    await server.stop();
  }
});

function firstDifference(a: string, b: string): string {
  const [left, right] = [a.split('\n'), b.split('\n')];
  const longer = left.length > right.length ? left : right;
  const at = longer.findIndex((_, index) => left[index] !== right[index]);
  return `  here: ${left.slice(at, at + 2).join(' / ')}\n  there: ${right.slice(at, at + 2).join(' / ')}`;
}
