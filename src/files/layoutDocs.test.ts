import { readdirSync, readFileSync } from 'node:fs';
import { FIGURE_KINDS, layoutCautions, reckonLayout } from '@/core';
import { readLayoutText } from './layoutFile';
import { layoutSchema } from './layoutSchema';

const EXAMPLES = readdirSync('docs/examples').filter(name => name.endsWith('.roan.json'));

test('the schema in the docs is the one that reads files', () => {
  expect(JSON.parse(readFileSync('docs/layout-file.schema.json', 'utf8'))).toEqual(
    JSON.parse(JSON.stringify(layoutSchema())),
  );
});

test.each(EXAMPLES)('the example %s is read, can be ridden, and nothing in it is to be stopped', name => {
  const read = readLayoutText(readFileSync(`docs/examples/${name}`, 'utf8'));
  if (!read.ok) throw new Error(read.reason);
  const cautions = layoutCautions(read.layout, reckonLayout(read.layout));
  expect(cautions.filter(({ level }) => level === 'stop')).toEqual([]);
});

test('the page about the file names every figure', () => {
  const page = readFileSync('docs/layout-file.md', 'utf8');
  for (const kind of FIGURE_KINDS) expect(page).toContain(`\`${kind}\``);
});
