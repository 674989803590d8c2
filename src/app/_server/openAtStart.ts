import { DatabaseRefused } from '@/data/databaseRefused';
import { tidyIncoming } from '@/data/tidyIncoming';
import { currentYard } from '@/data/queries/yards';
import { isPagesThread, roan } from '@/data/roan';
import { setFirstPassphrase } from './access/firstPassphrase';
import { answerTaps } from './answerTaps';
import { dataFolders } from './dataFolders';
import { keepForPages } from './keepForPages';
import { keepBackups } from './keepBackups';
import { keepDaysAtStart } from './keepDaysAtStart';
import { lookAtClock } from './serverClock';

/**
 * Opens the database before the first request; a server that cannot is ended with the reason. The thread that makes pages leaves the
 * rest to the one that takes taps.
 */
export async function openAtStart(): Promise<void> {
  try {
    const database = await roan();
    if (isPagesThread()) return;
    const yard = await currentYard(database);
    await setFirstPassphrase(database, yard.id);
    // A full disk keeps nobody from reading: the clock is looked at again later.
    await lookAtClock(database, Date.now()).catch(() => undefined);
    try {
      tidyIncoming(dataFolders(), Date.now());
    } catch (error) {
      // What cannot be taken away is in nobody's way.
      console.error(error);
    }
    answerTaps();
    keepForPages(database);
    keepBackups();
    keepDaysAtStart(database);
  } catch (error) {
    console.error(error instanceof DatabaseRefused ? error.message : error);
    process.exit(1);
  }
}
