/** npm start: serves the yard's own database (ROAN_DATABASE_URL, by default a file under ./data/). */
import { ensureBuilt, ensureInstalled } from './lib/prepare.mjs';
import { serve } from './lib/serve.mjs';

await ensureInstalled();
await ensureBuilt();
await serve('Roan');
