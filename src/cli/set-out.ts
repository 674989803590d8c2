/**
 * npm run --silent set-out -- FILE.roan.json: prints the setting sheet of a layout as one JSON object, of several files a line each.
 * Wishes:
 * --unit m|ft|yd, --measure-by line|walls|tapes, --step-cm 85 (adds own steps and the best rounding to half steps), --pictures
 * (adds an SVG picture of every step).
 */
import { parseArgs } from 'node:util';
import { printedJson, readLayoutArguments } from './readLayoutArgument';
import { refuse } from './refuse';
import { setOutOutput, setOutWish, SET_OUT_OPTIONS } from './setOutOutput';

function main(): void {
  let parsed: ReturnType<typeof parseArgs>;
  try {
    parsed = parseArgs({ options: SET_OUT_OPTIONS, allowPositionals: true, strict: true });
  } catch (error) {
    refuse(error instanceof Error ? error.message : 'These options are not known.');
  }
  const wish = setOutWish(parsed.values);
  if (typeof wish === 'string') refuse(wish);
  const layouts = readLayoutArguments(parsed.positionals, 'set-out');
  process.stdout.write(printedJson(layouts.map(layout => setOutOutput(layout, wish))));
}

main();
