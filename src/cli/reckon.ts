/**
 * npm run --silent reckon -- FILE.roan.json: prints the readings of a layout file as one JSON object; of several files a
 * line of JSON each.
 */
import { printedJson, readLayoutArguments } from './readLayoutArgument';
import { reckonOutput } from './reckonOutput';

const layouts = readLayoutArguments(process.argv.slice(2), 'reckon');
process.stdout.write(printedJson(layouts.map(reckonOutput)));
