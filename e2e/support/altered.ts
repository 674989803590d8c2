import path from 'node:path';
import { createClient } from '@libsql/client';
import type { RoanServer } from './roanServer';

/** Changes what a Roan has kept, while it is not running, and starts it again. */
export async function altered(roan: RoanServer, statements: readonly string[]): Promise<void> {
  await roan.kill();
  const client = createClient({ url: `file:${path.join(roan.folder, 'roan.db')}` });
  for (const statement of statements) await client.execute(statement);
  client.close();
  await roan.start();
}
