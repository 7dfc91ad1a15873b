import { mkdtempSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { testDay } from './scripts/testDay.mjs';

/** Unit tests beside the code they test; the compiler is the same as the application's. */
const shared = {
  roots: ['<rootDir>'],
  globalTeardown: '<rootDir>/scripts/testKept.mjs',
  testPathIgnorePatterns: ['/node_modules/', '/.next/', '/e2e/'],
  modulePathIgnorePatterns: ['<rootDir>/.next/'],
  transform: {
    '^.+\\.(ts|tsx|js|mjs)$': [
      '@swc/jest',
      {
        jsc: {
          parser: { syntax: 'typescript', tsx: true },
          transform: { react: { runtime: 'automatic' } },
          target: 'es2023',
        },
        module: { type: 'commonjs' },
      },
    ],
  },
  moduleNameMapper: {
    '\\.css$': '<rootDir>/scripts/noStyles.js',
    '^@/(.*)$': '<rootDir>/$1',
    // The other one notes for every element where it was made: a fifth of all the time of these
    // tests, for words that nobody reads. A missing key is the linter's.
    '^react/jsx-runtime$': '<rootDir>/node_modules/react/cjs/react-jsx-runtime.production.js',
  },
  // How far the random searches go: core/testing/depth.ts.
  globals: { LEVITAR_DEEP: process.env.LEVITAR_DEPTH === 'deep' },
  // These ship as modules only.
  transformIgnorePatterns: ['/node_modules/(?!(d3-shape|d3-path)/)'],
};

// The same day of the week whenever somebody runs the tests; what jest starts takes it over.
process.env.LEVITAR_DAY ??= testDay();
// Where what many tests begin from is made once: the demo course.
process.env.LEVITAR_TEST_KEPT ??= mkdtempSync(path.join(os.tmpdir(), 'levitar-kept-'));

export default {
  watchman: false,
  // Both processors of a small machine; the default leaves one to the screen.
  maxWorkers: 2,
  // What a worker has run it does not wholly let go of: a full one is replaced.
  workerIdleMemoryLimit: '800MB',
  projects: [
    {
      ...shared,
      displayName: 'computation',
      testEnvironment: 'node',
      testMatch: ['**/*.test.ts'],
      setupFilesAfterEnv: ['<rootDir>/scripts/testPatience.js'],
    },
    {
      ...shared,
      displayName: 'components',
      testEnvironment: 'jsdom',
      testMatch: ['**/*.test.tsx'],
      setupFilesAfterEnv: [
        '<rootDir>/scripts/testPatience.js',
        '<rootDir>/design/testing/setup.ts',
      ],
    },
  ],
};
