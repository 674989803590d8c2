/** Writes docs/cautions.md: every code with the smallest layout that raises it, and its nearest neighbour, from the tests. */
import { mkdirSync, rmSync, writeFileSync } from 'node:fs';
import { layoutCautions } from '../src/core/cautions/layoutCautions';
import { CAUTION_CASES } from '../src/core/cautions/testCases';
import type { Layout } from '../src/core/layout/layout';
import { reckonLayout } from '../src/core/layout/reckonLayout';
import { layoutSvg } from '../src/files/layoutSvg';

const FOLDER = 'docs/cautions';
const LEVELS = { stop: 'Stop', warn: 'Take care', note: 'Note' } as const;
const APART = 4;

/** Two drawings side by side: what raises the caution, and what does not. */
function pair(raises: Layout, quiet: Layout): string {
  const drawings = [raises, quiet].map(layout => layoutSvg(layout, reckonLayout(layout)));
  const boxes = drawings.map(svg => /viewBox="([^"]+)"/.exec(svg)![1]!.split(' ').map(Number));
  const widths = boxes.map(box => box[2]!);
  const height = Math.max(...boxes.map(box => box[3]!));
  const [first, second] = drawings.map((svg, index) => {
    const inner = svg.replace(/^<svg[^>]*>\n?/, '').replace(/<\/svg>\s*$/, '');
    const [x, y, width, tall] = boxes[index]!;
    const left = index === 0 ? 0 : widths[0]! + APART;
    return `<svg x="${left}" y="0" width="${width}" height="${tall}" viewBox="${x} ${y} ${width} ${tall}" font-family="sans-serif">\n${inner}</svg>`;
  });
  const wide = widths[0]! + APART + widths[1]!;
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${wide} ${height}">\n${first}\n${second}\n</svg>\n`;
}

const drawn = new Map<string, string>();
const codes = [...new Set(CAUTION_CASES.map(({ code }) => code))].sort();
const sections = codes.map(code => {
  const cases = CAUTION_CASES.filter(one => one.code === code);
  const rows = cases.map(({ name, raises, quiet }, index) => {
    const file = `${code}${cases.length > 1 ? `-${index + 1}` : ''}.svg`;
    drawn.set(file, pair(raises, quiet));
    const caution = layoutCautions(raises, reckonLayout(raises)).find(found => found.code === code)!;
    return `| ${name} | <img src="cautions/${file}" alt="Left: what raises ${code}; right: what does not" width="260"> | **${LEVELS[caution.level]}.** ${caution.text} ${caution.mend} |`;
  });
  return [
    `## \`${code}\``,
    '',
    '| case | raised, and not raised | what is said |',
    '| --- | --- | --- |',
    ...rows,
    '',
  ].join('\n');
});
// All of it is drawn before anything is thrown away.
rmSync(FOLDER, { recursive: true, force: true });
mkdirSync(FOLDER, { recursive: true });
for (const [file, svg] of drawn) writeFileSync(`${FOLDER}/${file}`, svg);
writeFileSync(
  'docs/cautions.md',
  [
    '# Cautions',
    '',
    'Every caution with the smallest layout of the tests that raises it (left) and its nearest neighbour that does not (right).',
    'Made from `src/core/cautions/testCases.ts` by `npm run docs:cautions`. All limits are common practice with no source unless',
    'docs/decisions.md names one, and Roan does not replace a qualified instructor, your federation’s rules or a vet.',
    '',
    ...sections,
  ].join('\n'),
);
