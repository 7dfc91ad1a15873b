/** npm run screenshots: one current picture of each main view, from the demo data. */
import path from 'node:path';
import { chromium } from '@playwright/test';
import { ensureBuild, ensureChromium, ensurePackages, root, say } from './setup.mjs';
import { startThrowaway } from './server.mjs';

ensurePackages();
const executablePath = ensureChromium();
if (!ensureBuild()) process.exit(1);

const views = [
  { name: 'tonight', path: '/' },
  { name: 'people', path: '/people' },
  { name: 'person', path: '/people/8', open: 'Record Dolphin, one leg up' },
  { name: 'card', path: '/people/4/card', fullPage: true },
  { name: 'card-dark-tablet', path: '/people/3/card', dark: true, width: 1024, height: 768 },
  { name: 'another-shape', path: '/people/12/card' },
  { name: 'bench', path: '/bench?person=3' },
  {
    name: 'bench-compare-dark',
    path: '/bench?person=1&shape=wallL',
    dark: true,
    pick: ['person', 'Whose ghost, in the same set-up', 'Bettina Quill'],
  },
  { name: 'measuring-guide', path: '/measure' },
];

const server = await startThrowaway(3218);
const browser = await chromium.launch({
  executablePath,
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
});
try {
  for (const view of views) {
    const page = await browser.newPage({
      viewport: { width: view.width ?? 1280, height: view.height ?? 800 },
      colorScheme: view.dark ? 'dark' : 'light',
      reducedMotion: 'reduce',
    });
    await page.goto(server.url + view.path);
    if (view.open) await page.getByRole('button', { name: view.open }).click();
    if (view.pick) {
      const [kind, label, option] = view.pick;
      await page.getByText(kind, { exact: true }).click();
      await page.getByRole('combobox', { name: label }).click();
      await page.getByRole('option', { name: option }).click();
    }
    await page.evaluate(async () => {
      await document.fonts.ready;
    });
    const file = path.join(root, 'docs', 'screenshots', `${view.name}.png`);
    await page.screenshot({ path: file, fullPage: view.fullPage ?? false });
    say(`${view.name}.png`);
    await page.close();
  }
} finally {
  await browser.close();
  await server.stop();
}
