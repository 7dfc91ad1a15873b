/**
 * npm test: installs what is missing, then lint, types, unit tests, build, browser tests. With
 * --deep (npm run test:deep) whatever tries many random things tries all of them, and the browser is
 * led the second ways and the drills as well.
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

let passed = 0;
/** What failed, by name: said once more at the end, where it is looked for. */
const failures = [];
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
    if (!isGood) failures.push(name);
    else passed += 1;
    isAllGood &&= isGood;
  }
  return isAllGood;
}

/** Counts the single tests of a runner; a runner that leaves no report counts as one failure. */
function suite(name, command, args, env, report, read) {
  say(name);
  const isGood = timed(name, () => run(command, args, env));
  const found = existsSync(report) ? read(JSON.parse(readFileSync(report, 'utf8'))) : null;
  if (found === null || found.passed + found.failed.length === 0) {
    failures.push(`${name}: no report`);
    return;
  }
  passed += found.passed;
  failures.push(...found.failed);
  // A runner can fail although each of its tests passed: a broken file, a leak.
  if (!isGood && found.failed.length === 0)
    failures.push(`${name}: ended badly, though each test passed`);
}

const failedUnits = ({ testResults }) =>
  testResults.flatMap(({ name, status, assertionResults }) => {
    const file = path.relative(process.cwd(), name);
    const bad = assertionResults.filter((one) => one.status === 'failed');
    // A file that does not even begin has no single tests.
    if (bad.length === 0) return status === 'failed' ? [file] : [];
    return bad.map(({ fullName }) => `${file} › ${fullName}`);
  });

const failedInBrowser = (suites) =>
  suites.flatMap((one) => [
    ...one.specs
      .filter(({ tests }) => tests.some(({ status }) => ['unexpected', 'flaky'].includes(status)))
      .map(({ file, title }) => `${file} › ${title}`),
    ...failedInBrowser(one.suites ?? []),
  ]);

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
  failed: failedUnits(report),
}));

if (canBrowse) {
  const browser = path.join(reports, 'browser.json');
  suite(
    'Browser tests',
    process.execPath,
    ['scripts/browser.mjs', '--reporter=line,json'].concat(isDeep ? [] : '--project=each change'),
    { PLAYWRIGHT_JSON_OUTPUT_NAME: browser },
    browser,
    ({ stats, suites }) => ({ passed: stats.expected, failed: failedInBrowser(suites) }),
  );
}

rmSync(reports, { recursive: true, force: true });
console.log(took.join(' · '));
for (const name of failures) console.log(`failed: ${name}`);
console.log(`${passed} passed, ${failures.length} failed`);
process.exit(failures.length === 0 ? 0 : 1);
