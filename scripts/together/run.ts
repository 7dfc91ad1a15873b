import { readFileSync } from 'node:fs';
import path from 'node:path';
import { replacedIn, type Group } from './files.mjs';

/** What is never replaced and takes longest to load: the page's library a third of a second. */
const packages = {
  page: [
    'react',
    'react-dom',
    'react-dom/client',
    'react/jsx-runtime',
    'next/dynamic',
    '@mantine/core',
    '@mantine/form',
    '@mantine/hooks',
    '@mantine/notifications',
    '@tabler/icons-react',
    '@testing-library/react',
    '@testing-library/user-event',
  ],
  data: [
    'better-sqlite3',
    'drizzle-orm',
    'drizzle-orm/better-sqlite3',
    'drizzle-orm/better-sqlite3/migrator',
    'drizzle-orm/sqlite-core',
    'zod',
  ],
} as const;

/** The name by which this file knows what another one calls `name`. */
const nameHere = (name: string, file: string) =>
  name.startsWith('.') ? path.resolve(path.dirname(file), name) : name;

/**
 * A file that puts something in the place of other modules has those of the application to itself, as
 * what it replaces is meant for it alone; it shares the packages.
 */
function runApart(file: string, shared: readonly string[], replaced: readonly string[]): void {
  for (const name of shared) {
    const held = jest.requireActual<object>(name);
    jest.doMock(name, () => held);
  }
  jest.isolateModules(() => {
    jest.requireActual(path.resolve(file));
  });
  for (const name of [...shared, ...replaced]) jest.dontMock(nameHere(name, file));
}

/**
 * Runs the files of a group in this realm, each as a part that bears its name. They are handed in by
 * jest.together.config.js, which looks for them once.
 */
export function runTogether(group: Group): void {
  const { LEVITAR_TOGETHER } = globalThis as unknown as {
    readonly LEVITAR_TOGETHER: Readonly<Record<Group, readonly string[]>>;
  };
  const shared = group === 'components' ? [...packages.page, ...packages.data] : packages.data;
  for (const file of LEVITAR_TOGETHER[group]) {
    describe(file, () => {
      const replaced = replacedIn(readFileSync(file, 'utf8'));
      if (replaced.length > 0) runApart(file, shared, replaced);
      else jest.requireActual(path.resolve(file));
    });
  }
}
