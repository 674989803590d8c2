import { randomUUID } from 'node:crypto';
import { hostname } from 'node:os';
import { leaveLease, takeLease } from '@/data/queries/leases';
import type { OpenDatabase } from '@/data/database';
import { roan } from '@/data/roan';
import { dataFolders } from './dataFolders';
import { heavyWork } from './heavy/heavyWork';
import { logFault } from './logFault';
import { isOnServer } from '@/data/dataFolder';
import { lookAtClock } from './serverClock';

const HOUR_MS = 3600 * 1000;
/** The first one waits until the server has answered its first visitors. */
const FIRST_MS = 60 * 1000;

/** Names this process among those of its store. */
const HOLDER = `${hostname()} ${process.pid} ${randomUUID().slice(0, 8)}`;
/** Longer than a look takes, and shorter than until the next one. */
const LEASE_MS = 50 * 60 * 1000;
/** So long a backup that was made is enough, whoever made it. */
const DAY_MS = 20 * HOUR_MS;

/** Keeps a backup a day in the data folder while the server runs; of several Roans on one store, one does. One that fails is told and tried again. */
export function keepBackups(): void {
  const look = () =>
    void roan()
      .then(async database => {
        await lookAtClock(database, Date.now());
        if (isOnServer()) return backUpAlone(database);
        await backUp();
      })
      .catch((error: unknown) => logFault(error, 'Today’s backup could not be kept.'));
  setTimeout(look, FIRST_MS).unref();
  setInterval(look, HOUR_MS).unref();
}

/** Where one is due: reading all there is takes long. */
const backUp = () => heavyWork('backup', { folders: dataFolders(), nowMs: Date.now() });

/** Of several Roans on one store one keeps the day's backup; where it could not, another one tries. */
async function backUpAlone(database: OpenDatabase): Promise<void> {
  const take = (forMs: number) => database.write(tx => takeLease(tx, 'backups', HOLDER, Date.now(), forMs));
  if (!(await take(LEASE_MS))) return;
  try {
    if ((await backUp()) !== null) await take(DAY_MS);
  } catch (error) {
    await database.write(tx => leaveLease(tx, 'backups', HOLDER));
    throw error;
  }
}
