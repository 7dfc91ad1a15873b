import { chromium } from '@playwright/test';
import { startThrowaway } from './server.mjs';
const args = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];
const server = await startThrowaway(3391);
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args });
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
const shot = (n) =>
  page.screenshot({ path: `/tmp/look-${n}.png`, fullPage: process.argv[2] === 'full' });
export { page, shot, server, browser };
const mod = await import(process.argv[3]);
try {
  await mod.default(page, shot, 'http://127.0.0.1:3391');
} catch (e) {
  console.error(e);
  await shot('error');
}
await browser.close();
await server.stop?.();
process.exit(0);
