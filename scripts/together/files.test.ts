import { mkdirSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { findTests, groupOf, groups, replacedIn } from './files.mjs';

const passedBy = ['node_modules', '.next', 'e2e', 'test-results'];

/** Every file of tests that there is, wherever it stands. */
const listed = readdirSync('.', { withFileTypes: true })
  .filter(({ name }) => !passedBy.includes(name))
  .flatMap((entry) =>
    entry.isDirectory()
      ? readdirSync(entry.name, { recursive: true, encoding: 'utf8' }).map((name) =>
          path.posix.join(entry.name, name),
        )
      : [entry.name],
  )
  .filter((name) => /\.test\.tsx?$/.test(name));

describe('the files of tests', () => {
  it('run each of them once, in a group or for themselves', () => {
    const { together, alone } = findTests('.');
    const found = [...Object.values(together).flat(), ...alone];
    expect(found.sort()).toEqual(listed.sort());
    for (const group of groups) expect(together[group].length).toBeGreaterThan(2);
  });

  it('have files of a group each that runs them', () => {
    const files = readdirSync('scripts/together/groups').map((name) => path.basename(name, '.ts'));
    expect(files.sort()).toEqual([...groups].sort());
  });

  it('keep to themselves where they say so, or let modules be loaded anew', () => {
    const root = mkdtempSync(path.join(os.tmpdir(), 'levitar-tests-'));
    try {
      for (const folder of ['core', 'db', 'demo', 'design', 'features', 'scripts', 'server']) {
        mkdirSync(path.join(root, folder));
      }
      const write = (name: string, text: string) => writeFileSync(path.join(root, name), text);
      write('core/a.test.ts', `it('does nothing', () => undefined);`);
      write('core/b.test.ts', `it('loads', () => jest.resetModules());`);
      write('core/c.test.ts', `jest.mock('./a', () => ({}));`);
      write(
        'design/c.test.tsx',
        `/**\n * Of the page.\n *\n * @alone it listens to all of it\n */`,
      );
      write('core/d.test.ts', `if (isRare) jest.mock('./a');`);
      write('design/d.test.tsx', `const words = 'stands @alone';`);
      write('design/e.ts', `jest.mock('./a');`);
      const { together, alone } = findTests(root);
      expect(together.core).toEqual(['core/a.test.ts', 'core/c.test.ts']);
      expect(together.components).toEqual(['design/d.test.tsx']);
      expect(alone).toEqual(['core/b.test.ts', 'core/d.test.ts', 'design/c.test.tsx']);
    } finally {
      rmSync(root, { recursive: true, force: true });
    }
  });

  it('say what they put something in the place of', () => {
    const text = `
jest.mock('./a', () => ({}));
jest.mock(
  '@/b',
  () => ({}),
);
const words = "jest.mock('./c')";`;
    expect(replacedIn(text)).toEqual(['./a', '@/b']);
  });

  it('stand with what they share most of', () => {
    expect(groupOf('core/compose/replan.test.ts')).toBe('composing');
    expect(groupOf('core/commands/compose.test.ts')).toBe('commands');
    expect(groupOf('core/room/room.test.ts')).toBe('core');
    expect(groupOf('server/running/liar.test.ts')).toBe('server');
    expect(groupOf('db/db.test.ts')).toBe('features');
    expect(groupOf('design/Picker.test.tsx')).toBe('components');
  });
});
