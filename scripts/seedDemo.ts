/**
 * Opens the database named by ROAN_DATABASE_URL, brings it up to date and fills it with the demo yard if it is empty.
 * With --fresh, what the file held is thrown away first, unless a running Roan holds it.
 */
import { rmSync } from 'node:fs';
import { claimFile } from '../src/data/claimFile';
import { DatabaseRefused } from '../src/data/databaseRefused';
import { seedDemo } from '../src/data/demo/seedDemo';
import { currentYard } from '../src/data/queries/yards';
import { keepChangedDays } from '../src/data/queries/keepChangedDays';
import { yardClock } from '../src/app/_server/yardTime';
import { DEFAULT_DATABASE_URL, filePathOf, openDatabase } from '../src/data/openDatabase';

async function throwAway(url: string): Promise<void> {
  const filePath = filePathOf(url);
  if (filePath === null) throw new DatabaseRefused('Only a demo file can be started over, not a server.');
  const claim = await claimFile(filePath);
  for (const ending of ['', '-wal', '-shm']) rmSync(filePath + ending, { force: true });
  await claim.release();
}

async function main(): Promise<void> {
  const url = process.env.ROAN_DATABASE_URL ?? DEFAULT_DATABASE_URL;
  if (process.argv.includes('--fresh')) await throwAway(url);
  const database = await openDatabase(url);
  try {
    // Journeys that do not look back start sooner without a season.
    await seedDemo(database, Date.now(), process.env.ROAN_DEMO_SEASON !== '0');
    // As in a yard that has been looked at: the first look waits for nothing.
    const { id, timeZone } = await currentYard(database);
    await keepChangedDays(database, id, yardClock(timeZone));
  } finally {
    await database.close();
  }
}

main().catch((error: unknown) => {
  console.error(error instanceof DatabaseRefused ? error.message : error);
  process.exitCode = 1;
});
