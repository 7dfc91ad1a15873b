/**
 * Which files of unit tests run in one realm. Loading what a test needs and compiling it anew for
 * each file takes half of all the time; what shares a realm is loaded and compiled once.
 */
import { readFileSync, readdirSync } from 'node:fs';
import path from 'node:path';

/** Where tests stand beside what they test. */
const folders = ['core', 'db', 'demo', 'design', 'features', 'scripts', 'server'];

/** In the order in which they begin: what takes longest first. */
export const groups = ['composing', 'server', 'core', 'features', 'components'];

/** What a file puts in the place of other modules, or leaves behind in the page, is meant for it alone. */
const isForItself = (text) => /\bjest\.(?:mock|doMock|resetModules)\b|^ \* @alone\b/m.test(text);

/** @returns the group that a file of tests belongs to, by its path from the root */
export function groupOf(file) {
  if (file.endsWith('.tsx')) return 'components';
  if (/^core\/(?:compose|commands)\//.test(file)) return 'composing';
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
