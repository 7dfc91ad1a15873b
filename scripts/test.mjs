/**
 * npm test: installs what is missing, then lint, types, unit tests, build, browser tests. With
 * --deep (npm run test:deep) whatever tries many random things tries all of them.
 */
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import process from 'node:process';
import {
  bin,
  ensureChromium,
  ensurePackages,
  ensurePdfTools,
  run,
  runBeside,
  say,
} from './setup.mjs';

if (process.argv.includes('--deep')) process.env.LEVITAR_DEPTH = 'deep';

const results = { passed: 0, failed: 0 };
/** Where the time went, for whoever waits for it. */
const took = [];

function timed(name, work) {
  const began = performance.now();
  const value = work();
  took.push(`${name} ${Math.round((performance.now() - began) / 1000)} s`);
  return value;
}
const reports = mkdtempSync(path.join(os.tmpdir(), 'levitar-test-'));

function step(name, command, args, env) {
  say(name);
  const isGood = timed(name, () => run(command, args, env));
  results[isGood ? 'passed' : 'failed'] += 1;
  return isGood;
}

/** One step after the other, beside what else goes on. */
async function beside(steps) {
  for (const [name, command, args] of steps) {
    say(name);
    const began = performance.now();
    const isGood = await runBeside(command, args);
    took.push(`${name} ${Math.round((performance.now() - began) / 1000)} s`);
    if (!isGood) console.error(`${name}: failed`);
    results[isGood ? 'passed' : 'failed'] += 1;
  }
}

/** Counts the single tests of a runner; a runner that leaves no report counts as one failure. */
function suite(name, command, args, env, report, read) {
  say(name);
  const isGood = timed(name, () => run(command, args, env));
  const counts = existsSync(report) ? read(JSON.parse(readFileSync(report, 'utf8'))) : null;
  if (counts === null || counts.passed + counts.failed === 0) {
    results.failed += 1;
    return;
  }
  results.passed += counts.passed;
  // A runner can fail although each of its tests passed: a broken file, a leak.
  results.failed += !isGood && counts.failed === 0 ? 1 : counts.failed;
}

timed('Setting up', () => {
  ensurePackages();
  ensureChromium();
  ensurePdfTools();
});

// None of them writes anything: each of the two processors has its own row of them.
await Promise.all([
  beside([['Linting', bin('eslint'), ['.', '--max-warnings', '0']]]),
  beside([
    ['Checking the types', bin('tsc'), ['--noEmit']],
    ['Checking the core on its own, without browser types', bin('tsc'), ['--noEmit', '-p', 'core']],
    [
      'Checking the format',
      bin('prettier'),
      [
        '--check',
        '--log-level',
        'warn',
        // By what stands in each file: a file that was not touched is not looked at again.
        '--cache',
        '--cache-strategy',
        'content',
        '--cache-location',
        'node_modules/.cache/prettier/cache',
        '.',
      ],
    ],
  ]),
]);

const unit = path.join(reports, 'unit.json');
suite('Unit tests', bin('jest'), ['--json', `--outputFile=${unit}`], {}, unit, (report) => ({
  passed: report.numPassedTests,
  failed: report.numFailedTests + report.numRuntimeErrorTestSuites,
}));

if (step('Building', process.execPath, ['scripts/build.mjs'])) {
  const browser = path.join(reports, 'browser.json');
  suite(
    'Browser tests',
    process.execPath,
    ['scripts/browser.mjs', '--reporter=line,json'],
    { PLAYWRIGHT_JSON_OUTPUT_NAME: browser },
    browser,
    ({ stats }) => ({ passed: stats.expected, failed: stats.unexpected + stats.flaky }),
  );
}

rmSync(reports, { recursive: true, force: true });
console.log(took.join(' · '));
console.log(`${results.passed} passed, ${results.failed} failed`);
process.exit(results.failed === 0 ? 0 : 1);
