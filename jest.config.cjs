/**
 * Projects, so that `npm run test:core` needs neither a database nor a page; the tests of queries are run twice: over a file, and
 * over a libSQL server. What takes minutes there and is the same code is run over a server by `npm run test:all` alone.
 */
const LONG_OVER_A_SERVER = process.env.ROAN_TEST_ALL
  ? []
  : ['/kept/', 'indexes.test', 'officeSums.test', 'review.test'];
const transform = {
  '^.+\\.m?[tj]sx?$': ['@swc/jest', { jsc: { target: 'es2022', transform: { react: { runtime: 'automatic' } } } }],
};
const shared = {
  // Tests run in a context of their own, where every look at a global is slow: these are looked at in every reckoning.
  sandboxInjectedGlobals: ['Math', 'Number', 'Array', 'Object', 'Map', 'Set'],
  testEnvironment: 'node',
  setupFilesAfterEnv: ['<rootDir>/scripts/lib/patience.cjs'],
  transform,
  transformIgnorePatterns: [
    '/node_modules/(?!(d3|d3-[a-z-]+|internmap|delaunator|robust-predicates|@tanstack|iron-session|iron-webcrypto|uint8array-extras|cookie)/)',
  ],
  moduleNameMapper: {
    // A class is called as it is written.
    '\\.module\\.css$': 'identity-obj-proxy',
    '^@/(.*)$': '<rootDir>/src/$1',
    '^server-only$': '<rootDir>/scripts/lib/empty.cjs',
    '^fast-check$': '<rootDir>/scripts/lib/dice.cjs',
  },
  modulePathIgnorePatterns: ['<rootDir>/.next/'],
};
const IN_ONE_FILE = {
  '^@/core$': '<rootDir>/node_modules/.cache/roan/core.cjs',
  '^@mantine/core$': '<rootDir>/node_modules/.cache/roan/mantine.cjs',
};
const usesCore = {
  ...shared,
  globalSetup: '<rootDir>/scripts/lib/beforeTests.cjs',
  globalTeardown: '<rootDir>/scripts/lib/afterTests.cjs',
  moduleNameMapper: { ...IN_ONE_FILE, ...shared.moduleNameMapper },
};
module.exports = {
  projects: [
    { ...shared, displayName: 'core', testMatch: ['<rootDir>/src/core/**/*.test.ts'] },
    {
      ...usesCore,
      displayName: 'app',
      testMatch: ['<rootDir>/src/**/*.test.{ts,tsx}', '<rootDir>/scripts/**/*.test.ts'],
      setupFiles: ['<rootDir>/scripts/lib/jsdomSetup.cjs'],
      testPathIgnorePatterns: ['<rootDir>/src/core/'],
    },
    {
      ...usesCore,
      displayName: 'server',
      testMatch: ['<rootDir>/src/data/queries/**/*.test.ts'],
      testPathIgnorePatterns: LONG_OVER_A_SERVER,
      setupFiles: ['<rootDir>/scripts/lib/onServer.cjs'],
    },
  ],
};
