/** What the linter looks for. It knows the types as well: every kind is answered, no promise is dropped. */

const outside = ['app', 'features', 'design', 'server', 'db', 'demo', 'workers'];

/** Folders point one way: app -> features -> design, server -> db -> core. */
const layer = (folder, forbidden) =>
  forbidden.map((name) => ({
    group: [`@/${name}/**`, `@/${name}`, `../${name}/**`, `../../${name}/**`],
    message: `${folder} does not depend on ${name}.`,
  }));

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

/** What runs in the browser sees the server through actions and through types alone. */
const noServer = {
  group: ['@/db/**', 'better-sqlite3', 'drizzle-orm'],
  allowTypeImports: true,
  message: 'A screen asks the server.',
};

const noDriver = [
  { name: 'better-sqlite3', message: 'Only db knows the driver.' },
  { name: 'drizzle-orm', message: 'Only db writes queries.' },
];

/** Pages are gone to by one kind of link, which fetches what somebody is about to open. */
const noOtherLink = {
  group: ['next/link'],
  importNames: ['default'],
  message: 'Links are design/Link.',
};

const tests = ['**/*.test.ts', '**/*.test.tsx', '**/testing/**'];

/** What some files may not reach for. Of those that speak of a file, the last one counts. */
const reach = (files, excludeFiles, patterns, paths = []) => ({
  files,
  excludeFiles,
  rules: { 'eslint/no-restricted-imports': ['error', { patterns, paths }] },
});

const features = [
  ...layer('features', ['app', 'demo']),
  noForeignStyles,
  noDaysOfOnesOwn,
  noOtherLink,
];

export default {
  plugins: ['eslint', 'typescript', 'import', 'react', 'nextjs'],
  // Each rule is named here: what is looked for does not change with the linter.
  categories: { correctness: 'off' },
  jsPlugins: ['./scripts/lintRules.mjs'],
  ignorePatterns: ['node_modules', '.next', 'next-env.d.ts', 'test-results', 'db/migrations'],
  // With whatever the compiler says: of the core by its own settings, which know no browser.
  options: { typeAware: true, typeCheck: true, reportUnusedDisableDirectives: 'error' },
  rules: {
    ...Object.fromEntries(
      [
        'eslint/eqeqeq',
        'eslint/no-array-constructor',
        'eslint/no-empty-function',
        'eslint/no-unused-expressions',
        'eslint/no-var',
        'eslint/prefer-const',
        'eslint/prefer-rest-params',
        'eslint/prefer-spread',
        'import/no-cycle',
        'nextjs/google-font-display',
        'nextjs/google-font-preconnect',
        'nextjs/inline-script-id',
        'nextjs/next-script-for-ga',
        'nextjs/no-assign-module-variable',
        'nextjs/no-async-client-component',
        'nextjs/no-before-interactive-script-outside-document',
        'nextjs/no-css-tags',
        'nextjs/no-document-import-in-page',
        'nextjs/no-duplicate-head',
        'nextjs/no-head-element',
        'nextjs/no-head-import-in-document',
        'nextjs/no-html-link-for-pages',
        'nextjs/no-img-element',
        'nextjs/no-page-custom-font',
        'nextjs/no-script-component-in-head',
        'nextjs/no-styled-jsx-in-document',
        'nextjs/no-sync-scripts',
        'nextjs/no-title-in-document-head',
        'nextjs/no-typos',
        'nextjs/no-unwanted-polyfillio',
        'react/error-boundaries',
        'react/exhaustive-deps',
        'react/globals',
        'react/immutability',
        'react/incompatible-library',
        'react/jsx-key',
        'react/preserve-manual-memoization',
        'react/purity',
        'react/refs',
        'react/rules-of-hooks',
        'react/set-state-in-effect',
        'react/set-state-in-render',
        'react/static-components',
        'react/unsupported-syntax',
        'react/use-memo',
        'typescript/adjacent-overload-signatures',
        'typescript/array-type',
        'typescript/ban-ts-comment',
        'typescript/ban-tslint-comment',
        'typescript/class-literal-property-style',
        'typescript/consistent-generic-constructors',
        'typescript/consistent-indexed-object-style',
        'typescript/consistent-type-assertions',
        'typescript/consistent-type-definitions',
        'typescript/consistent-type-imports',
        'typescript/no-confusing-non-null-assertion',
        'typescript/no-duplicate-enum-values',
        'typescript/no-empty-object-type',
        'typescript/no-explicit-any',
        'typescript/no-extra-non-null-assertion',
        'typescript/no-inferrable-types',
        'typescript/no-misused-new',
        'typescript/no-namespace',
        'typescript/no-non-null-asserted-optional-chain',
        'typescript/no-require-imports',
        'typescript/no-this-alias',
        'typescript/no-unnecessary-type-constraint',
        'typescript/no-unsafe-declaration-merging',
        'typescript/no-unsafe-function-type',
        'typescript/no-wrapper-object-types',
        'typescript/prefer-as-const',
        'typescript/prefer-for-of',
        'typescript/prefer-function-type',
        'typescript/prefer-namespace-keyword',
        'typescript/triple-slash-reference',
      ].map((rule) => [rule, 'error']),
    ),
    'eslint/no-console': ['error', { allow: ['error'] }],
    'eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
  },
  overrides: [
    {
      files: ['**/*.ts', '**/*.tsx'],
      rules: {
        'typescript/no-floating-promises': 'error',
        'typescript/switch-exhaustiveness-check': [
          'error',
          { considerDefaultExhaustiveForUnions: false, allowDefaultCaseForExhaustiveSwitch: true },
        ],
      },
    },
    { files: ['scripts/**', 'e2e/**'], rules: { 'eslint/no-console': 'off' } },
    {
      // Computation alone: no packages that reach for a screen, a disk, a network or a clock.
      files: ['core/**/*.ts'],
      excludeFiles: ['**/*.test.ts'],
      rules: {
        'eslint/no-restricted-globals': [
          'error',
          ...['fetch', 'process', 'window', 'document', 'performance'],
        ],
        'eslint/no-restricted-properties': [
          'error',
          { object: 'Date', property: 'now', message: 'The core is told the day.' },
          { object: 'Math', property: 'random', message: 'Randomness is an argument.' },
        ],
        'levitar/told-the-day': 'error',
      },
    },
    {
      // A connection that ends must not take the screen's place, and what was typed with it.
      files: ['app/**/*.tsx', 'features/**/*.ts', 'features/**/*.tsx', 'design/**/*.tsx'],
      excludeFiles: ['**/*.test.ts', '**/*.test.tsx'],
      rules: { 'levitar/answered': 'error' },
    },
    // Tests look into the file itself: what is deleted must be gone there.
    reach(['{app,features,design,server,demo}/**/*.{ts,tsx}'], ['**/*.test.ts'], [], noDriver),
    reach(['app/**/*.tsx'], ['**/*.test.tsx'], [noOtherLink], noDriver),
    reach(['core/**/*.{ts,tsx}'], tests, layer('core', outside)),
    reach(
      ['db/**/*.{ts,tsx}'],
      tests,
      layer('db', ['app', 'features', 'design', 'server', 'demo', 'workers']),
    ),
    reach(
      ['server/**/*.{ts,tsx}'],
      tests,
      layer('server', ['app', 'features', 'design', 'demo']),
      noDriver,
    ),
    reach(
      ['demo/**/*.{ts,tsx}'],
      tests,
      layer('demo', ['app', 'features', 'design', 'server']),
      noDriver,
    ),
    reach(['features/**/*.ts'], tests, features, noDriver),
    reach(['features/**/*.tsx', 'features/**/use*.ts'], tests, [...features, noServer]),
    reach(['design/**/*.{ts,tsx}'], tests, [
      ...layer('design', ['app', 'features', 'db', 'demo']),
      noServer,
    ]),
    // Where a studio begins, the made-up one may be brought in.
    reach(['features/beginning/**/*.ts'], tests, [], noDriver),
    reach(['features/beginning/**/*.tsx', 'features/beginning/**/use*.ts'], tests, [noServer]),
  ],
};
