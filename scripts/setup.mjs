/** Everything a fresh machine needs, installed only where it is missing. Plain Node: no packages yet. */
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readdirSync, statSync } from 'node:fs';
import path from 'node:path';
import process from 'node:process';
import { fileURLToPath } from 'node:url';

export const root = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '..');
export const bin = (name) => path.join(root, 'node_modules', '.bin', name);
export const nextBin = path.join(root, 'node_modules', 'next', 'dist', 'bin', 'next');

const leastNode = 20;

export function say(message) {
  console.log(`› ${message}`);
}

/** Runs a command in the project, its output shown; returns whether it went well. */
export function run(command, args, env = {}) {
  const result = spawnSync(command, args, {
    cwd: root,
    stdio: ['ignore', 'inherit', 'inherit'],
    env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1', ...env },
  });
  if (result.error) console.error(`${command}: ${result.error.message}`);
  return result.status === 0;
}

/** The same, while this process goes on with its own work; resolves to whether it went well. */
export function runBeside(command, args, env = {}) {
  return new Promise((resolve) => {
    const child = spawn(command, args, {
      cwd: root,
      stdio: ['ignore', 'inherit', 'inherit'],
      env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1', ...env },
    });
    child.once('error', () => resolve(false));
    child.once('exit', (code) => resolve(code === 0));
  });
}

function stop(message) {
  console.error(message);
  process.exit(1);
}

function has(command) {
  return spawnSync('sh', ['-c', `command -v ${command}`], { stdio: 'ignore' }).status === 0;
}

/** Installs Debian packages, as root or through sudo. */
function installDebian(packages, purpose) {
  if (!has('apt-get')) {
    stop(`Needed for ${purpose}: ${packages.join(', ')}. Install them and start again.`);
  }
  const isRoot = process.getuid?.() === 0;
  const prefix = isRoot ? [] : ['sudo'];
  say(`Installing ${packages.join(', ')} for ${purpose}; this can take a minute or two.`);
  const apt = (...args) => {
    const [command, ...rest] = [...prefix, 'apt-get', ...args];
    return run(command, rest, { DEBIAN_FRONTEND: 'noninteractive' });
  };
  if (
    !apt('-qq', 'update') ||
    !apt('-qq', '-y', '--no-install-recommends', 'install', ...packages)
  ) {
    stop(`Could not install ${packages.join(', ')}. Install them by hand and start again.`);
  }
}

/** The SQLite driver can be loaded by this Node. */
function isDriverReady() {
  const check = "import('better-sqlite3').then((m) => new m.default(':memory:').close())";
  return (
    spawnSync(process.execPath, ['--input-type=module', '-e', check], {
      cwd: root,
      stdio: 'ignore',
    }).status === 0
  );
}

function ensureCompiler() {
  const missing = [
    ['python3', 'python3'],
    ['make', 'make'],
    ['g++', 'g++'],
  ].filter(([command]) => !has(command));
  if (missing.length > 0) {
    installDebian(
      missing.map(([, name]) => name),
      'compiling the SQLite driver',
    );
  }
}

/** node_modules as the lock file says, the SQLite driver compiled. */
export function ensurePackages() {
  if (Number(process.versions.node.split('.')[0]) < leastNode) {
    stop(`Levitar needs Node ${leastNode} or newer; this is ${process.version}.`);
  }
  const installed = path.join(root, 'node_modules', '.package-lock.json');
  const lock = path.join(root, 'package-lock.json');
  const isCurrent = existsSync(installed) && statSync(installed).mtimeMs >= statSync(lock).mtimeMs;
  if (!isCurrent) {
    ensureCompiler();
    say('Installing packages and compiling the SQLite driver; about three minutes the first time.');
    // Not `npm ci`: it refuses a lock file that leaves out the builds for other systems, and some
    // registries carry those for one system only. The locked versions hold; nothing is written.
    if (!run('npm', ['install', '--no-save', '--no-audit', '--no-fund', '--loglevel=error'])) {
      stop('The packages could not be installed; see above.');
    }
  }
  if (!isDriverReady()) {
    ensureCompiler();
    say('Compiling the SQLite driver for this Node; about two minutes.');
    if (!run('npm', ['rebuild', 'better-sqlite3', '--loglevel=error']) || !isDriverReady()) {
      stop('The SQLite driver could not be compiled; see above.');
    }
  }
}

/** Path of a Chromium for the browser tests, from Debian's packages where none is there. */
export function ensureChromium() {
  const candidates = [process.env.LEVITAR_CHROMIUM, '/usr/bin/chromium'].filter(Boolean);
  const found = () => candidates.find((file) => existsSync(file));
  if (!found()) installDebian(['chromium'], 'the browser tests');
  return found() ?? stop('No Chromium was found; set LEVITAR_CHROMIUM to its path.');
}

/** The PDF tools with which the browser tests read a printed card. */
export function ensurePdfTools() {
  if (!has('pdfinfo') || !has('pdftotext')) {
    installDebian(['poppler-utils'], 'reading printed pages in the tests');
  }
}

const sources = ['app', 'core', 'db', 'demo', 'design', 'features', 'server', 'workers'];
const singles = [
  'scripts/build.mjs',
  'scripts/reachable.mjs',
  'package-lock.json',
  'next.config.ts',
  'proxy.ts',
  'instrumentation.ts',
];

function newestChange(file) {
  // Tests are no part of what is built.
  if (!existsSync(file) || /\.test\.tsx?$/.test(file)) return 0;
  const stats = statSync(file);
  if (!stats.isDirectory()) return stats.mtimeMs;
  return Math.max(
    stats.mtimeMs,
    ...readdirSync(file).map((name) => newestChange(path.join(file, name))),
  );
}

/** Whether what was built last is newer than everything it is built from. */
export function isBuilt() {
  const stamp = path.join(root, '.next', 'floor-sw.js');
  const changed = Math.max(
    ...[...sources, ...singles].map((name) => newestChange(path.join(root, name))),
  );
  return existsSync(stamp) && statSync(stamp).mtimeMs > changed;
}

/** Builds the application when its sources are newer than the last build; returns success. */
export function ensureBuild() {
  if (isBuilt()) return true;
  say('Building the application; under a minute.');
  mkdirSync(path.join(root, '.next'), { recursive: true });
  return run(process.execPath, ['scripts/build.mjs']);
}

/** Makes the database and, when it is empty, the demo course. Returns success. */
export function seed(env = {}) {
  return run(bin('tsx'), ['scripts/seed.ts'], env);
}
