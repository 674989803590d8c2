import { createClient, type Client } from '@libsql/client';
import { drizzle } from 'drizzle-orm/libsql';
import { DEFAULT_DATABASE_URL, filePathOf } from './openDatabase';
import type { RoanDatabase } from './database';
import { overlaid } from './overlaid';
import * as schema from './schema';
import { serverClient } from './serverClient';
import { takingTurns } from './takingTurns';

/**
 * The database of this process once more, to read from beside it: what takes long to read holds nobody up. It is opened, brought up
 * to date and claimed by whoever writes.
 */
export async function openReader(): Promise<{ db: RoanDatabase; close: () => void }> {
  const url = process.env.ROAN_DATABASE_URL ?? DEFAULT_DATABASE_URL;
  const file = filePathOf(url);
  const client =
    file === null ? await serverClient(url, process.env.ROAN_DATABASE_TOKEN) : createClient({ url: `file:${file}` });
  const reading = onlyReading(client);
  return { db: drizzle(file === null ? reading : takingTurns(reading), { schema }), close: () => client.close() };
}

/** What is read at one moment takes no lock: with the one that is asked for else nobody could write as long as it is read. */
const onlyReading = (client: Client): Client => overlaid(client, { transaction: () => client.transaction('deferred') });
