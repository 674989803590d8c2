/**
 * npm run mutate: changes the code at places that chance chose, one at a time, and asks the tests about it whether they notice
 * (StrykerJS). `MUTATE_SEED` for other places, `MUTATE_PLACES` for more of them, `MUTATE_FOLDERS` for some folders only (tests of
 * src/data make a store each, and take most of the time): what was measured of the others stays. `MUTATE_AGAIN=1` asks only what was
 * not noticed the last time, after tests were written for it. Writes docs/measured/mutations.json.
 */
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { seededRandom } from '@/core';
import { keepMeasured } from '../bench/measured';
import { sourceFiles, type SourceFile } from './quality/sourceSizes';
import { changeWords, isAsked, isNoticed } from './quality/tellSurvivors.mjs';

const SEED = Number(process.env.MUTATE_SEED ?? 1);
/** How many places of each folder: the core is the largest, and takes half an hour. */
const PLACES = { 'src/core': 28, 'src/files': 20, 'src/data': 20 } as const;
const FACTOR = Number(process.env.MUTATE_PLACES ?? 1);
const FOLDERS = process.env.MUTATE_FOLDERS?.split(',') ?? Object.keys(PLACES);
const IS_AGAIN = process.env.MUTATE_AGAIN === '1';
const LINES = 8;
const MEASURED = 'docs/measured/mutations.json';
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

type Row = (string | number)[];
type Measured = { rows: Row[]; survivors: string[] };

/** What was measured before. */
function measuredBefore(): Measured {
  if (!existsSync(MEASURED)) return { rows: [], survivors: [] };
  const { rows, words } = JSON.parse(readFileSync(MEASURED, 'utf8')) as { rows: Row[]; words: string };
  return { rows, survivors: [...words.matchAll(/^- `(.+)`$/gm)].map(([, one]) => one!) };
}

/** The lines of what was not noticed before. */
function linesAgain({ survivors }: Measured): Place[] {
  const lines = new Set(survivors.flatMap(one => /^\S+:\d+(?= )/.exec(one)?.[0] ?? []));
  return [...lines]
    .map(one => ({ file: one.split(':')[0]!, from: Number(one.split(':')[1]), to: Number(one.split(':')[1]) }))
    .filter(({ file }) => FOLDERS.some(folder => file.startsWith(folder)));
}

const rowOf = (folder: string, changes: number, missed: number): Row => [
  ...[folder, changes, changes - missed, missed],
  `${Math.round((100 * (changes - missed)) / Math.max(1, changes))} %`,
];

/**
 * What stays of what was measured before, with what is known now: of a folder that was asked anew the new, of one that was asked again
 * what was not noticed this time either, of the others all.
 */
function together(before: Measured, now: { asked: string[]; survivors: string[] }): Measured {
  const isHere = (folder: string) => (one: string) => one.startsWith(`${folder}/`);
  const found = Object.keys(PLACES).map((folder): Measured => {
    const earlier = before.rows.find(([name]) => name === folder);
    const known = before.survivors.filter(isHere(folder));
    if (!FOLDERS.includes(folder)) return { rows: earlier ? [earlier] : [], survivors: known };
    const own = now.survivors.filter(isHere(folder));
    if (!IS_AGAIN)
      return { rows: [rowOf(folder, now.asked.filter(isHere(folder)).length, own.length)], survivors: own };
    // Two changes of a line may be told in the same words: as many of them stay as were not noticed now.
    const still = own.filter(one => known.includes(one));
    return { rows: earlier ? [rowOf(folder, Number(earlier[1]), still.length)] : [], survivors: still };
  });
  return { rows: found.flatMap(one => one.rows), survivors: found.flatMap(one => one.survivors).sort() };
}

async function mutate(): Promise<void> {
  const before = measuredBefore();
  const chosen = IS_AGAIN ? linesAgain(before) : places();
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
    plugins: ['@stryker-mutator/jest-runner', path.resolve('scripts/quality/tellSurvivors.mjs')],
    jest: { projectType: 'custom', configFile: `${WORKS}/jest.config.cjs`, enableFindRelatedTests: true },
    coverageAnalysis: 'perTest',
    concurrency: 2,
    ignoreStatic: true,
    timeoutMS: 20_000,
    tempDirName: '.test-output/stryker',
    ignorePatterns: ['/.next', '/e2e', '/docs/screenshots', '/data', '/public', '/test-results'],
    reporters: ['survivors'],
    mutator: { excludedMutations: ['StringLiteral', 'BlockStatement'] },
    warnings: { slow: false, unknownOptions: true, preprocessorErrors: true, unserializableOptions: true },
  }).runMutationTest();

  const told = results.filter(isAsked);
  const missed = told.filter(result => !isNoticed(result));
  const { rows, survivors } = together(before, { asked: told.map(changeWords), survivors: missed.map(changeWords) });
  const list = survivors.map(one => `- \`${one}\``);
  const words = `Places of ${LINES} lines, by chance. Words are not changed. Not noticed by any test of the core that knows the file, or of their own folder elsewhere:\n\n${list.join('\n')}`;
  keepMeasured('mutations', ['folder', 'changes', 'noticed', 'not noticed', 'share'], rows, words);
  console.table(rows);
  console.log(survivors.join('\n'));
  rmSync(WORKS, { recursive: true, force: true });
}

void mutate();
