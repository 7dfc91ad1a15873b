/** npm run test:browser [-- arguments of the runner]: each file of tests on a studio of its own. */
import { rmSync } from 'node:fs';
import process from 'node:process';
import { bin, ensureBuild, ensureChromium, ensurePackages, ensurePdfTools, run } from './setup.mjs';
import { makeTemplate } from './server.mjs';
import { testDay } from './testDay.mjs';

ensurePackages();
process.env.LEVITAR_DAY ??= testDay();
const chromium = ensureChromium();
ensurePdfTools();
if (!ensureBuild()) process.exit(1);
const template = await makeTemplate();
let isGood = false;
try {
  isGood = run(bin('playwright'), ['test', ...process.argv.slice(2)], {
    LEVITAR_CHROMIUM: chromium,
    LEVITAR_TEMPLATE: template,
  });
} finally {
  rmSync(template, { recursive: true, force: true });
}
process.exit(isGood ? 0 : 1);
