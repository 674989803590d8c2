/** npm run --silent reckon -- FILE.roan.json: prints the readings of a layout file as one JSON object. */
import { readFileSync } from 'node:fs';
import { readLayoutText } from '@/files/layoutFile';
import { reckonOutput } from './reckonOutput';
import { refuse } from './refuse';

function main(files: string[]): void {
  const [file, ...more] = files;
  if (file === undefined || more.length > 0)
    refuse('Say which layout file to reckon: npm run --silent reckon -- FILE.roan.json');
  let text: string;
  try {
    text = readFileSync(file, 'utf8');
  } catch {
    refuse(`${file}: this file cannot be read.`);
  }
  const read = readLayoutText(text);
  if (!read.ok) refuse(`${file}: ${read.reason}`);
  process.stdout.write(`${JSON.stringify(reckonOutput(read.layout), null, 2)}\n`);
}

main(process.argv.slice(2));
