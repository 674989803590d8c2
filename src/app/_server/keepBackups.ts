import { backUpIfDue } from '@/data/archive/backups';
import { roan } from '@/data/roan';
import { dataFolders } from './dataFolders';
import { lookAtClock } from './serverClock';

const HOUR_MS = 3600 * 1000;
/** The first one waits until the server has answered its first visitors. */
const FIRST_MS = 60 * 1000;

/** Keeps a backup a day in the data folder while the server runs. One that fails is told and tried again. */
export function keepBackups(): void {
  const look = () =>
    void roan()
      .then(async database => {
        await lookAtClock(database, Date.now());
        await backUpIfDue(database, dataFolders(), Date.now());
      })
      .catch((error: unknown) => console.error('Today’s backup could not be kept:', error));
  setTimeout(look, FIRST_MS).unref();
  setInterval(look, HOUR_MS).unref();
}
