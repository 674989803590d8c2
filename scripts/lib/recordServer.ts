/**
 * A server of records for the fault test, to be killed at any moment: it reads a batch a line from standard input, writes
 * it as the route does, and answers with a line once it is in the database. Arguments: the database and the yard.
 */
import { createInterface } from 'node:readline';
import { openDatabase } from '@/data/openDatabase';
import { recordBatch } from '@/data/queries/recordEvents';
import { RecordBatch } from '@/files/recordEvent';

const [url, yardId] = process.argv.slice(2) as [string, string];

async function main(): Promise<void> {
  const { write } = await openDatabase(url);
  process.stdout.write('ready\n');
  for await (const line of createInterface({ input: process.stdin })) {
    const batch = RecordBatch.parse(JSON.parse(line));
    await write(tx => recordBatch(tx, yardId, batch, Date.now()));
    process.stdout.write('taken\n');
  }
}

void main();
