/** Unit tests beside the code they test; the compiler is the same as the application's. */
export default {
  testEnvironment: 'node',
  roots: ['<rootDir>'],
  testPathIgnorePatterns: ['/node_modules/', '/.next/', '/e2e/'],
  modulePathIgnorePatterns: ['<rootDir>/.next/'],
  testMatch: ['**/*.test.ts'],
  watchman: false,
  transform: {
    '^.+\\.(ts|tsx|js|mjs)$': [
      '@swc/jest',
      {
        jsc: { parser: { syntax: 'typescript', tsx: true }, target: 'es2023' },
        module: { type: 'commonjs' },
      },
    ],
  },
  moduleNameMapper: { '\\.css$': '<rootDir>/scripts/noStyles.js', '^@/(.*)$': '<rootDir>/$1' },
  // These ship as modules only.
  transformIgnorePatterns: ['/node_modules/(?!(d3-shape|d3-path)/)'],
};
