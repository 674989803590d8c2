/** Counts what the code is like, and writes docs/quality.md; what others measured is taken from docs/measured. */
import { execFileSync } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { sizesByFolder, sourceFiles, type SourceFile } from './quality/sourceSizes';
import { EQUIVALENTS } from './quality/equivalents';

const MOST_LINES = 300;
/** Copies shorter than this are no copies: a list of imports looks like another. */
const COPY = { tokens: 50, lines: 6 };

type Measured = { title: string; when: string; columns: string[]; rows: (string | number)[][]; words?: string };

const files = sourceFiles();
const code = files.filter(({ isTest }) => !isTest);

const table = (columns: readonly string[], rows: readonly (readonly (string | number)[])[]) =>
  [columns, columns.map((_, index) => (index === 0 ? '---' : '---:')), ...rows]
    .map(cells => `| ${cells.join(' | ')} |`)
    .join('\n');

function sizes(): string {
  const rows = sizesByFolder(files)
    .filter(({ folder }) => folder !== 'e2e')
    .map(({ folder, files: count, lines, medianLines, longest, testLines }) => [
      ...[folder, count, lines, medianLines, longest, testLines],
      (testLines / Math.max(1, lines)).toFixed(2),
    ]);
  const linesOf = (some: readonly SourceFile[]) => some.reduce((sum, { lines }) => sum + lines, 0);
  const tests = linesOf(files.filter(({ isTest }) => isTest));
  const share = (100 * tests) / linesOf(files);
  const long = code.filter(({ lines }) => lines > MOST_LINES).sort((a, b) => b.lines - a.lines);
  return [
    table(['folder', 'files', 'lines', 'median of a file', 'longest', 'lines of tests', 'tests a line'], rows),
    `Journeys in \`e2e\` have ${linesOf(files.filter(({ folder }) => folder === 'e2e'))} lines. Tests of all kinds are ${share.toFixed(0)} % of all lines.`,
    `Over ${MOST_LINES} lines: ${long.length === 0 ? 'none' : long.map(({ file, lines }) => `${file} (${lines})`).join(', ')}.`,
  ].join('\n\n');
}

function circles(): string {
  const args = ['node_modules/dependency-cruiser/bin/dependency-cruise.mjs', 'src'];
  const said = execFileSync(
    process.execPath,
    [...args, '--config', '.dependency-cruiser.cjs', '--output-type', 'json'],
    {
      maxBuffer: 2 ** 29,
    },
  );
  const { summary } = JSON.parse(said.toString()) as {
    summary: { error: number; totalCruised: number; totalDependenciesCruised: number };
  };
  return `${summary.error} in ${summary.totalCruised} modules with ${summary.totalDependenciesCruised} imports, of types too (dependency-cruiser, and \`npm test\` asks it).`;
}

function copies(): string {
  const folder = mkdtempSync(path.join(tmpdir(), 'roan-copies-'));
  const args = ['src', 'scripts', 'bench', '--min-tokens', String(COPY.tokens), '--min-lines', String(COPY.lines)];
  const ignored = '**/*.test.ts,**/*.test.tsx,**/migrations/**';
  execFileSync(process.execPath, [
    'node_modules/jscpd/bin/jscpd',
    ...args,
    '--reporters',
    'json',
    '--output',
    folder,
    '--silent',
    '--ignore',
    ignored,
  ]);
  const read = readFileSync(path.join(folder, 'jscpd-report.json'), 'utf8');
  rmSync(folder, { recursive: true, force: true });
  type Place = { name: string; start: number };
  const { duplicates } = JSON.parse(read) as { duplicates: { lines: number; firstFile: Place; secondFile: Place }[] };
  const places = duplicates.map(({ lines, firstFile, secondFile }) => [
    ...[`${firstFile.name}:${firstFile.start}`, `${secondFile.name}:${secondFile.start}`, lines],
  ]);
  const words = `${duplicates.length} pairs of places with ${COPY.tokens} tokens and ${COPY.lines} lines or more in common (jscpd; tests and migrations apart).`;
  return places.length === 0 ? words : `${words}\n\n${table(['one', 'the other', 'lines'], places)}`;
}

/** What another script measured, or how to have it measured. */
function measured(name: string, how: string): string {
  const file = `docs/measured/${name}.json`;
  if (!existsSync(file)) return `Not measured yet: ${how}.`;
  const { when, columns, rows, words } = JSON.parse(readFileSync(file, 'utf8')) as Measured;
  return [`Measured ${when} by ${how}.`, table(columns, rows), ...(words ? [words] : [])].join('\n\n');
}

/** What was not noticed, and why nobody could where that is so. */
function mutations(): string {
  return measured('mutations', '`npm run mutate`').replace(
    /^- `((\S+:\d+) .*)`$/gm,
    (line, whole: string, place: string) => {
      const why = EQUIVALENTS[whole] ?? EQUIVALENTS[place];
      return why === undefined ? line : `${line}: nobody could, ${why}`;
    },
  );
}

const parts = [
  ['Sizes', sizes()],
  ['Circles of imports', circles()],
  ['Copies', copies()],
  ['Mutations', mutations()],
  ['JavaScript by page, as sent', measured('scripts', '`npm run bench`')],
  ['On a slow phone', measured('slowPhone', '`npm run bench`')],
  ['What axe finds', measured('axe', 'the journeys of every screen')],
  ['Taps of the first hour', measured('firstHour', 'the journeys of the first hour')],
] as const;

const head = `# What the code is like

Written by \`npm run docs:quality\`; what takes long is measured by others, which leave their numbers in docs/measured.`;
writeFileSync('docs/quality.md', `${[head, ...parts.map(([title, text]) => `## ${title}\n\n${text}`)].join('\n\n')}\n`);
console.log('docs/quality.md is written.');
