/** Writes the coverage tables of the stride test into docs/review.md, between their marks. */
import { readFileSync, writeFileSync } from 'node:fs';
import { bothEnds, coverage, wholeOnly, type Noted } from '../src/core/record/testLane';
import { M_PER_FT } from '../src/core/units/lengthUnits';

const FILE = 'docs/review.md';
const ROUNDS = 4000;
const STRIDES_M = [1.34, 1.6, 1.83, 2.1, 2.29, 2.6, 2.9, 3.2, 3.5, 3.72, 4];
const PASSES = [1, 2, 4, 8];
const LANES = [
  { words: '60 ft', laneM: 60 * M_PER_FT },
  { words: '20 m', laneM: 20 },
];

function table(title: string, laneM: number, spread: number, noted: Noted): string {
  const head = `| stride, m | ${PASSES.map(passes => `${passes} ${passes === 1 ? 'pass' : 'passes'}`).join(' | ')} |`;
  const rows = STRIDES_M.map(strideM => {
    const cells = PASSES.map(passes => {
      const held = coverage({ laneM, strideM, passes, spread }, noted, ROUNDS);
      return (100 * held).toFixed(1);
    });
    return `| ${strideM.toFixed(2)} | ${cells.join(' | ')} |`;
  });
  return [`**${title}**`, '', head, `| ---: |${' ---: |'.repeat(PASSES.length)}`, ...rows, ''].join('\n');
}

const tables = LANES.flatMap(({ words, laneM }) => [
  table(`${words}, whole strides, the same in every pass`, laneM, 0, wholeOnly),
  table(`${words}, whole strides that vary by 4 %`, laneM, 0.04, wholeOnly),
  table(`${words}, parts noted at both ends, strides that vary by 4 %`, laneM, 0.04, bothEnds),
]);
const text = readFileSync(FILE, 'utf8');
const [before, rest] = text.split('<!-- coverage -->\n');
const after = rest?.split('<!-- end of coverage -->')[1];
if (before === undefined || after === undefined) throw new Error(`${FILE} has no marks for the tables`);
writeFileSync(FILE, `${before}<!-- coverage -->\n\n${tables.join('\n')}\n<!-- end of coverage -->${after}`);
