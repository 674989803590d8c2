/**
 * npm test: types, formatting, lint with layers, unit tests, and the browser journeys that each change has to pass, against a production build.
 * npm run test:all: every journey, and every test of queries over a server too; it takes three times as long.
 */
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { ensureChromium } from './lib/chromium.mjs';
import { ensureBuilt, ensureInstalled } from './lib/prepare.mjs';
import { run } from './lib/run.mjs';

const OUTPUT = '.test-output';
const isAll = process.argv.includes('--all');
if (isAll) process.env.ROAN_TEST_ALL = '1';
const node = (...args) => run(process.execPath, args, { env: { NEXT_TELEMETRY_DISABLED: '1' } });

let passed = 0;
let failed = 0;

function count(name, ok, bad) {
  passed += ok;
  failed += bad;
  console.log(`${bad === 0 ? 'ok' : 'FAILED'}  ${name}: ${ok} passed, ${bad} failed`);
}

/** A check that either holds or does not. */
async function check(name, steps) {
  for (const step of steps) {
    const { code } = await node(...step);
    if (code !== 0) return count(name, 0, 1);
  }
  count(name, 1, 0);
}

await ensureInstalled();
process.env.ROAN_CHROMIUM = await ensureChromium();
rmSync(OUTPUT, { recursive: true, force: true });
mkdirSync(OUTPUT);

async function typesAndFormatting() {
  await check('types', [
    ['node_modules/next/dist/bin/next', 'typegen'],
    ['node_modules/typescript/bin/tsc', '--noEmit'],
  ]);
  await check('formatting', [['node_modules/prettier/bin/prettier.cjs', '--check', '.', '--log-level', 'warn']]);
}

// Each has one core, and takes about as long.
await Promise.all([
  typesAndFormatting(),
  check('lint and layers', [
    ['node_modules/eslint/bin/eslint.js', '.', '--max-warnings', '0'],
    ['node_modules/dependency-cruiser/bin/dependency-cruise.mjs', 'src', '--config', '.dependency-cruiser.cjs'],
  ]),
]);

// Some wait for a server or a kill: two cores carry three of them.
await node('node_modules/jest/bin/jest.js', '--ci', '--maxWorkers=3', '--json', `--outputFile=${OUTPUT}/jest.json`);
count('unit tests', ...jestCounts());

await ensureBuilt();
await node('node_modules/@playwright/test/cli.js', 'test');
count(isAll ? 'every journey' : 'journeys', ...playwrightCounts());
if (!isAll) console.log('        the others are asked by npm run test:all');
for (const title of flakyJourneys()) console.log(`        went through only when tried again: ${title}`);

console.log(`${passed} passed, ${failed} failed`);
process.exitCode = failed === 0 ? 0 : 1;

/** A report that is not there means that the runner itself failed. */
function report(file) {
  return existsSync(`${OUTPUT}/${file}`) ? JSON.parse(readFileSync(`${OUTPUT}/${file}`, 'utf8')) : null;
}

function jestCounts() {
  const jest = report('jest.json');
  if (!jest || jest.numTotalTests === 0) return [0, 1];
  return [jest.numPassedTests, jest.numFailedTests + jest.numRuntimeErrorTestSuites];
}

/** Journeys that failed once and then went through. */
function flakyJourneys() {
  const inSuite = ({ specs = [], suites = [] }) => [...specs, ...suites.flatMap(inSuite)];
  return (report('playwright.json')?.suites ?? [])
    .flatMap(inSuite)
    .filter(({ tests }) => tests.some(({ status }) => status === 'flaky'))
    .map(({ title }) => title);
}

function playwrightCounts() {
  const stats = report('playwright.json')?.stats;
  if (!stats || stats.expected + stats.unexpected + stats.flaky === 0) return [0, 1];
  return [stats.expected + stats.flaky, stats.unexpected];
}
