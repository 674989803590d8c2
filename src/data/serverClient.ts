import { createClient, type Client } from '@libsql/client';
import { keepStreams } from './keptStreams';

/** A server that does not answer over a line by then is asked over single requests. */
const MOST_MS = 4000;

/**
 * A client of a libSQL server: over one line that stays open where the server has that, since a write is some eight questions
 * and answers; else over single requests.
 * @param url - `http://…`, `https://…`, `ws://…`, `wss://…` or `libsql://…`
 */
export async function serverClient(url: string, authToken?: string): Promise<Client> {
  const line = url.replace(/^http/, 'ws');
  keepStreams();
  if (line === url) return createClient({ url, authToken });
  const client = createClient({ url: line, authToken });
  try {
    await Promise.race([
      client.execute('select 1'),
      new Promise((_, reject) => setTimeout(() => reject(new Error('no line')), MOST_MS).unref()),
    ]);
    return client;
  } catch {
    client.close();
    return createClient({ url, authToken });
  }
}
