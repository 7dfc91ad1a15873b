import { readFile } from 'node:fs/promises';
import type { Page } from '@playwright/test';
import { expect, expectAccessible, expectContrastInTheDark, goOn, openPlan, test } from './support';

// Proving takes seconds on a quiet machine; a busy one is given its time.
test.describe.configure({ timeout: 300_000 });

/** The proof is through and kept. */
async function waitForPlan(page: Page): Promise<void> {
  await expect(page.getByText(/Kept for Tonight/)).toBeVisible({ timeout: 120_000 });
}

const places = (page: Page) =>
  page.getByRole('img', { name: /^The room from above/ }).getAttribute('aria-label');

test('composes the coming class, steps through its rounds, and Tonight shows it', async ({
  page,
}) => {
  // Where no plan is kept yet, Tonight composes and keeps it.
  await page.goto('/');
  await expect(page.getByRole('region', { name: 'Who comes' })).toBeVisible({ timeout: 120_000 });
  const tonight = await page.getByRole('list', { name: 'Set-ups of this round' }).innerText();
  await page.getByRole('link', { name: 'Plan', exact: true }).last().click();
  await expect(page.getByRole('list', { name: 'Set-ups of this round' })).toBeVisible();
  await waitForPlan(page);
  await page.getByText('How is that known?').click();
  await expect(
    page.getByText(/No plan with this room, cupboard and time can come to more( than \d\.\d %)?/),
  ).toBeVisible();
  await expect(page.getByRole('region', { name: 'What binds' })).toContainText(/more/);
  expect(await places(page)).toContain('round 1');
  await page.keyboard.press(']');
  expect(await places(page)).toContain('round 2');
  await page.getByText('Round 3', { exact: true }).first().click();
  expect(await places(page)).toContain('round 3');
  // The same plan on every screen: nothing is composed anew.
  await goOn(page, '/');
  await expect(page.getByText(/Composing/)).toHaveCount(0);
  expect(await page.getByRole('list', { name: 'Set-ups of this round' }).innerText()).toBe(tonight);
});

test(
  'whoever goes back, or comes again, sees the plan as it is kept',
  { tag: '@deep' },
  async ({ page }) => {
    const setups = page.getByRole('list', { name: 'Set-ups of this round' });
    await page.goto('/');
    await expect(setups).toContainText('Bettina', { timeout: 120_000 });
    await page.getByRole('link', { name: 'Plan', exact: true }).last().click();
    await waitForPlan(page);
    await page.getByRole('button', { name: /of 14 come/ }).click();
    await page.getByRole('checkbox', { name: 'Bettina Quill' }).uncheck();
    await page.keyboard.press('Escape');
    await expect(page.getByText(/Kept for Tonight/)).toHaveCount(0);
    await waitForPlan(page);
    await expect(setups).not.toContainText('Bettina');
    await page.goBack();
    await expect(page.getByRole('heading', { level: 1 })).not.toHaveText('Plan');
    await expect(setups).toBeVisible();
    await expect(setups).not.toContainText('Bettina');
    // On again: what stands there is what was kept, and a change of it is no other window's.
    await page.goForward();
    await waitForPlan(page);
    await expect(page.getByRole('button', { name: '13 of 14 come' })).toBeVisible();
    await page.getByRole('button', { name: '13 of 14 come' }).click();
    await page.getByRole('checkbox', { name: 'Bettina Quill' }).check();
    await page.keyboard.press('Escape');
    await expect(page.getByText(/Kept for Tonight/)).toHaveCount(0);
    await waitForPlan(page);
    await expect(page.getByText(/Another window/)).toHaveCount(0);
    await expect(setups).toContainText('Bettina');
  },
);

test(
  'pins a student, says why they are there, and takes it back',
  { tag: '@deep' },
  async ({ page }) => {
    await openPlan(page);
    await page.getByRole('button', { name: /^Bettina:/ }).click();
    const why = page.getByRole('region', { name: 'Why this for Bettina Quill' });
    await expect(why).toContainText('in round 1');
    await expect(why.getByText(/What Bettina has left/)).toBeVisible();
    await why.getByLabel('Pin to').selectOption({ label: 'Rest, watching' });
    await expect(why.getByText('Rest, watching, round 1')).toBeVisible();
    await waitForPlan(page);
    await expect(why).toContainText('Rest, watching in round 1');
    await why.getByRole('button', { name: /^Unpin/ }).click();
    await waitForPlan(page);
    await expect(why).not.toContainText('Rest, watching in round 1');
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(why.getByText('Rest, watching, round 1')).toBeVisible();
    await waitForPlan(page);
    await page.getByRole('button', { name: 'Undo' }).click();
    await waitForPlan(page);
  },
);

test('recomposes after an absence without moving the rest, and compares with a helper', async ({
  page,
}) => {
  await openPlan(page);
  const lanes = page.getByRole('group', { name: 'Everybody’s evening' }).getByRole('button');
  const evening = async () =>
    new Map(
      (
        await lanes.evaluateAll((all) => all.map((lane) => lane.getAttribute('aria-label') ?? ''))
      ).map((words) => words.split(': ') as [string, string]),
    );
  const before = await evening();
  expect(before.size).toBe(14);
  await page.getByRole('button', { name: '14 of 14 come' }).click();
  await page.getByLabel('Gideon Sarr').uncheck();
  await page.keyboard.press('Escape');
  await waitForPlan(page);
  const after = await evening();
  expect(after.size).toBe(13);
  const moved = [...after].filter(([name, words]) => before.get(name) !== words);
  expect(moved.length).toBeLessThanOrEqual(4);
  await page.getByRole('button', { name: 'Compose beside' }).click();
  await expect(page.getByText(/with one helper more: (\d|cannot tell)/)).toBeVisible({
    timeout: 60_000,
  });
  await page.getByRole('button', { name: 'Undo' }).click();
  await waitForPlan(page);
  expect((await evening()).size).toBe(14);
});

test(
  'reorders, lengthens and leaves out drills with the keyboard',
  { tag: '@deep' },
  async ({ page }) => {
    await openPlan(page);
    const band = page.getByRole('list', { name: /^Running order/ });
    const slider = band.getByRole('slider').first();
    const was = Number(await slider.getAttribute('aria-valuenow'));
    await slider.focus();
    await page.keyboard.press('ArrowDown');
    await expect(page.getByRole('list', { name: 'Running order, yours' })).toBeVisible();
    await expect(slider).toHaveAttribute('aria-valuenow', String(was + 0.5));
    await waitForPlan(page);
    const labels = () => band.getByRole('button', { name: /^Leave out/ }).allInnerTexts();
    const count = (await labels()).length;
    await band
      .getByRole('button', { name: /^Leave out/ })
      .first()
      .click();
    await expect(band.getByRole('button', { name: /^Leave out/ })).toHaveCount(count - 1);
    await page.getByRole('button', { name: 'Let the composer order it again' }).click();
    await waitForPlan(page);
  },
);

test(
  'gives the plan out as JSON and Markdown, and takes a class and a plan in',
  { tag: '@deep' },
  async ({ page }) => {
    await openPlan(page);
    const fetchFile = async (name: string) => {
      await page.getByRole('button', { name: 'Files' }).click();
      const [download] = await Promise.all([
        page.waitForEvent('download'),
        page.getByRole('menuitem', { name }).click(),
      ]);
      return readFile((await download.path())!, 'utf8');
    };
    const plan = await fetchFile('Plan as JSON');
    expect(JSON.parse(plan)).toMatchObject({ format: 'levitar-plan', version: 1 });
    expect(await fetchFile('Plan as Markdown')).toMatch(/^# Thursday, upside down/);
    const file = await fetchFile('Class as JSON (holds health notes)');
    expect(JSON.parse(file).people).toHaveLength(14);
    const open = async (text: string) => {
      const [chooser] = await Promise.all([
        page.waitForEvent('filechooser'),
        (async () => {
          await page.getByRole('button', { name: 'Files' }).click();
          await page.getByRole('menuitem', { name: 'Open a class or a plan' }).click();
        })(),
      ]);
      await chooser.setFiles({
        name: 'a.json',
        mimeType: 'application/json',
        buffer: Buffer.from(text),
      });
    };
    await open(JSON.stringify({ ...JSON.parse(file), colour: 'red' }));
    await expect(page.getByText('There is no field "colour" here.')).toBeVisible();
    await open(JSON.stringify({ ...JSON.parse(plan), version: 7 }));
    await expect(page.getByText(/This file is version 7/)).toBeVisible();
    await open(file);
    await expect(
      page.getByRole('heading', { level: 1, name: 'A class from a file' }),
    ).toBeVisible();
    await expect(page.getByRole('list', { name: 'Set-ups of this round' })).toBeVisible();
    await open(plan);
    await expect(page.getByText('The plan is on the screen. Nothing was stored.')).toBeVisible();
    await page.getByRole('button', { name: 'Back to the course' }).click();
    await expect(
      page.getByRole('heading', { level: 1, name: 'Thursday, upside down' }),
    ).toBeVisible();
  },
);

test(
  'prints the class: order, lay-out, rooms, the assistant’s sheet without health notes, cards',
  { tag: '@deep' },
  async ({ page }) => {
    await page.goto('/plan/print?course=1');
    for (const name of ['Running order', 'To lay out', 'For the assistant', 'Cards']) {
      await expect(page.getByRole('region', { name, exact: true })).toBeVisible();
    }
    const helper = (
      await page.getByRole('region', { name: 'For the assistant' }).innerText()
    ).toLowerCase();
    for (const word of ['glaucoma', 'pregnan', 'pressure', 'closed', 'cleared', 'refer']) {
      expect(helper, word).not.toContain(word);
    }
    await expect(page.getByRole('region', { name: 'Cards' }).getByRole('article')).toHaveCount(14);
    for (const format of ['A4', 'Letter'] as const) {
      const pdf = await page.pdf({ format, printBackground: true });
      expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
      const pages = pdf.toString('latin1').match(/\/Type\s*\/Page\b/g) ?? [];
      expect(pages.length).toBeGreaterThanOrEqual(5);
      expect(pages.length).toBeLessThanOrEqual(16);
    }
    await expectAccessible(page);
  },
);

test(
  'draws the room by typing and by key, counts the cupboard, adds a piece of one’s own',
  { tag: '@deep' },
  async ({ page }) => {
    await page.goto('/room');
    const width = page.getByLabel('Width', { exact: true });
    await expect(width).toHaveValue('960 cm');
    // The first key may come before the page has woken up.
    await expect(async () => {
      await width.fill('10 m');
      await width.press('Enter');
      await expect(width).toHaveValue('1000 cm', { timeout: 1000 });
    }).toPass();
    const wall = page.getByRole('slider', { name: 'Depth of the room' });
    await wall.focus();
    await page.keyboard.press('ArrowUp');
    await expect(page.getByLabel('Depth', { exact: true })).toHaveValue('725 cm');
    await page.getByRole('button', { name: 'Undo' }).click();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(width).toHaveValue('960 cm');
    // Dragging a blocked stretch snaps to five centimetres.
    const end = page.getByRole('slider', { name: /stove and coats.*right end/ });
    const box = (await end.boundingBox())!;
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await page.mouse.down();
    await page.mouse.move(box.x + box.width / 2, box.y - 40, { steps: 6 });
    await page.mouse.up();
    const at = Number(await end.getAttribute('aria-valuenow'));
    expect(at).toBeGreaterThan(3.4);
    expect(Math.round(at * 100) % 5).toBe(0);
    await page.getByRole('button', { name: 'Undo' }).click();
    await page.getByRole('button', { name: 'One foam block more' }).click();
    await expect(page.getByLabel('How many: Foam block')).toHaveValue('10');
    await page.getByRole('button', { name: 'One foam block fewer' }).click();
    await page.getByLabel('Name', { exact: true }).fill('Cedar plank');
    for (const [label, value] of [
      ['Longest side', '60 cm'],
      ['Middle side', '30 cm'],
      ['Shortest side', '4 cm'],
      ['Height with weight on it', '5 cm'],
    ] as const) {
      await page.getByLabel(label).fill(value);
    }
    await page.getByRole('button', { name: 'Add the piece' }).click();
    await expect(page.getByText('Under load a piece is not thicker than without.')).toBeVisible();
    await page.getByLabel('Height with weight on it').fill('4 cm');
    await page.getByRole('button', { name: 'Add the piece' }).click();
    await expect(page.getByLabel('How many: Cedar plank')).toBeVisible();
    await page.getByRole('button', { name: 'Take out' }).last().click();
    await expect(page.getByLabel('How many: Cedar plank')).toHaveCount(0);
    await expectAccessible(page);
  },
);

test('answers while it solves, and stops when told', { tag: '@deep' }, async ({ page }) => {
  await page.addInitScript(() => {
    (window as unknown as { blocks: number[] }).blocks = [];
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries()) {
        (window as unknown as { blocks: number[] }).blocks.push(entry.duration);
      }
    }).observe({ entryTypes: ['longtask'] });
  });
  await openPlan(page);
  await page.evaluate(() => ((window as unknown as { blocks: number[] }).blocks = []));
  await page.getByLabel('Helpers').fill('2');
  await page.getByLabel('Helpers').blur();
  await page.getByRole('button', { name: 'Stop here' }).click();
  await expect(page.getByText(/^Stopped/)).toBeVisible();
  await page.getByLabel('Helpers').fill('0');
  await waitForPlan(page);
  const blocks = await page.evaluate(() => (window as unknown as { blocks: number[] }).blocks);
  const longest = Math.max(0, ...blocks);
  test.info().annotations.push({ type: 'longest block', description: `${Math.round(longest)} ms` });
  console.log(`Longest block of the interface while solving: ${Math.round(longest)} ms`);
});

test(
  'the plan is accessible once it is composed, on a desk, and on a tablet in the dark',
  { tag: '@deep' },
  async ({ page }) => {
    await page.goto('/plan');
    await page.getByText(/Kept for Tonight/).waitFor({ timeout: 120_000 });
    await expectAccessible(page);
    await page.setViewportSize({ width: 1024, height: 768 });
    await expectContrastInTheDark(page);
  },
);
