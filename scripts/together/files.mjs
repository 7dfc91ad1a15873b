/**
 * Which files of unit tests run in one realm. Loading what a test needs and compiling it anew for
 * each file takes half of all the time; what shares a realm is loaded and compiled once.
 */
import { readFileSync, readdirSync } from 'node:fs';
import path from 'node:path';

/** Where tests stand beside what they test. */
const folders = ['core', 'db', 'demo', 'design', 'features', 'scripts', 'server'];

/** In the order in which they begin: what takes longest first. */
export const groups = ['server', 'components', 'core', 'composing', 'features', 'commands'];

/** @returns the modules that a file of tests puts others in the place of, by the names it calls them */
export const replacedIn = (text) =>
  [...text.matchAll(/^jest\.mock\(\s*'([^']+)'/gm)].map(([, name]) => name);

/**
 * What a file leaves behind in the page, or does with what is loaded while its tests run, is meant for
 * it alone; and what it replaces in some other way than at the beginning of a line.
 */
const isForItself = (text) =>
  /\bjest\.(?:doMock|resetModules)\b|^ \* @alone\b/m.test(text) ||
  [...text.matchAll(/\bjest\.mock\b/g)].length > replacedIn(text).length;

/** @returns the group that a file of tests belongs to, by its path from the root */
export function groupOf(file) {
  if (file.endsWith('.tsx')) return 'components';
  if (file.startsWith('core/compose/')) return 'composing';
  if (file.startsWith('core/commands/')) return 'commands';
  if (file.startsWith('core/')) return 'core';
  return file.startsWith('server/') ? 'server' : 'features';
}

/**
 * @param root the folder of the application
 * @returns by path from the root: those of each group, and those that have a realm of their own
 */
export function findTests(root) {
  const listed = folders.flatMap((folder) =>
    readdirSync(path.join(root, folder), { recursive: true, encoding: 'utf8' })
      .sort()
      .map((name) => path.posix.join(folder, name.split(path.sep).join('/'))),
  );
  const together = Object.fromEntries(groups.map((name) => [name, []]));
  const alone = [];
  for (const file of [...readdirSync(root), ...listed]) {
    if (!/\.test\.tsx?$/.test(file)) continue;
    const text = readFileSync(path.join(root, file), 'utf8');
    (isForItself(text) ? alone : together[groupOf(file)]).push(file);
  }
  return { together, alone };
}
