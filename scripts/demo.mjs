/** npm run demo [-- --fresh]: builds, fills a demo database once (again with --fresh), and serves it. */
import { ensureBuilt, ensureInstalled } from './lib/prepare.mjs';
import { giveUp, run } from './lib/run.mjs';

const DEMO_FILE = process.env.ROAN_DEMO_FILE ?? 'data/demo.db';

const unknown = process.argv.slice(2).filter(argument => argument !== '--fresh');
if (unknown.length > 0) giveUp(`“${unknown[0]}” is not an option of the demo: it knows --fresh, which starts over.`);

await ensureInstalled();
process.env.ROAN_DATABASE_URL = `file:${DEMO_FILE}`;
delete process.env.ROAN_DATABASE_TOKEN;
delete process.env.ROAN_DATABASE_REPLICA_URL;
const fresh = process.argv.includes('--fresh');
const seeded = await run(
  process.execPath,
  ['node_modules/tsx/dist/cli.mjs', 'scripts/seedDemo.ts', ...(fresh ? ['--fresh'] : [])],
  {
    quiet: true,
  },
);
if (seeded.code !== 0) giveUp('The demo yard could not be made.', seeded.output);
await ensureBuilt();
// What serves has packages of its own, which a fresh clone has from here on.
const { serve } = await import('./lib/serve.mjs');
await serve('Roan with its demo yard', []);
