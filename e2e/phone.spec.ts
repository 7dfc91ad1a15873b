import { readdirSync } from 'node:fs';
import path from 'node:path';
import type { Page } from '@playwright/test';
import { ofMany, someOf } from '@/core/testing/depth';
import { expect, expectAccessible, expectContrastInTheDark, goOn, test } from './support';

test.use({ viewport: { width: 390, height: 780 }, isMobile: true, hasTouch: true });
test.describe.configure({ timeout: 240_000 });

/** As wide as the page wants to be: more than the screen scrolls sideways. */
const widthOf = (page: Page) => page.evaluate(() => document.documentElement.scrollWidth);

/**
 * What a finger is asked to hit and is too low for it, by name. A link that stands by itself is a
 * target; one in a running text is none, nor what only a keyboard reaches.
 */
const tooSmall = (page: Page) =>
  page.evaluate(() => {
    const wide = '.mantine-Input-wrapper, .mantine-SegmentedControl-control';
    const bodies =
      '.mantine-Slider-trackContainer, .mantine-Switch-body, .mantine-Checkbox-body, .mantine-Radio-body, label';
    const fields = 'select, input:not([type=hidden], [type=file])';
    // Handles on a drawing are 24 pixels: they lie beside each other.
    const targets = `button, [role=button]:not(svg [role=button]), .mantine-Slider-thumb, summary, a[href]:not([href^="#"]), ${fields}`;
    return [...document.querySelectorAll<HTMLElement>(targets)].flatMap((one) => {
      const { width, height } = one.getBoundingClientRect();
      const said = one.parentElement?.textContent?.trim();
      const isInText =
        one.matches('a') &&
        getComputedStyle(one).display === 'inline' &&
        said !== one.textContent?.trim();
      if (isInText) return [];
      if (width === 0 || height === 0 || getComputedStyle(one).visibility === 'hidden') return [];
      const around = [one.closest(wide), one.closest(bodies)].map(
        (box) => box?.getBoundingClientRect().height ?? 0,
      );
      const tall = Math.max(height, ...around);
      const name = one.getAttribute('aria-label') ?? one.textContent ?? one.tagName;
      return tall < 43.5 ? [`${name.trim().slice(0, 40)}: ${Math.round(tall)}`] : [];
    });
  });

/** Words on something to tap that are cut off at its edge. */
const cutOff = (page: Page) =>
  page.evaluate(() => {
    const labels = '.mantine-Button-label, .mantine-SegmentedControl-label, .mantine-Chip-label';
    return [...document.querySelectorAll<HTMLElement>(`${labels}, main button`)].flatMap((one) =>
      getComputedStyle(one).overflowX !== 'visible' && one.scrollWidth > one.clientWidth + 1
        ? [`${one.textContent}: ${one.scrollWidth} in ${one.clientWidth}`]
        : [],
    );
  });

/** Frames within a page that hide something to their left or right. */
const slides = (page: Page) =>
  page.evaluate(() =>
    [...document.querySelectorAll<HTMLElement>('main *')].flatMap((one) =>
      ['auto', 'scroll'].includes(getComputedStyle(one).overflowX) &&
      one.clientWidth > 0 &&
      one.scrollWidth > one.clientWidth + 1
        ? [`${one.className}: ${one.scrollWidth} in ${one.clientWidth}`]
        : [],
    ),
  );

const desk = { width: 1280, height: 800 };
const hand = { width: 390, height: 780 };

/** Where each page of the application is looked at. */
const pages: Readonly<Record<string, readonly string[]>> = {
  '/': ['/'],
  '/begin': ['/begin'],
  '/begin/[step]': ['people', 'room', 'cupboard', 'placing', 'class'].map(
    (step) => `/begin/${step}?course=1`,
  ),
  '/bench': ['/bench', '/bench?person=3&shape=dolphin'],
  '/cards': ['/cards'],
  '/checks': ['/checks'],
  '/courses': ['/courses'],
  '/courses/[id]': ['/courses/1'],
  '/desk': ['/desk'],
  '/devices': ['/devices'],
  '/entries': ['/entries'],
  '/floor': ['/floor'],
  '/home-practice': ['/home-practice'],
  '/ladders': ['/ladders'],
  '/ladders/[stage]': ['/ladders/FS10'],
  '/ladders/poster': ['/ladders/poster'],
  '/measure': ['/measure'],
  '/pair': ['/pair'],
  '/people': ['/people'],
  '/people/[id]': ['/people/4', '/people/1'],
  '/people/[id]/card': ['/people/4/card'],
  '/people/[id]/home': ['/people/4/home'],
  '/people/import': ['/people/import'],
  '/plan': ['/plan'],
  '/plan/print': ['/plan/print'],
  '/plumb': ['/plumb'],
  '/profiles': ['/profiles'],
  '/profiles/[key]': ['/profiles/prop-led'],
  '/record': ['/record'],
  '/record/right': ['/record/right'],
  '/review': ['/review'],
  '/room': ['/room'],
  '/settings': ['/settings'],
  '/trouble': ['/trouble'],
};
/** They want a class, and are looked at where one runs. */
const ofClass = ['/floor/[uid]', '/review/[uid]'];

test('every page there is has its place among those that are looked at', () => {
  const files = readdirSync('app', { recursive: true, encoding: 'utf8' });
  const found = files
    .filter((file) => path.basename(file) === 'page.tsx')
    .map((file) => {
      const folders = path.dirname(file).split(path.sep);
      return `/${folders.filter((one) => one !== '.' && !one.startsWith('(')).join('/')}`;
    });
  expect(found.sort()).toEqual([...Object.keys(pages), ...ofClass].sort());
});

/** A handful at a time: each of them has the patience of one test. */
const handfuls = [0, 1, 2, 3].map((at) =>
  Object.values(pages)
    .flat()
    .filter((_, index) => index % 4 === at),
);

for (const [at, addresses] of handfuls.entries()) {
  test(`no page scrolls sideways, every target is large enough for a finger, ${at + 1} of 4`, async ({
    page,
  }) => {
    // By its colours, light and dark, and as wide as a desk: of all pages in the deep run.
    const looked = someOf(addresses, 3);
    for (const [place, address] of addresses.entries()) {
      await (place === 0 ? page.goto(address) : goOn(page, address));
      await page.getByRole('heading', { level: 1 }).first().waitFor();
      // With everything on it that comes later.
      await expect(page.getByText(/^Composing/)).toBeHidden({ timeout: 60_000 });
      await expect(page.locator('.mantine-Skeleton-root')).toHaveCount(0, { timeout: 60_000 });
      expect(await widthOf(page), address).toBeLessThanOrEqual(390);
      // A drawing takes its measure once it is there.
      await expect.poll(() => slides(page), { message: address }).toEqual([]);
      expect(await tooSmall(page), address).toEqual([]);
      expect(await cutOff(page), address).toEqual([]);
      // Also what only makes a page harder to find one's way in.
      const isLooked = looked.includes(address);
      await expectAccessible(page, ['minor', 'moderate', 'serious', 'critical'], isLooked);
      if (isLooked) await expectContrastInTheDark(page);
      await page.setViewportSize(desk);
      expect(await cutOff(page), `${address} on a desk`).toEqual([]);
      // Its colours are those that were looked at.
      if (isLooked && at < ofMany(4, 1)) await expectAccessible(page, undefined, false);
      await page.setViewportSize(hand);
    }
  });
}

test('what opens over a page is as large for a finger, and its lines are a menu’s', async ({
  page,
}) => {
  await page.goto('/');
  await page
    .getByRole('region', { name: 'Who comes' })
    .getByRole('button', { name: /Anselm/ })
    .click();
  // The first line has the focus: a key more and it is done.
  await expect(page.getByRole('menuitem').first()).toBeFocused();
  expect(await tooSmall(page)).toEqual([]);
  await expectAccessible(page);
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: /^Find/ }).click();
  await expect(page.getByLabel('Find', { exact: true }).last()).toBeVisible();
  expect(await tooSmall(page)).toEqual([]);
  await page.goto('/checks');
  await page
    .getByRole('button', { name: /^Record/ })
    .first()
    .click();
  await expect(page.getByRole('dialog')).toBeVisible();
  expect(await tooSmall(page)).toEqual([]);
  expect(await widthOf(page)).toBeLessThanOrEqual(390);
});

test('a check is recorded on a phone, from Tonight to the record', async ({ page }) => {
  await page.goto('/people/4');
  const button = page.getByRole('button', { name: /^Record Dolphin hold/ }).first();
  await button.click();
  await expect(page.getByRole('button', { name: 'Keep this record' })).toBeVisible();
  expect(await widthOf(page)).toBeLessThanOrEqual(390);
  expect(await tooSmall(page)).toEqual([]);
  await expectAccessible(page);
});

test('a class runs on a phone: the line, a person, a stop within reach', async ({ page }) => {
  await page.goto('/floor');
  await page.getByRole('button', { name: 'Begin the class' }).first().click();
  await page.waitForURL(/\/floor\/[0-9a-f-]{36}$/);
  await expect(page.getByText('all saved')).toBeVisible({ timeout: 60_000 });
  expect(await widthOf(page)).toBeLessThanOrEqual(390);
  expect(await tooSmall(page)).toEqual([]);
  expect(await slides(page)).toEqual([]);
  // What is tapped for is below the line, and comes to where it is seen.
  await page.getByRole('button', { name: 'Breath', exact: true }).click();
  await expect(page.getByRole('button', { name: /^(Pace, |End the pace)/ })).toBeInViewport();
  expect(await slides(page)).toEqual([]);
  await page.getByRole('button', { name: 'Breath', exact: true }).click();
  await page.getByRole('button', { name: 'Stop', exact: true }).click();
  await expect(page.getByRole('dialog')).toBeVisible();
  expect(await widthOf(page)).toBeLessThanOrEqual(390);
  await expectAccessible(page);
  // And is looked through on it.
  await goOn(page, page.url().replace('/floor/', '/review/'));
  await expect(page.getByRole('table')).toBeVisible();
  await page
    .getByRole('button', { name: /^Look at / })
    .first()
    .click();
  await expect(page.getByRole('button', { name: /and on$/ }).first()).toBeVisible();
  expect(await widthOf(page)).toBeLessThanOrEqual(390);
  expect(await slides(page)).toEqual([]);
  expect(await tooSmall(page)).toEqual([]);
  expect(await cutOff(page)).toEqual([]);
  await expectAccessible(page);
});

test('Plumb reads a picture on a phone, everything under a finger', async ({ page }) => {
  await page.goto('/plumb?person=3&shape=handstandWall');
  await page.getByRole('button', { name: 'A practice picture' }).click();
  await expect(page.getByRole('button', { name: /^near shoulder/ })).toBeVisible({
    timeout: 60_000,
  });
  expect(await widthOf(page)).toBeLessThanOrEqual(390);
  expect(await tooSmall(page)).toEqual([]);
  expect(await cutOff(page)).toEqual([]);
});

test('people are a list on a phone: nothing of anybody lies beyond an edge', async ({ page }) => {
  await page.goto('/people');
  await expect(page.getByLabel('Search by name')).toBeVisible();
  const beyond = await page.getByRole('table').evaluate((table) => {
    const scroller = table.parentElement!;
    const cut = [...table.querySelectorAll('tbody tr:not([aria-hidden])')].flatMap((row) => {
      const { right, bottom } = row.getBoundingClientRect();
      return [...row.querySelectorAll('td, th')].flatMap((cell) => {
        const own = cell.getBoundingClientRect();
        return own.right > right + 1 || own.bottom > bottom + 1 ? [cell.textContent] : [];
      });
    });
    return {
      rows: table.querySelectorAll('tbody th').length,
      cut,
      aside: scroller.scrollWidth - scroller.clientWidth,
    };
  });
  expect(beyond.rows).toBeGreaterThan(3);
  expect(beyond).toMatchObject({ cut: [], aside: 0 });
  // Rows that are not drawn yet take the height of those that are: the style sheet's, and the list's.
  const all = Number(/^\d+/.exec(await page.locator('[role=status]').first().innerText())?.[0]);
  const heights = await page.getByRole('table').evaluate((table) => ({
    row: table.querySelector('tbody tr:not([aria-hidden])')!.getBoundingClientRect().height,
    rest: table.querySelector('tbody tr[aria-hidden]')!.getBoundingClientRect().height,
  }));
  expect(heights.rest).toBeCloseTo(heights.row * (all - beyond.rows), 0);
  await expectAccessible(page);
});

test('on a phone the whole room is seen first, and every handle when it is drawn larger', async ({
  page,
}) => {
  await page.goto('/room');
  const drawing = page.getByRole('img', { name: /^The room from above/ });
  const width = async () => (await drawing.boundingBox())!.width;
  await expect.poll(width).toBeLessThanOrEqual(390);
  const handles = () =>
    page
      .getByRole('slider')
      .evaluateAll((all) => all.map((one) => one.getBoundingClientRect().toJSON() as DOMRect));
  const few = await handles();
  // A middle and an end of it lie a finger apart.
  expect(few.every(({ left, right }) => left >= 0 && right <= 390)).toBe(true);
  await page.getByRole('button', { name: 'Larger, every handle' }).click();
  await expect.poll(width).toBe(760);
  expect((await handles()).length).toBeGreaterThan(few.length);
  expect(await widthOf(page)).toBeLessThanOrEqual(390);
  await page.getByRole('button', { name: 'The whole room' }).click();
  await expect.poll(width).toBeLessThanOrEqual(390);
});

test('on a phone everybody is placed by tiles, one after the other', async ({ page }) => {
  await page.goto('/begin/placing?course=1');
  const open = page.getByRole('status').filter({ hasText: 'to go' });
  await expect(open).toHaveText('14 to go');
  const asked = () => page.locator('main [role=group][aria-label]').getAttribute('aria-label');
  const first = await asked();
  const saved = page.waitForResponse((answer) => answer.request().method() === 'POST');
  await page.getByRole('button', { name: `${first}: never seen` }).click();
  await saved;
  await expect(open).toHaveText('13 to go');
  expect(await asked()).not.toBe(first);
  await page.reload();
  await expect(open).toHaveText('13 to go');
});
