import { DatabaseRefused } from '@/data/databaseRefused';
import { currentYard } from '@/data/queries/yards';
import { roan } from '@/data/roan';
import { setFirstPassphrase } from './access/firstPassphrase';
import { keepBackups } from './keepBackups';
import { keepDaysAtStart } from './keepDaysAtStart';
import { lookAtClock } from './serverClock';

/** Opens the database before the first request; a server that cannot is ended with the reason. */
export async function openAtStart(): Promise<void> {
  try {
    const database = await roan();
    const yard = await currentYard(database);
    await setFirstPassphrase(database, yard.id);
    // A full disk keeps nobody from reading: the clock is looked at again later.
    await lookAtClock(database, Date.now()).catch(() => undefined);
    keepBackups();
    keepDaysAtStart(database);
  } catch (error) {
    console.error(error instanceof DatabaseRefused ? error.message : error);
    process.exit(1);
  }
}
