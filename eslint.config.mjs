import boundaries from 'eslint-plugin-boundaries';
import nextTypescript from 'eslint-config-next/typescript';
import nextVitals from 'eslint-config-next/core-web-vitals';

const layer = type => ({ type, pattern: `src/${type}` });

/** Which layer may import which: core ← files ← data ← app; components and workers see core and files. */
const ALLOWED = {
  core: ['core'],
  files: ['core', 'files'],
  data: ['core', 'files', 'data'],
  components: ['core', 'files', 'components'],
  workers: ['core', 'files', 'workers'],
  cli: ['core', 'files', 'cli'],
  app: ['core', 'files', 'data', 'components', 'workers', 'app'],
};

const config = [
  {
    ignores: [
      '.test-output/',
      '.next/',
      'node_modules/',
      'data/',
      'test-results/',
      'playwright-report/',
      'next-env.d.ts',
    ],
  },
  ...nextVitals,
  ...nextTypescript,
  {
    files: ['src/**/*.{ts,tsx}'],
    plugins: { boundaries },
    settings: {
      'import/resolver': { typescript: { project: './tsconfig.json' } },
      'boundaries/elements': Object.keys(ALLOWED).map(layer),
    },
    rules: {
      'boundaries/dependencies': [
        'error',
        {
          default: 'disallow',
          policies: Object.entries(ALLOWED).map(([from, targets]) => ({
            from: { element: { type: from } },
            allow: { to: { element: { types: { anyOf: targets } } } },
          })),
        },
      ],
    },
  },
  {
    // The core's one door is src/core/index.ts.
    files: ['src/{files,data,app,components,workers,cli}/**/*.{ts,tsx}', 'e2e/**', 'bench/**', 'scripts/**'],
    // The pages of docs/ that are made from the core's tests use the tests' own judges and cases.
    ignores: ['scripts/write*.ts', 'scripts/*Doc.test.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        { patterns: [{ group: ['@/core/*', '**/src/core/*', '**/../core/*'], message: 'Import from "@/core".' }] },
      ],
    },
  },
  {
    // The core imports only itself: no React, database, Zod, Node or any other package.
    files: ['src/core/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        { patterns: [{ regex: '^[^.]', message: 'The core imports only itself, by relative path.' }] },
      ],
      'no-restricted-globals': ['error', 'window', 'document', 'process', 'fetch', 'Date', 'crypto'],
      'no-restricted-properties': ['error', { object: 'Math', property: 'random', message: 'Pass randomness in.' }],
    },
  },
  {
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', ignoreRestSiblings: true }],
      '@typescript-eslint/no-explicit-any': 'error',
    },
  },
  { files: ['**/*.cjs'], rules: { '@typescript-eslint/no-require-imports': 'off' } },
];

export default config;
