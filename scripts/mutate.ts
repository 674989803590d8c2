/**
 * npm run mutate: changes the code at places that chance chose, one at a time, and asks the tests about it whether they notice
 * (StrykerJS). `MUTATE_SEED` for other places, `MUTATE_PLACES` for more of them, `MUTATE_FOLDERS` for some folders only (tests of
 * src/data make a store each, and take most of the time): what was measured of the others stays. Writes docs/measured/mutations.json.
 */
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { seededRandom } from '@/core';
import { keepMeasured } from '../bench/measured';
import { sourceFiles, type SourceFile } from './quality/sourceSizes';

const SEED = Number(process.env.MUTATE_SEED ?? 1);
/** How many places of each folder: the core is the largest. */
const PLACES = { 'src/core': 40, 'src/files': 10, 'src/data': 10 } as const;
const FACTOR = Number(process.env.MUTATE_PLACES ?? 1);
const FOLDERS = process.env.MUTATE_FOLDERS?.split(',') ?? Object.keys(PLACES);
const LINES = 8;
const WORKS = '.test-output/mutate';

type Place = { file: string; from: number; to: number };

/** Files with tests beside them or in their folder: others are tested through whoever uses them, and not by this. */
function isTestedHere({ file, isTest }: SourceFile): boolean {
  const beside = readdirSync(path.dirname(file)).some(name => /\.test\.tsx?$/.test(name));
  return !isTest && beside && !/index\.ts$|\/demo\/|\/schema\/|migrations/.test(file);
}

/** Places by chance, each as likely as it is long. */
function places(): Place[] {
  const random = seededRandom(SEED);
  const files = sourceFiles().filter(isTestedHere);
  const wanted = Object.entries(PLACES).filter(([folder]) => FOLDERS.includes(folder));
  return wanted.flatMap(([folder, count]) => {
    const own = files.filter(one => one.folder === folder);
    const total = own.reduce((sum, { lines }) => sum + lines, 0);
    return Array.from({ length: Math.round(count * FACTOR) }, (): Place => {
      let at = random() * total;
      const found = own.find(({ lines }) => (at -= lines) < 0) ?? own[own.length - 1]!;
      const from = 1 + Math.floor(random() * Math.max(1, found.lines - LINES));
      return { file: found.file, from, to: Math.min(found.lines, from + LINES - 1) };
    });
  });
}

/** What was measured before, of folders that are not asked now. */
function ofOtherFolders(): { rows: (string | number)[][]; survivors: string[] } {
  const file = 'docs/measured/mutations.json';
  if (!existsSync(file)) return { rows: [], survivors: [] };
  const before = JSON.parse(readFileSync(file, 'utf8')) as { rows: (string | number)[][]; words: string };
  const isOther = (text: string) => !FOLDERS.some(folder => text.startsWith(folder));
  const survivors = [...before.words.matchAll(/^- `(.+)`$/gm)].map(([, one]) => one!);
  return { rows: before.rows.filter(([folder]) => isOther(String(folder))), survivors: survivors.filter(isOther) };
}

async function mutate(): Promise<void> {
  const chosen = places();
  const folders = [...new Set(chosen.map(({ file }) => path.dirname(file)))];
  mkdirSync(WORKS, { recursive: true });
  // What the core says is asked of all of the core's tests, since its folders are tested through each other; else the tests of the
  // folders that are changed are asked, over files only: a server for each would take hours.
  const asked = folders.map(folder => `<rootDir>/${folder}/*.test.{ts,tsx}`);
  const ofCore = FOLDERS.includes('src/core') ? ['<rootDir>/src/core/**/*.test.ts'] : [];
  writeFileSync(
    `${WORKS}/jest.config.cjs`,
    `const { projects } = require('../../jest.config.cjs');
const [core, app] = projects;
module.exports = { ...app, rootDir: '../..', testPathIgnorePatterns: ['/kept/', 'indexes.test', 'upgradeRecords'], testMatch: ${JSON.stringify([...ofCore, ...asked])} };
`,
  );

  // A package of modules alone.
  const { Stryker } = await import('@stryker-mutator/core');
  const results = await new Stryker({
    mutate: chosen.map(({ file, from, to }) => `${file}:${from}-${to}`),
    testRunner: 'jest',
    plugins: ['@stryker-mutator/jest-runner'],
    jest: { projectType: 'custom', configFile: `${WORKS}/jest.config.cjs`, enableFindRelatedTests: true },
    coverageAnalysis: 'perTest',
    concurrency: 2,
    ignoreStatic: true,
    timeoutMS: 20_000,
    tempDirName: '.test-output/stryker',
    ignorePatterns: ['/.next', '/e2e', '/docs/screenshots', '/data', '/public', '/test-results'],
    reporters: ['progress'],
    mutator: { excludedMutations: ['StringLiteral', 'BlockStatement'] },
    warnings: { slow: false, unknownOptions: true, preprocessorErrors: true, unserializableOptions: true },
  }).runMutationTest();

  const lineOf = ({ fileName, location, mutatorName, replacement }: (typeof results)[number]) =>
    `${path.relative(process.cwd(), fileName)}:${location.start.line} ${mutatorName} → ${(replacement ?? '').replace(/\s+/g, ' ').slice(0, 60)}`;
  const rows: (string | number)[][] = FOLDERS.map(folder => {
    const own = results.filter(({ fileName }) => path.relative(process.cwd(), fileName).startsWith(folder));
    const killed = own.filter(({ status }) => status === 'Killed' || status === 'Timeout').length;
    const survived = own.filter(({ status }) => status === 'Survived' || status === 'NoCoverage').length;
    return [
      folder,
      killed + survived,
      killed,
      survived,
      `${Math.round((100 * killed) / Math.max(1, killed + survived))} %`,
    ];
  });
  const survivors = results
    .filter(({ status }) => status === 'Survived' || status === 'NoCoverage')
    .map(lineOf)
    .sort();
  const kept = ofOtherFolders();
  const allRows = Object.keys(PLACES).flatMap(folder => [...rows, ...kept.rows].filter(([name]) => name === folder));
  const list = [...survivors, ...kept.survivors].sort().map(one => `- \`${one}\``);
  const words = `Places of ${LINES} lines, by chance. Words are not changed. Not noticed by any test of the core, or of their own folder elsewhere:\n\n${list.join('\n')}`;
  keepMeasured('mutations', ['folder', 'changes', 'noticed', 'not noticed', 'share'], allRows, words);
  console.table(rows);
  console.log(survivors.join('\n'));
  rmSync(WORKS, { recursive: true, force: true });
}

void mutate();
