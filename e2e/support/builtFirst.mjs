import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { ensureBuilt } from '../../scripts/lib/prepare.mjs';

/**
 * Journeys run side by side, each with a server and a database of its own. What they all begin from is made once, before the
 * first: the build, and the demo yard without and with a season behind it, as the demo command itself fills a file.
 */
export default async function builtFirst() {
  await ensureBuilt();
  const folder = mkdtempSync(path.join(tmpdir(), 'roan-demo-'));
  for (const yard of ['demo', 'season']) {
    const file = path.join(folder, `${yard}.db`);
    const env = { ...process.env, ROAN_DATABASE_URL: `file:${file}`, ROAN_DEMO_SEASON: yard === 'season' ? '1' : '0' };
    execFileSync(process.execPath, ['node_modules/tsx/dist/cli.mjs', 'scripts/seedDemo.ts'], { env });
  }
  process.env.ROAN_E2E_YARDS = folder;
  return () => rmSync(folder, { recursive: true, force: true });
}
