/** npm run faults: hundreds of rounds of all that can break, against the built server; the short form of it is in npm test. */
import { ensureChromium } from './lib/chromium.mjs';
import { ensureBuilt, ensureInstalled } from './lib/prepare.mjs';
import { run } from './lib/run.mjs';

await ensureInstalled();
process.env.ROAN_CHROMIUM = await ensureChromium();
await ensureBuilt();
const env = {
  ROAN_FAULT_ROUNDS: process.env.ROAN_FAULT_ROUNDS ?? '300',
  ROAN_FAULT_FILM_MB: process.env.ROAN_FAULT_FILM_MB ?? '1024',
};
const { code } = await run(
  process.execPath,
  ['node_modules/@playwright/test/cli.js', 'test', 'e2e/faults.spec.ts', '--workers', '1'],
  { env },
);
process.exitCode = code;
