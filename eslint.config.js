import nextPlugin from '@next/eslint-plugin-next';
import reactHooks from 'eslint-plugin-react-hooks';
import { createTypeScriptImportResolver } from 'eslint-import-resolver-typescript';
import importX from 'eslint-plugin-import-x';
import tseslint from 'typescript-eslint';

/**
 * Folders point one way: app -> features -> design, server -> db -> core. What the files of a
 * folder may not reach for.
 */
const layer = (folder, forbidden, more = []) => ({
  files: [`${folder}/**/*.{ts,tsx}`],
  ignores: ['**/*.test.{ts,tsx}', '**/testing/**'],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          ...forbidden.map((name) => ({
            group: [`@/${name}/**`, `@/${name}`, `../${name}/**`, `../../${name}/**`],
            message: `${folder} does not depend on ${name}.`,
          })),
          ...more,
        ],
      },
    ],
  },
});

const outside = ['app', 'features', 'design', 'server', 'db', 'demo', 'workers'];

/** How a screen looks is its own; what several share lies in design. */
const noForeignStyles = {
  group: ['@/features/**/*.css', '../../**/*.css'],
  message: 'One feature does not wear the styles of another: move them to design.',
};

/** Days look alike everywhere: they are written in one place. */
const noDaysOfOnesOwn = {
  group: ['date-fns'],
  importNames: ['format'],
  message: 'Days and moments are written by design/days.',
};

/** What runs in the browser: it sees the server through actions and through types alone. */
const inBrowser = {
  files: ['features/**/*.tsx', 'features/**/use*.ts', 'design/**/*.{ts,tsx}'],
  ignores: ['**/*.test.{ts,tsx}', '**/testing/**'],
  rules: {
    '@typescript-eslint/no-restricted-imports': [
      'error',
      {
        patterns: [
          {
            group: ['@/db/**', 'better-sqlite3', 'drizzle-orm'],
            allowTypeImports: true,
            message: 'A screen asks the server.',
          },
        ],
      },
    ],
  },
};

export default tseslint.config(
  { ignores: ['node_modules', '.next', 'next-env.d.ts', 'test-results', 'db/migrations'] },
  ...tseslint.configs.recommended,
  ...tseslint.configs.stylistic,
  {
    plugins: { 'react-hooks': reactHooks, '@next/next': nextPlugin },
    rules: {
      ...reactHooks.configs.recommended.rules,
      ...nextPlugin.configs.recommended.rules,
      ...nextPlugin.configs['core-web-vitals'].rules,
      eqeqeq: 'error',
      'no-console': ['error', { allow: ['error'] }],
      '@typescript-eslint/no-unused-vars': [
        'error',
        { argsIgnorePattern: '^_', varsIgnorePattern: '^_' },
      ],
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/consistent-type-imports': 'error',
    },
  },
  {
    // What the types know: every kind is answered, no promise is dropped, no circle of imports.
    files: ['**/*.ts', '**/*.tsx'],
    languageOptions: {
      parserOptions: { project: './tsconfig.json', tsconfigRootDir: import.meta.dirname },
    },
    plugins: { 'import-x': importX },
    settings: { 'import-x/resolver-next': [createTypeScriptImportResolver()] },
    rules: {
      '@typescript-eslint/switch-exhaustiveness-check': [
        'error',
        { considerDefaultExhaustiveForUnions: false, allowDefaultCaseForExhaustiveSwitch: true },
      ],
      '@typescript-eslint/no-floating-promises': 'error',
      'import-x/no-cycle': ['error', { ignoreExternal: true }],
    },
  },
  { files: ['scripts/**', 'e2e/**'], rules: { 'no-console': 'off' } },
  layer('core', outside),
  {
    // Computation alone: no packages that reach for a screen, a disk, a network or a clock.
    files: ['core/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-globals': ['error', 'fetch', 'process', 'window', 'document', 'performance'],
      'no-restricted-syntax': [
        'error',
        {
          selector: "MemberExpression[object.name='Date'][property.name='now']",
          message: 'The core is told the day.',
        },
        {
          selector: "NewExpression[callee.name='Date'][arguments.length=0]",
          message: 'The core is told the day.',
        },
        {
          selector: "MemberExpression[object.name='Math'][property.name='random']",
          message: 'Randomness is an argument.',
        },
      ],
    },
  },
  layer('db', ['app', 'features', 'design', 'server', 'demo', 'workers']),
  layer('server', ['app', 'features', 'design', 'demo']),
  layer('features', ['app', 'demo'], [noForeignStyles, noDaysOfOnesOwn]),
  layer('design', ['app', 'features', 'db', 'demo']),
  {
    // A connection that ends must not take the screen's place, and what was typed with it.
    files: ['app/**/*.tsx', 'features/**/*.ts', 'features/**/*.tsx', 'design/**/*.tsx'],
    ignores: ['**/*.test.ts', '**/*.test.tsx'],
    rules: {
      'no-restricted-syntax': [
        'error',
        ...[
          'AwaitExpression > CallExpression[callee.name=/(^a|A)ction$/]',
          'MemberExpression[property.name=/^(then|catch|finally)$/] > CallExpression[callee.name=/(^a|A)ction$/]',
        ].map((selector) => ({ selector, message: 'Ask by `answered`: no answer is one too.' })),
      ],
    },
  },
  {
    // Where a studio begins, the made-up one may be brought in.
    files: ['features/beginning/**'],
    rules: { 'no-restricted-imports': 'off' },
  },
  layer('demo', ['app', 'features', 'design', 'server']),
  {
    files: ['{app,features,design,server,demo}/**/*.{ts,tsx}'],
    // Tests look into the file itself: what is deleted must be gone there.
    ignores: ['**/*.test.ts'],
    rules: {
      '@typescript-eslint/no-restricted-imports': [
        'error',
        {
          paths: [
            { name: 'better-sqlite3', message: 'Only db knows the driver.' },
            { name: 'drizzle-orm', message: 'Only db writes queries.' },
          ],
        },
      ],
    },
  },
  inBrowser,
);
