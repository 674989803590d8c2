import 'server-only';
import { beginSession, passphraseHash, setPassphrase } from '@/data/queries/access';
import { savePerson } from '@/data/queries/people';
import type { RoanDatabase, Transaction } from '@/data/database';
import { headers } from 'next/headers';
import { deviceWords } from '../_server/access/deviceWords';
import { carrySessions } from '../_server/access/sessionCookie';
import type { Who } from '../_server/access/whoIsThere';
import { chooseYard } from '../_server/access/yardCookie';
import { forgetThread } from '../_server/forgetThread';

/**
 * Whoever begins a yard beside the one they are in: its instructor, by the passphrase that they have, on this device.
 * @returns what lets them in while the yard is written: the session by which they are in it, null at an open machine
 */
export async function begunBy(db: RoanDatabase, who: Who) {
  const hash = who.open ? null : await passphraseHash(db, who.yardId, who.id);
  const device = deviceWords((await headers()).get('user-agent'));
  return async (tx: Transaction, yardId: string): Promise<string | null> => {
    if (who.open) return null;
    const personId = await savePerson(tx, yardId, { name: who.name, role: 'instructor', stepLengthM: null });
    if (hash !== null) await setPassphrase(tx, yardId, personId, hash);
    return beginSession(tx, yardId, personId, device, Date.now());
  };
}

/** Shows a yard on this device from now on. @param sessionId - by which it is in it; null at an open machine */
export async function showYard(yardId: string, sessionId: string | null): Promise<void> {
  if (sessionId === null) await chooseYard(yardId);
  else await carrySessions([sessionId]);
  await forgetThread();
}
