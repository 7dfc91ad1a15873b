import process from 'node:process';
import { chromium } from '@playwright/test';
import { ensureChromium } from './setup.mjs';
import { startThrowaway } from './server.mjs';
import { testDay } from './testDay.mjs';
process.env.LEVITAR_DAY ??= testDay();
const executablePath = ensureChromium();
const server = await startThrowaway(4477);
const browser = await chromium.launch({ executablePath, args: ['--no-sandbox','--disable-gpu'] });
try { const { default: step } = await import(process.argv[2]); await step({ browser, url: server.url, dir: '/tmp/shots' }); }
finally { await browser.close(); await server.stop(); }
