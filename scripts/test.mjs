/**
 * npm test: installs what is missing, then lint, types, unit tests, build, browser tests. With
 * --deep (npm run test:deep) whatever tries many random things tries all of them, and the drills are run.
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
  isBuilt,
  run,
  runBeside,
  say,
} from './setup.mjs';

const isDeep = process.argv.includes('--deep');
if (isDeep) process.env.LEVITAR_DEPTH = 'deep';

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

/** One step after the other, beside what else goes on. Resolves to whether all of them were good. */
async function beside(steps) {
  let isAllGood = true;
  for (const [name, command, args] of steps) {
    say(name);
    const began = performance.now();
    const isGood = await runBeside(command, args);
    took.push(`${name} ${Math.round((performance.now() - began) / 1000)} s`);
    if (!isGood) console.error(`${name}: failed`);
    results[isGood ? 'passed' : 'failed'] += 1;
    isAllGood &&= isGood;
  }
  return isAllGood;
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

const rules = [
  // The types of everything, of the core by settings of its own, and the rules of the house.
  ['Checking types and rules', bin('oxlint'), ['-c', 'oxlint.config.js', '--quiet']],
];
const format = [
  [
    'Checking the format',
    bin('prettier'),
    // By what stands in each file: one that was not touched is not looked at again.
    ['--check', '--log-level', 'warn', '--cache', '--cache-strategy', 'content']
      .concat(['--cache-location', path.join('node_modules', '.cache', 'prettier', 'cache')])
      .concat(['.']),
  ],
];
const building = ['Building', process.execPath, ['scripts/build.mjs']];

let canBrowse = false;
// What each of them takes leaves room for another; what is built is read by no other.
await Promise.all([
  beside(rules).then(() => beside(format)),
  Promise.resolve(isBuilt()).then(async (isCurrent) => {
    canBrowse = isCurrent || (await beside([building]));
  }),
]);

const unit = path.join(reports, 'unit.json');
// Each file of tests runs most of its code a few times: what compiles soon does not wait to be worth it.
const jest = ['--always-sparkplug', bin('jest'), '--json', `--outputFile=${unit}`];
// In a few realms that many files share; the deep run gives each file its own.
if (!isDeep) jest.push('--config', 'jest.together.config.js');
suite('Unit tests', process.execPath, jest, {}, unit, (report) => ({
  passed: report.numPassedTests,
  failed: report.numFailedTests + report.numRuntimeErrorTestSuites,
}));

if (canBrowse) {
  const browser = path.join(reports, 'browser.json');
  suite(
    'Browser tests',
    process.execPath,
    ['scripts/browser.mjs', '--reporter=line,json'].concat(isDeep ? [] : '--project=each change'),
    { PLAYWRIGHT_JSON_OUTPUT_NAME: browser },
    browser,
    ({ stats }) => ({ passed: stats.expected, failed: stats.unexpected + stats.flaky }),
  );
}

rmSync(reports, { recursive: true, force: true });
console.log(took.join(' · '));
console.log(`${results.passed} passed, ${results.failed} failed`);
process.exit(results.failed === 0 ? 0 : 1);
