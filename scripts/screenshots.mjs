/** npm run screenshots: one current picture of each main view, from the demo data. */
import { spawnSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { chromium } from '@playwright/test';
import { ensureBuild, ensureChromium, ensurePackages, root, say } from './setup.mjs';
import { startThrowaway } from './server.mjs';
import { testDay } from './testDay.mjs';

ensurePackages();
process.env.LEVITAR_DAY ??= testDay();
const executablePath = ensureChromium();
if (!ensureBuild()) process.exit(1);

const views = [
  { name: 'plan', path: '/plan?course=1', until: /Kept for Tonight/, fullPage: true },
  { name: 'tonight', path: '/' },
  { name: 'plan-print', path: '/plan/print?course=1' },
  { name: 'room', path: '/room?course=1' },
  { name: 'people', path: '/people', until: /^22 of 22$/ },
  { name: 'person', path: '/people/8', open: 'Record Dolphin, one leg up' },
  { name: 'ladders', path: '/ladders' },
  { name: 'rung', path: '/ladders/HB8?person=2' },
  { name: 'poster', path: '/ladders/poster?ladder=headstand', fullPage: true },
  {
    name: 'record',
    path: '/record?course=1',
    height: 900,
    until: /^Kick to the wall, block in hands, 1/,
  },
  { name: 'home-practice', path: '/people/2/home' },
  { name: 'card', path: '/people/4/card', fullPage: true },
  { name: 'bench', path: '/bench?person=3' },
];

/** A class is begun, held and tried, so that its screens show something. */
async function picturesOfTheFloor() {
  const open = (more = {}) =>
    browser.newPage({
      viewport: { width: 1024, height: 768 },
      colorScheme: 'light',
      reducedMotion: 'reduce',
      ...more,
    });
  const keep = async (page, name) => {
    await page.evaluate(async () => {
      await document.fonts.ready;
    });
    await page.waitForTimeout(400);
    await page.screenshot({ path: path.join(root, 'docs', 'screenshots', `${name}.png`) });
    say(`${name}.png`);
  };
  const page = await open();
  await page.goto(`${server.url}/floor`);
  await page.getByRole('button', { name: 'Begin the class' }).first().click();
  await page.getByText('all saved').waitFor();
  const next = page.getByRole('button', { name: 'Next', exact: true });
  await next.click();
  await page.getByRole('button', { name: 'Hold' }).click();
  await page.getByLabel('What is held').selectOption('dolphin-hold');
  await page.getByRole('button', { name: /^Start the clock/ }).click();
  for (const [name, seconds] of [
    ['Halina', 3],
    ['Emeric', 2],
    ['Nilufar', 1],
  ]) {
    await page.waitForTimeout(seconds * 1000);
    await page.getByRole('button', { name: new RegExp(`^${name}`) }).click();
  }
  await page.waitForTimeout(1500);
  await keep(page, 'floor-hold');
  await page.getByRole('button', { name: 'Stop the clock' }).click();
  await page.getByRole('button', { name: 'Done' }).click();
  while ((await page.getByRole('heading', { level: 1 }).innerText()) !== 'Round 2') {
    await next.click();
    await page.waitForTimeout(150);
  }
  await page
    .getByRole('button', { name: /Anselm.*Kick/ })
    .first()
    .click();
  const sheet = page.getByRole('dialog');
  for (const reached of ['Reached the wall', 'Not yet', 'Reached the wall']) {
    await sheet.getByText('kept', { exact: true }).click();
    await sheet.getByRole('button', { name: reached }).click();
  }
  await page.keyboard.press('Escape');
  await page.getByText('all saved').waitFor();
  const dark = await open({ colorScheme: 'dark', viewport: { width: 1280, height: 800 } });
  await dark.goto(page.url());
  await dark.getByText('all saved').waitFor();
  await keep(dark, 'floor-round-dark');
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.goto(page.url().replace('/floor/', '/review/'));
  await page.getByRole('table').waitFor();
  await page
    .getByRole('button', { name: /^Look at/ })
    .nth(1)
    .click();
  await keep(page, 'review');
}

/** Every shape and every movement, to look at. */
async function sheetsOfDrawings() {
  const folder = mkdtempSync(path.join(os.tmpdir(), 'levitar-drawings-'));
  const made = spawnSync(
    path.join(root, 'node_modules', '.bin', 'tsx'),
    [path.join(root, 'scripts', 'drawings.ts'), folder],
    { cwd: root, stdio: 'inherit' },
  );
  if (made.status !== 0) throw new Error('The sheets of drawings could not be made.');
  const to = path.join(root, 'docs', 'drawings');
  mkdirSync(to, { recursive: true });
  const page = await browser.newPage({ viewport: { width: 1560, height: 800 } });
  for (const name of ['shapes', 'one-ink', 'moves']) {
    const svg = readFileSync(path.join(folder, `${name}.svg`), 'utf8');
    await page.setContent(`<body style="margin:0">${svg}</body>`);
    await page.locator('svg').screenshot({ path: path.join(to, `${name}.png`) });
    say(`drawings/${name}.png`);
  }
  await page.close();
  rmSync(folder, { recursive: true, force: true });
}

/** Marks read off a painted picture, and its floor and wall. */
async function pictureOfPlumb() {
  const page = await browser.newPage({
    viewport: { width: 1280, height: 800 },
    colorScheme: 'light',
    reducedMotion: 'reduce',
  });
  await page.goto(`${server.url}/plumb?person=3&shape=forearmStandWall`);
  await page.getByRole('button', { name: 'A practice picture' }).click();
  await page.getByRole('button', { name: /^near shoulder/ }).waitFor({ timeout: 60_000 });
  // Floor and wall are guessed, along the picture's own level edges.
  await page.evaluate(async () => {
    await document.fonts.ready;
  });
  await page.screenshot({ path: path.join(root, 'docs', 'screenshots', 'plumb.png') });
  say('plumb.png');
  await page.close();
}

/** A painted clip, read; and its pictures as a file that a browser plays as its camera. */
async function pictureOfAClip(film) {
  const page = await browser.newPage({
    viewport: { width: 1280, height: 1180 },
    colorScheme: 'light',
    reducedMotion: 'reduce',
  });
  await page.goto(`${server.url}/plumb?person=3`);
  await page.getByRole('radiogroup', { name: 'Read from' }).getByText('Clip').click();
  await page.getByRole('button', { name: 'One with faults' }).click();
  const progress = page.getByText(/of 81 pictures/);
  await progress.waitFor();
  await progress.waitFor({ state: 'detached', timeout: 120_000 });
  await page
    .getByRole('button', { name: /hips over/ })
    .first()
    .click();
  await page.evaluate(() => document.activeElement?.blur());
  await page.waitForTimeout(400);
  await page.screenshot({ path: path.join(root, 'docs', 'screenshots', 'plumb-clip.png') });
  say('plumb-clip.png');
  const frames = [];
  await page.getByRole('slider', { name: /^Moment of the clip/ }).focus();
  await page.keyboard.press('Home');
  for (let index = 0; index <= 80; index += 1) {
    const url = await page.evaluate(async () => {
      const picture = new Image();
      picture.src = document.querySelector('svg image').getAttribute('href');
      await picture.decode();
      const canvas = document.createElement('canvas');
      [canvas.width, canvas.height] = [picture.naturalWidth, picture.naturalHeight];
      canvas.getContext('2d').drawImage(picture, 0, 0);
      return canvas.toDataURL('image/jpeg', 0.85);
    });
    const jpeg = Buffer.from(url.slice(url.indexOf(',') + 1), 'base64');
    // Thirty pictures a second are played, ten were painted.
    frames.push(jpeg, jpeg, jpeg);
    await page.keyboard.press('ArrowRight');
  }
  writeFileSync(film, Buffer.concat(frames));
  await page.close();
}

async function pictureOfTheCamera(film) {
  const withCamera = await chromium.launch({
    executablePath,
    args: [
      ...chromiumArguments,
      '--use-fake-ui-for-media-stream',
      '--use-fake-device-for-media-stream',
      `--use-file-for-fake-video-capture=${film}`,
    ],
  });
  try {
    const page = await withCamera.newPage({
      viewport: { width: 1180, height: 820 },
      colorScheme: 'dark',
      reducedMotion: 'reduce',
    });
    await page.goto(`${server.url}/plumb?person=3`);
    await page.getByRole('radiogroup', { name: 'Read from' }).getByText('Camera').click();
    await page.getByRole('button', { name: 'Open the camera' }).click();
    await page.locator('dl[aria-label="Lines"]').getByText(/\d/).first().waitFor();
    await page.getByRole('button', { name: /^Arm it for/ }).click();
    await page.getByText(/ is up\.$/).waitFor({ timeout: 60_000 });
    await page.waitForTimeout(2600);
    await page.screenshot({
      path: path.join(root, 'docs', 'screenshots', 'plumb-camera-dark.png'),
    });
    say('plumb-camera-dark.png');
  } finally {
    await withCamera.close();
  }
}

const chromiumArguments = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];
const server = await startThrowaway(3218);
const browser = await chromium.launch({ executablePath, args: chromiumArguments });
try {
  for (const view of views) {
    const page = await browser.newPage({
      viewport: { width: view.width ?? 1280, height: view.height ?? 800 },
      colorScheme: view.dark ? 'dark' : 'light',
      reducedMotion: 'reduce',
    });
    await page.goto(server.url + view.path);
    if (view.until) await page.getByText(view.until).waitFor({ timeout: 60_000 });
    if (view.open) await page.getByRole('button', { name: view.open, exact: true }).click();
    if (view.at) {
      await page
        .getByRole('heading', { name: view.at })
        .evaluate((heading) => heading.scrollIntoView({ block: 'start' }));
      await page.waitForTimeout(300);
    }
    // What comes later has come.
    await page.waitForFunction(() => document.querySelector('.mantine-Skeleton-root') === null);
    await page.evaluate(async () => {
      await document.fonts.ready;
    });
    const file = path.join(root, 'docs', 'screenshots', `${view.name}.png`);
    await page.screenshot({ path: file, fullPage: view.fullPage ?? false });
    say(`${view.name}.png`);
    await page.close();
  }
  await sheetsOfDrawings();
  await pictureOfPlumb();
  const folder = mkdtempSync(path.join(os.tmpdir(), 'levitar-film-'));
  try {
    const film = path.join(folder, 'kick.mjpeg');
    await pictureOfAClip(film);
    await pictureOfTheCamera(film);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
  await picturesOfTheFloor();
} finally {
  await browser.close();
  await server.stop();
}
