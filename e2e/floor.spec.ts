import { type Page } from '@playwright/test';
import { expect, expectAccessibleInBoth, goOn, test } from './support';

const heading = (page: Page) => page.getByRole('heading', { level: 1 });
const bottom = (page: Page) => page.getByRole('navigation', { name: 'The class' });
const next = (page: Page) => bottom(page).getByRole('button', { name: 'Next', exact: true });
const saved = (page: Page) => expect(page.getByText('all saved')).toBeVisible({ timeout: 60_000 });

/** Today's class of a course, begun or gone on with. */
async function openClass(page: Page, course: string): Promise<string> {
  await page.goto('/floor');
  const line = page.getByRole('listitem').filter({ hasText: course });
  await line
    .getByRole('button', { name: 'Begin the class' })
    .or(line.getByRole('link', { name: /today’s class/ }))
    .click();
  await page.waitForURL(/\/floor\/[0-9a-f-]{36}$/);
  await saved(page);
  return page.url();
}

async function goTo(page: Page, label: string): Promise<void> {
  for (let count = 0; count < 40; count += 1) {
    const now = await heading(page).innerText();
    if (now === label) return;
    await next(page).click();
    await expect(heading(page)).not.toHaveText(now);
  }
  throw new Error(`There is no ${label}.`);
}

/** The page itself must be kept before the connection goes. */
async function keptOnDevice(page: Page): Promise<void> {
  await page.evaluate(async () => {
    await navigator.serviceWorker.ready;
    for (let tries = 0; tries < 60; tries += 1) {
      const held = await caches.match(window.location.href, { ignoreVary: true });
      if (held !== undefined) return;
      await new Promise((resolve) => setTimeout(resolve, 250));
    }
    throw new Error('The page was not kept.');
  });
}

/** What this page has asked for and would not have without a connection. */
const notKept = (page: Page) =>
  page.evaluate(async () => {
    const own = performance
      .getEntriesByType('resource')
      .map((one) => one.name)
      .filter((one) => new URL(one).pathname.startsWith('/_next/static/'));
    const held = await Promise.all(own.map((one) => caches.match(one, { ignoreSearch: true })));
    return { asked: own.length, lost: own.filter((_, at) => held[at] === undefined) };
  });

test.describe.configure({ timeout: 240_000 });

const course = 'Thursday, upside down';
const saturday = 'Saturday, slow and propped';

test('runs a class: door, hold, tries, a stop, and it is all in the record', async ({ page }) => {
  await page.setViewportSize({ width: 1024, height: 768 });
  await openClass(page, course);
  // Somebody is away: the rounds are planned anew.
  await page.getByRole('radiogroup', { name: 'Corin is' }).getByText('away').click();
  await expect(page.getByText(/planned anew in/)).toBeVisible({ timeout: 60_000 });
  await next(page).click();
  await bottom(page).getByRole('button', { name: 'Hold' }).click();
  await page.getByLabel('What is held').selectOption('dolphin-hold');
  // Whom the hold is closed to is out, and told what instead; no tap takes them in.
  const out = page.getByRole('button', { name: /instead: / });
  await expect(out.first()).toHaveAttribute('aria-disabled', 'true');
  const taking = 13 - (await out.count());
  await page.getByRole('button', { name: `Start the clock for ${taking}` }).click();
  await page.waitForTimeout(1500);
  await page.getByRole('button', { name: /^Anselm/ }).click();
  const fault = page.getByRole('button', { name: /^Bettina/ });
  await fault.click({ modifiers: ['Shift'] });
  await page.getByRole('button', { name: 'elbows slide apart' }).click();
  await page.getByRole('button', { name: 'Stop the clock' }).click();
  await expect(page.getByRole('button', { name: /^Anselm \d+\.\d/ })).toBeVisible();
  await expect(page.getByRole('button', { name: /^Dorit ≥ \d/ })).toBeVisible();
  await page.getByRole('button', { name: 'Done' }).click();
  // Rounds build: the kick comes after what leads up to it.
  const kick = page.getByRole('button', { name: /Anselm.*Kick/ }).first();
  for (const round of ['Round 1', 'Round 2', 'Round 3']) {
    await goTo(page, round);
    if (await kick.isVisible()) break;
  }
  await kick.click();
  const sheet = page.getByRole('dialog');
  await sheet.getByText('kept', { exact: true }).click();
  await sheet.getByRole('button', { name: 'Reached the wall' }).click();
  await sheet.getByRole('button', { name: 'Not yet' }).click();
  await expect(sheet.getByText('2 tries, 1 reached')).toBeVisible();
  await page.keyboard.press('Escape');
  // A sheet keeps the focus while it is open, and gives it back where it was.
  const stop = bottom(page).getByRole('button', { name: 'Stop' });
  await stop.press('Enter');
  const whose = page.getByRole('dialog', { name: 'Stop: who?' });
  await expect(whose.getByRole('button', { name: 'Close' })).toBeFocused();
  await page.keyboard.press('Shift+Tab');
  await expect(stop).not.toBeFocused();
  await page.keyboard.press('Escape');
  await expect(whose).toBeHidden();
  await expect(stop).toBeFocused();
  await stop.click();
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /^Matteo/ })
    .click();
  await page.getByRole('button', { name: 'seeing stars' }).click();
  await expect(page.getByText('Get help by the rules of the place.')).toBeVisible();
  await page.getByRole('button', { name: 'Back to the class' }).click();
  await expect(page.getByRole('button', { name: /Matteo.*Rest/ }).first()).toBeVisible({
    timeout: 60_000,
  });
  await saved(page);
  await goOn(page, '/people');
  await page.getByRole('link', { name: 'Anselm Rook' }).click();
  await expect(page.getByText(/2 tries|\d+ tries/).first()).toBeVisible();
});

const offline = { type: 'allows', description: 'net::ERR_INTERNET_DISCONNECTED' };

test(
  'loses nothing: no connection, a reload in the middle of a hold, two pages at once',
  {
    annotation: offline,
  },
  async ({ page, context }) => {
    const url = await openClass(page, saturday);
    await keptOnDevice(page);
    // The solver as well: who is away is planned without a connection.
    await expect
      .poll(() => page.evaluate(async () => (await caches.match('/solver')) !== undefined))
      .toBe(true);
    await context.setOffline(true);
    await page.reload();
    const door = page.getByRole('radiogroup', { name: / is$/ }).last();
    await door.getByText('away').click();
    await expect(page.getByText(/planned anew in/)).toBeVisible({ timeout: 60_000 });
    await context.setOffline(false);
    await saved(page);
    await next(page).click();
    await bottom(page).getByRole('button', { name: 'Hold' }).click();
    await page.getByRole('button', { name: /^Start the clock/ }).click();
    await saved(page);
    await context.setOffline(true);
    const tile = (of: Page, at: number) =>
      of.getByRole('region', { name: /^Hold/ }).getByRole('button', { name: / up$/ }).nth(at);
    await tile(page, 0).click();
    await expect(page.getByText(/[1-9] not saved yet/)).toBeVisible();
    await page.reload();
    await expect(page.getByRole('button', { name: 'Stop the clock' })).toBeVisible();
    await expect(page.getByText(/[1-9] not saved yet/)).toBeVisible();
    await context.setOffline(false);
    await saved(page);
    // A second page of the same device sees the same clock and stops it.
    const second = await context.newPage();
    await second.goto(url);
    await expect(second.getByRole('button', { name: 'Stop the clock' })).toBeVisible();
    const { asked, lost } = await notKept(second);
    expect(lost).toEqual([]);
    expect(asked).toBeGreaterThan(20);
    const up = (of: Page) => of.getByRole('button', { name: / up$/ });
    const standing = await up(second).count();
    await tile(second, 0).click();
    await expect(up(second)).toHaveCount(standing - 1);
    await expect(up(page)).toHaveCount(standing - 1);
    await second.getByRole('button', { name: 'Stop the clock' }).click();
    await expect(page.getByRole('button', { name: 'Stop the clock' })).toBeHidden();
    await saved(second);
    await second.close();
    await expect(page.getByRole('alert').filter({ hasText: 'disagree' })).toBeHidden();
  },
);

/** Somebody sets the device's clock forward by an hour; the monotonic clock runs on. */
function setClockForward(): void {
  const real = Date.now;
  Date.now = () => real() + 3_600_000;
}

test(
  'a clock that is set in the middle of a hold changes no time, and without a second witness the teacher is asked',
  { tag: '@deep', annotation: offline },
  async ({ page, context }) => {
    await openClass(page, saturday);
    await keptOnDevice(page);
    const held = page.getByRole('region', { name: /^Held/ });
    const start = async () => {
      await bottom(page).getByRole('button', { name: 'Hold' }).click();
      await page.getByRole('button', { name: /^Start the clock/ }).click();
      await expect(page.getByRole('button', { name: 'Stop the clock' })).toBeVisible();
    };
    const stop = () => page.getByRole('button', { name: 'Stop the clock' }).click();
    const question = page.getByRole('alert').filter({ hasText: 'disagree' });

    // The clock is set while the page runs on: the monotonic clock and the server agree.
    await start();
    await page.evaluate(setClockForward);
    await page.waitForTimeout(3500);
    await stop();
    await expect(held.getByRole('button', { name: /≥ [3-9]\.\d$/ }).first()).toBeVisible();
    await expect(question).toBeHidden();
    await page.getByRole('button', { name: 'Done' }).click();

    // Set, loaded again and no connection: only the clock that was set has run throughout.
    await start();
    await saved(page);
    await context.setOffline(true);
    // Another hour on top of the first.
    await page.addInitScript(setClockForward);
    await page.addInitScript(setClockForward);
    await page.reload();
    await expect(page.getByRole('button', { name: 'Stop the clock' })).toBeVisible();
    await stop();
    await expect(question).toBeVisible();
    await context.setOffline(false);
    await saved(page);
    // The server is a witness now; the two still disagree, and the span is shown.
    await expect(question).toContainText(/between \d+\.\d and 60:\d\d\./);
    await page.getByRole('button', { name: 'Keep them' }).click();
    await expect(question).toBeHidden();
    await expect(held.getByRole('button', { name: /≥ \d{1,2}\.\d$/ }).first()).toBeVisible();
    await saved(page);
  },
);

test(
  'undoes, paces breath, and measures the load on a practice scale',
  { tag: '@deep' },
  async ({ page }) => {
    await page.setViewportSize({ width: 768, height: 1024 });
    await openClass(page, saturday);
    const before = await heading(page).innerText();
    await next(page).click();
    await expect(heading(page)).not.toHaveText(before);
    await page.getByRole('button', { name: /^Undo: the step/ }).click();
    await expect(heading(page)).toHaveText(before);
    await bottom(page).getByRole('button', { name: 'Breath' }).click();
    await page.getByText('3-2-1', { exact: true }).click();
    await page.getByRole('button', { name: /^Pace/ }).click();
    await expect(page.getByText('3: hold 1 of 3 · breath 1 of 2')).toBeVisible();
    await page.getByRole('button', { name: 'End the pace' }).click();
    // A hold has its breath as well, for as long as it lasts.
    await bottom(page).getByRole('button', { name: 'Hold' }).click();
    await page.getByRole('button', { name: /^Start the clock/ }).click();
    await page.getByRole('button', { name: 'Breathe' }).click();
    await expect(page.getByText('breath 1', { exact: true })).toBeVisible();
    await page.getByRole('button', { name: 'Stop the clock' }).click();
    await page.getByRole('button', { name: 'Done' }).click();
    await bottom(page).getByRole('button', { name: 'More' }).click();
    await page.getByRole('menuitem', { name: 'Head load on a scale' }).click();
    await page.getByRole('textbox', { name: 'Body mass in kg' }).fill('60');
    await page.getByRole('button', { name: 'Start the scale' }).click();
    await expect(page.getByText(/^Steady for .* 8 % of body weight/)).toBeVisible({
      timeout: 60_000,
    });
    // A practice scale measures nobody.
    await expect(page.getByText('The practice scale measures nobody')).toBeVisible();
    await expect(page.getByRole('button', { name: /^Keep/ })).toHaveCount(0);
  },
);

test('ends, is reviewed person by person, and sends practice home', async ({ page }) => {
  await openClass(page, course);
  await bottom(page).getByRole('button', { name: 'More' }).click();
  await page.getByRole('menuitem', { name: 'End the class' }).click();
  await page.getByRole('button', { name: 'End it' }).click();
  await expect(page.getByText('The class has ended.')).toBeVisible();
  await saved(page);
  await page.getByRole('link', { name: 'Review the evening' }).click();
  await page.getByRole('button', { name: 'Look at Anselm Rook' }).click();
  const card = page.getByRole('region', { name: 'Anselm Rook' });
  await expect(card.getByText(/2 tries, 1 came up/)).toBeVisible();
  await card.getByLabel('A line about the evening').fill('both legs, calm');
  await card.getByRole('button', { name: 'Agree, and on' }).click();
  await page.getByRole('button', { name: 'Look at Bettina Quill' }).click();
  const differs = page.getByRole('region', { name: 'Bettina Quill' });
  await differs.getByRole('button', { name: 'Differ' }).click();
  await differs.getByRole('radio', { name: 're-check' }).click();
  await differs.getByRole('button', { name: 'Keep, and on' }).click();
  await expect(differs.getByText(/say why/)).toBeVisible();
  await differs.getByLabel('Why you differ').fill('want to see it rested');
  await differs.getByRole('button', { name: 'Keep, and on' }).click();
  // Away: nothing to decide.
  await expect(page.getByRole('row', { name: /^Corin Vale/ })).toContainText('away');
  await page.reload();
  await expect(page.getByText('2 of 14 looked through')).toBeVisible();
  // Everybody who is no exception in one tap, and back.
  await page.getByRole('button', { name: /^Agree with the rest|^Agree with all/ }).click();
  await page.getByRole('button', { name: /^Take back all/ }).click();
  await expect(page.getByText('2 of 14 looked through')).toBeVisible();
  await goOn(page, '/people/1/home');
  await expect(page.getByRole('article').getByRole('listitem').first()).toBeVisible();
  await expect(page.getByText('No medical advice.')).toBeVisible();
  // Worked out anew, then printed.
  await page.evaluate(() => {
    window.print = () => document.body.setAttribute('data-printed', 'yes');
  });
  await page.getByRole('button', { name: 'Print' }).click();
  await expect(page.locator('body')).toHaveAttribute('data-printed', 'yes');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Calendar' }).click(),
  ]);
  expect(download.suggestedFilename()).toBe('practice.ics');
});

test('a tablet joins by a code as an assistant, and is sent nothing of anybody’s health', async ({
  page,
  browser,
  door,
}) => {
  await openClass(page, saturday);
  await page.goto('/devices');
  await page.getByRole('button', { name: 'A code for an assistant' }).click();
  const code = (await page.getByText(/^\d{4} \d{4}$/).innerText()).replace(' ', '');
  await expect(page.getByRole('img', { name: /to be scanned/ })).toBeVisible();
  const context = await browser.newContext({ ignoreHTTPSErrors: true });
  const tablet = await context.newPage();
  const texts: Promise<string>[] = [];
  tablet.on('response', (response) => {
    if (response.url().includes('/_next/static')) return;
    texts.push(response.text().catch(() => ''));
  });
  await tablet.goto(`${door}/people`);
  await expect(tablet).toHaveURL(`${door}/pair`);
  await tablet.getByLabel('Name of this tablet').fill('Helper');
  await tablet.getByLabel('Code').fill('0000 0000');
  await tablet.getByRole('button', { name: 'Join' }).click();
  await expect(tablet.getByText(/not the code/)).toBeVisible();
  await tablet.getByLabel('Code').fill(code);
  await tablet.getByRole('button', { name: 'Join' }).click();
  await tablet.waitForURL(`${door}/floor`);
  await tablet
    .getByRole('link', { name: /today’s class/ })
    .last()
    .click();
  await expect(tablet.getByText('all saved')).toBeVisible({ timeout: 60_000 });
  await expect(tablet.getByRole('button', { name: 'Next', exact: true })).toHaveCount(0);
  // What the assistant taps reaches the teacher's page.
  const url = tablet.url().replace(door, '');
  await goOn(page, url);
  await tablet.getByRole('button', { name: 'Hold' }).click();
  await tablet.getByRole('button', { name: /^Start the clock/ }).click();
  await expect(page.getByRole('button', { name: 'Stop the clock' })).toBeVisible();
  await page.getByRole('button', { name: 'Stop the clock' }).click();
  await expect(tablet.getByRole('button', { name: 'Stop the clock' })).toBeHidden();
  // Nothing is on its way any more: whatever came is read.
  await tablet.goto('about:blank');
  // One that was cut off by leaving may never end.
  const cutOff = new Promise<string>((resolve) => setTimeout(resolve, 10_000, ''));
  const bodies = await Promise.all(texts.map((text) => Promise.race([text, cutOff])));
  expect(bodies.filter((body) => body !== '').length).toBeGreaterThan(5);
  const health =
    /cautions|clinician|blood|pregnan|glaucoma|osteopor|hernia|vertigo|tingling|massKg/i;
  expect(bodies.filter((body) => health.test(body)).map((body) => health.exec(body)![0])).toEqual(
    [],
  );
  for (const path of ['/people', '/settings/studio', '/review/x', '/']) {
    expect((await context.request.get(door + path)).status(), path).toBe(403);
  }
  const action = await context.request.post(`${door}/floor`, {
    headers: { 'next-action': 'x', origin: door },
    data: '[]',
  });
  expect(action.status()).toBe(403);
  await goOn(page, '/devices');
  await page.getByRole('button', { name: 'Put Helper out' }).click();
  await expect(page.getByRole('button', { name: 'Put Helper out' })).toBeHidden();
  const late = { data: {}, headers: { origin: door } };
  expect((await context.request.post(`${door}${url}/taps`, late)).status()).toBe(401);
  await context.close();
});

test(
  'a class that runs is accessible, light and dark, and its review',
  { tag: '@deep' },
  async ({ page }) => {
    test.setTimeout(300_000);
    const url = await openClass(page, saturday);
    await expectAccessibleInBoth(page);
    await goTo(page, 'Round 1');
    await expectAccessibleInBoth(page);
    await bottom(page).getByRole('button', { name: 'Stop' }).click();
    await expectAccessibleInBoth(page);
    await goOn(page, url.replace('/floor/', '/review/'));
    await heading(page).waitFor();
    await expectAccessibleInBoth(page);
  },
);
