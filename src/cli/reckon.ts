/** npm run --silent reckon -- FILE.roan.json: prints the readings of a layout file as one JSON object. */
import { readLayoutArgument } from './readLayoutArgument';
import { reckonOutput } from './reckonOutput';

const layout = readLayoutArgument(process.argv.slice(2), 'reckon');
process.stdout.write(`${JSON.stringify(reckonOutput(layout), null, 2)}\n`);
