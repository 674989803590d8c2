/**
 * npm run --silent shelf: lists the exercises as JSON. With a kind it prints that exercise as a layout file:
 * npm run --silent shelf -- grid --arena 20x60 --height-cm 160 --rein left --stage 2
 */
import { parseArgs } from 'node:util';
import { refuse } from './refuse';
import { SHELF_OPTIONS, shelfList, shelfLayout } from './shelfOutput';

function main(): void {
  let parsed: ReturnType<typeof parseArgs>;
  try {
    parsed = parseArgs({ options: SHELF_OPTIONS, allowPositionals: true, strict: true });
  } catch (error) {
    refuse(error instanceof Error ? error.message : 'These options are not known.');
  }
  const [kind, ...more] = parsed.positionals;
  if (more.length > 0) refuse('Name one exercise at a time.');
  const output = kind === undefined ? shelfList() : shelfLayout(kind, parsed.values);
  if (typeof output === 'string') refuse(output);
  process.stdout.write(`${JSON.stringify(output, null, 2)}\n`);
}

main();
