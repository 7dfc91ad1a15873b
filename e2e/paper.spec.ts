import { execFileSync } from 'node:child_process';
import { readFile } from 'node:fs/promises';
import type { Page, TestInfo } from '@playwright/test';
import type { PlanFile } from '@/core/files/planFile';
import { expect, openPlan, test } from './support';

test.describe.configure({ timeout: 300_000 });

/** The page as it comes out of the printer, read back: words in the order in which they were set. */
async function readPaper(
  page: Page,
  info: TestInfo,
  options: Parameters<Page['pdf']>[0] = { format: 'A4' },
): Promise<{ readonly text: string; readonly pages: number }> {
  await page.evaluate(async () => {
    await document.fonts.ready;
  });
  const file = info.outputPath('paper.pdf');
  await page.pdf({ ...options, path: file, printBackground: true });
  const text = execFileSync('pdftotext', ['-raw', file, '-'], { encoding: 'utf8' });
  const facts = execFileSync('pdfinfo', [file], { encoding: 'utf8' });
  return { text: plain(text), pages: Number(/Pages:\s+(\d+)/.exec(facts)![1]) };
}

/** Line ends and hyphens of the setting are the paper's, not the words'. */
const plain = (words: string) => words.replace(/\s+/g, ' ').replace(/([-–]) (?=[a-z\d])/g, '$1');

/** Everybody's name, in the order of their cards. */
const namesOnCards = (page: Page) =>
  page
    .getByRole('region', { name: 'Cards', exact: true })
    .getByRole('heading', { level: 3 })
    .allInnerTexts();

async function keptPlan(page: Page): Promise<PlanFile> {
  await openPlan(page, '/plan?course=1');
  await page.getByRole('button', { name: 'Files' }).click();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('menuitem', { name: 'Plan as JSON' }).click(),
  ]);
  return JSON.parse(await readFile((await download.path())!, 'utf8')) as PlanFile;
}

test('the printed class holds the doses, names and numbers of the plan', async ({ page }, info) => {
  const plan = await keptPlan(page);
  await page.goto('/plan/print?course=1');
  const names = await namesOnCards(page);
  const ids = plan.rounds[0]!.people.map(({ id }) => id);
  expect(names).toHaveLength(ids.length);
  const { text } = await readPaper(page, info);

  // The running order: every line with its dose, in its order.
  let at = 0;
  for (const { label, dose, minutes } of plan.timeline) {
    const line = plain(dose === undefined ? label : `${label}: ${dose}`);
    const found = text.indexOf(line, at);
    expect(found, line).toBeGreaterThanOrEqual(at);
    at = found + line.length;
    expect(text.slice(at), `${line}, ${minutes} min`).toContain(`${minutes} min`);
  }

  // The cards come last: each person's own part holds what they do, how much of it, and every distance.
  const from = text.lastIndexOf(names[0]!);
  const starts = names.map((name) => text.indexOf(name, from));
  expect([...starts].sort((a, b) => a - b)).toEqual(starts);
  const figuresOf = (id: string, option: string | null) =>
    plan.stations.find((one) => one.option === option && one.people.includes(id))?.figures ?? [];
  let doses = 0;
  let numbers = 0;
  ids.forEach((id, index) => {
    const own = text.slice(starts[index], starts[index + 1] ?? text.length);
    const written = [...own.matchAll(/(\d+) cm/g)].map(([, one]) => Number(one));
    for (const { people } of plan.rounds) {
      const placed = people.find((one) => one.id === id)!;
      const said = plain(
        placed.dose === undefined ? placed.label : `${placed.label}, ${placed.dose}`,
      );
      expect(own, `${names[index]}: ${said}`).toContain(said);
      doses += placed.dose === undefined ? 0 : 1;
      for (const { metres } of figuresOf(id, placed.option)) {
        // Nothing to lay out is not said.
        if (metres < 0.005) continue;
        // A letter is shared by whose figures agree; the card says everybody's own.
        const nearest = written.map((one) => Math.abs(one - metres * 100)).sort((a, b) => a - b)[0];
        expect(nearest, `${names[index]}: ${metres}`).toBeLessThanOrEqual(2.5);
        numbers += 1;
      }
    }
  });
  expect(doses).toBeGreaterThan(ids.length);
  expect(numbers).toBeGreaterThan(5);
});

test('the class as drawings is one page, with every line and letter and nobody’s name', async ({
  page,
}, info) => {
  const plan = await keptPlan(page);
  await page.goto('/plan/print?course=1');
  const names = await namesOnCards(page);
  // The sheets are chosen as a teacher does: the drawings, and nothing else.
  const sheets = page.getByRole('group', { name: 'Sheets' });
  for (const chip of await sheets.getByRole('checkbox').all()) {
    const isDrawings = (await chip.getAttribute('value')) === 'strip';
    if ((await chip.isChecked()) !== isDrawings) await chip.press('Space');
  }
  await expect(page.getByRole('region', { name: 'The class as drawings' })).toBeVisible();
  const { text, pages } = await readPaper(page, info);
  expect(pages).toBe(1);
  for (const { letter, label } of plan.rounds.flatMap(({ people }) => people)) {
    if (letter === null) continue;
    expect(text, label).toContain(plain(label));
    expect(text, letter).toMatch(new RegExp(`\\b${letter}\\b`));
  }
  for (const name of names) expect(text).not.toContain(name.split(' ')[0]);
});

test('a ladder as a poster is one sheet of A3 with every rung, the foot last', async ({
  page,
}, info) => {
  for (const ladder of ['forearm-stand', 'shoulder-stand']) {
    await page.goto(`/ladders/poster?ladder=${ladder}`);
    const rungs = await page
      .getByRole('article')
      .getByRole('heading', { level: 3 })
      .allInnerTexts();
    expect(rungs.length).toBeGreaterThan(8);
    const { text, pages } = await readPaper(page, info, { preferCSSPageSize: true });
    expect(pages).toBe(1);
    let at = 0;
    for (const rung of rungs) {
      const found = text.indexOf(plain(rung), at);
      expect(found, rung).toBeGreaterThanOrEqual(at);
      at = found + 1;
    }
  }
});
