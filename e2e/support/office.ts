import path from 'node:path';
import { createClient } from '@libsql/client';
import type { RoanServer } from './roanServer';

/** Somebody of the office, by name. */
export async function withOffice(roan: RoanServer): Promise<string> {
  const client = createClient({ url: `file:${path.join(roan.folder, 'roan.db')}` });
  const sql = `insert into people (id, yard_id, name, role) select 'office', id, 'Wyn Ostler', 'office' from yards`;
  await client.execute(sql);
  client.close();
  return 'Wyn Ostler';
}
