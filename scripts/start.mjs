/** npm start: serves the yard's own database (ROAN_DATABASE_URL, by default a file under ./data/). */
import { ensureBuilt, ensureInstalled } from './lib/prepare.mjs';

await ensureInstalled();
await ensureBuilt();
// What serves has packages of its own, which a fresh clone has from here on.
const { serve } = await import('./lib/serve.mjs');
await serve('Roan');
