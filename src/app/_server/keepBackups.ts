import { randomUUID } from 'node:crypto';
import { hostname } from 'node:os';
import { backUpIfDue } from '@/data/archive/backups';
import { leaveLease, takeLease } from '@/data/queries/leases';
import { roan } from '@/data/roan';
import { dataFolders } from './dataFolders';
import { lookAtClock } from './serverClock';

const HOUR_MS = 3600 * 1000;
/** The first one waits until the server has answered its first visitors. */
const FIRST_MS = 60 * 1000;

/** Names this process among those of its store. */
const HOLDER = `${hostname()} ${process.pid} ${randomUUID().slice(0, 8)}`;
/** Longer than a look takes, and shorter than until the next one. */
const LEASE_MS = 50 * 60 * 1000;

/** Keeps a backup a day in the data folder while the server runs; of several Roans on one store, one does. One that fails is told and tried again. */
export function keepBackups(): void {
  const look = () =>
    void roan()
      .then(async database => {
        await lookAtClock(database, Date.now());
        if (!(await database.write(tx => takeLease(tx, 'backups', HOLDER, Date.now(), LEASE_MS)))) return;
        try {
          await backUpIfDue(database, dataFolders(), Date.now());
        } finally {
          await database.write(tx => leaveLease(tx, 'backups', HOLDER));
        }
      })
      .catch((error: unknown) => console.error('Today’s backup could not be kept:', error));
  setTimeout(look, FIRST_MS).unref();
  setInterval(look, HOUR_MS).unref();
}
