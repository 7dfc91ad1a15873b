import type { Page } from '@playwright/test';
import type { MarksAnswer } from '@/workers/marks.worker';
import { anyGraphics } from '@/workers/readerBackend';
import { chromiumArguments } from '../../playwright.config';
import { expect, test } from '../support';

// A card that the processor plays, as no test machine has a real one.
test.use({
  launchOptions: {
    executablePath: process.env.LEVITAR_CHROMIUM ?? '/usr/bin/chromium',
    args: [
      ...chromiumArguments.filter((one) => one !== '--disable-gpu'),
      '--use-angle=swiftshader',
      '--enable-unsafe-swiftshader',
    ],
  },
});

type Heard = Extract<MarksAnswer, { readonly kind: 'read' }>;

/** What the reader says of the practice picture, on graphics that are played. */
async function readPractice(page: Page): Promise<Heard> {
  await page.addInitScript((workerName) => {
    const heard: unknown[] = [];
    const Given = window.Worker;
    window.Worker = class extends Given {
      constructor(url: string | URL, options?: WorkerOptions) {
        super(url, { ...options, name: workerName });
        this.addEventListener('message', ({ data }) => {
          if (data?.kind === 'read') heard.push(data);
        });
      }
    };
    Object.assign(window, { heard });
  }, anyGraphics);
  await page.goto('/plumb?person=3&shape=handstandWall');
  await page.getByRole('button', { name: 'A practice picture' }).click();
  await expect(page.getByRole('button', { name: /^near shoulder/ })).toBeVisible({
    timeout: 180_000,
  });
  return (await heardOf(page)).at(-1)!;
}

const heardOf = (page: Page): Promise<Heard[]> =>
  page.evaluate(() => (window as unknown as { heard: Heard[] }).heard);

test('reads the same marks on a graphics card as on the processor, where it goes on when the card goes', async ({
  page,
}) => {
  const scripts: string[] = [];
  page.on('request', (request) => {
    if (request.url().endsWith('.js')) scripts.push(request.url());
  });
  const onCard = await readPractice(page);
  expect(onCard.runsOn).toBe('graphics');

  // Its script is asked for, and kept for no class that goes on without a network.
  const textOf = async (url: string) => (await page.request.get(url)).text();
  const texts = await Promise.all(scripts.map(textOf));
  const ofReader = scripts.filter((_, at) => texts[at]!.includes('MathBackendWebGL'));
  expect(ofReader.length).toBeGreaterThan(1);
  const kept = await textOf(new URL('/floor/sw.js', page.url()).href);
  expect(kept).toContain('/_next/static/');
  expect(ofReader.filter((url) => kept.includes(new URL(url).pathname))).toEqual([]);

  for (const worker of page.workers()) {
    await worker.evaluate(() => {
      WebGL2RenderingContext.prototype.isContextLost = () => true;
    });
  }
  await page.getByRole('button', { name: 'Read the marks' }).click();
  await expect.poll(async () => (await heardOf(page)).length).toBe(2);
  const after = (await heardOf(page))[1]!;
  expect(after.runsOn).toBe('processor');
  // The same picture once more.
  const [there, here] = [Object.entries(onCard.marks.near), after.marks.near];
  expect(there.map(([name]) => name)).toEqual(Object.keys(here));
  expect(there.length).toBeGreaterThan(6);
  for (const [name, { x, y }] of there) {
    const other = here[name as keyof typeof here]!;
    // Two pixels of a picture of 500 to the metre.
    expect([name, Math.hypot(x - other.x, y - other.y) < 2]).toEqual([name, true]);
  }
});
