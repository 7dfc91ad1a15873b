import { spawnSync } from 'node:child_process';
import { cpSync, mkdirSync, mkdtempSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';

const folder = mkdtempSync(path.join(os.tmpdir(), 'levitar-lint-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

/** Which rules a file breaks, by the settings of the project, were it to lie at this place. */
function brokenBy(place: string, text: string): readonly string[] {
  const file = path.join(folder, place);
  mkdirSync(path.dirname(file), { recursive: true });
  writeFileSync(file, text);
  const { stdout } = spawnSync(
    path.resolve('node_modules/.bin/oxlint'),
    ['-c', 'oxlint.config.js', '-f', 'json', place],
    { cwd: folder, encoding: 'utf8' },
  );
  const { diagnostics } = JSON.parse(stdout) as { diagnostics: { code: string }[] };
  return diagnostics.map(({ code }) => code).sort();
}

beforeAll(() => {
  cpSync('oxlint.config.js', path.join(folder, 'oxlint.config.js'));
  cpSync('tsconfig.json', path.join(folder, 'tsconfig.json'));
  mkdirSync(path.join(folder, 'scripts'));
  cpSync('scripts/lintRules.mjs', path.join(folder, 'scripts/lintRules.mjs'));
  symlinkSync(path.resolve('node_modules'), path.join(folder, 'node_modules'));
});

test('the core sees no clock, no chance and no other folder', () => {
  expect(
    brokenBy(
      'core/bad.ts',
      `import '@/db/open';
       export const now = [Date.now(), Math.random(), new Date()];
       export const later = new Date(0);
       export const found = process.pid;`,
    ).filter((code) => !code.startsWith('typescript(TS')),
  ).toEqual([
    'eslint(no-restricted-globals)',
    'eslint(no-restricted-imports)',
    'eslint(no-restricted-properties)',
    'eslint(no-restricted-properties)',
    'levitar(told-the-day)',
  ]);
});

test('an action is asked so that no answer is one too, and a screen asks the server', () => {
  expect(
    brokenBy(
      'features/bad.tsx',
      `import { sqlite } from '@/db/open';
       import type { Row } from '@/db/schema';
       declare const keepAction: () => Promise<Row>;
       export const kept = async () => [await keepAction(), sqlite];
       export const then = () => keepAction().then((row) => row);
       export const fine = () => [keepAction];`,
    ).filter((code) => !code.startsWith('typescript(TS')),
  ).toEqual(['eslint(no-restricted-imports)', 'levitar(answered)', 'levitar(answered)']);
});

test('every kind is answered, and no promise is dropped', () => {
  expect(
    brokenBy(
      'server/bad.ts',
      `export function say(kind: 'a' | 'b'): number {
         switch (kind) {
           case 'a':
             return 1;
         }
         return 0;
       }
       export const drop = (one: Promise<number>) => {
         one.finally(() => undefined);
       };`,
    ),
  ).toEqual(['typescript(no-floating-promises)', 'typescript(switch-exhaustiveness-check)']);
});

test('what is listed has keys: the tests of components draw without React’s own word on it', () => {
  expect(
    brokenBy(
      'features/list.tsx',
      `export const List = ({ all }: { readonly all: readonly string[] }) => (
         <ul>{all.map((one) => <li>{one}</li>)}</ul>
       );
       export const Fine = ({ all }: { readonly all: readonly string[] }) => (
         <ul>{all.map((one) => <li key={one}>{one}</li>)}</ul>
       );`,
    ).filter((code) => !code.startsWith('typescript(TS')),
  ).toEqual(['react(jsx-key)']);
});
