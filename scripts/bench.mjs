/** npm run bench: medians on this machine, printed beside what they should stay under. */
import { mkdtempSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import process from 'node:process';
import { bin, ensureBuild, ensureChromium, ensurePackages, run } from './setup.mjs';
import { startThrowaway } from './server.mjs';

ensurePackages();
if (!ensureBuild()) process.exit(1);
const server = await startThrowaway(3219);
let isGood = false;
try {
  const env = { LEVITAR_URL: server.url, LEVITAR_DATA: server.folder };
  isGood = run(bin('tsx'), ['scripts/bench/main.ts'], env);
  const browser = { ...env, LEVITAR_CHROMIUM: ensureChromium() };
  for (const part of ['blocks', 'plumbPace', 'plumb']) {
    isGood = run(bin('tsx'), [`scripts/bench/${part}.ts`], browser) && isGood;
  }
} finally {
  await server.stop();
}
const tenYears = mkdtempSync(path.join(os.tmpdir(), 'levitar-ten-years-'));
try {
  isGood = run(bin('tsx'), ['scripts/bench/fillTenYears.ts'], { LEVITAR_DATA: tenYears }) && isGood;
  const old = await startThrowaway(3220, { template: tenYears });
  try {
    isGood =
      run(bin('tsx'), ['scripts/bench/tenYears.ts'], {
        LEVITAR_URL: old.url,
        LEVITAR_DATA: old.folder,
      }) && isGood;
  } finally {
    await old.stop();
  }
} finally {
  rmSync(tenYears, { recursive: true, force: true });
}
for (const part of ['studio', 'classesMain', 'floorMain', 'watch']) {
  isGood = run(bin('tsx'), [`scripts/bench/${part}.ts`], {}) && isGood;
}
process.exit(isGood ? 0 : 1);
