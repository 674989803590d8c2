import 'server-only';
import { hashPassphrase, passphraseFault } from '@/data/access/passphrase';
import { DatabaseRefused } from '@/data/databaseRefused';
import type { OpenDatabase } from '@/data/database';
import { present } from '@/data/present';
import { hasPassphrases, setPassphrase } from '@/data/queries/access';
import { listPeople, savePerson } from '@/data/queries/people';

/** What the instructor of an unattended start is called who has no name yet. */
const NAMELESS = 'Instructor';

/**
 * Sets the first passphrase of a start that nobody attends: ROAN_PASSPHRASE, for the first instructor of the yard. Where
 * anybody has one already it is left alone.
 * @throws {DatabaseRefused} one that is too easy
 */
export async function setFirstPassphrase(database: OpenDatabase, yardId: string): Promise<void> {
  const passphrase = process.env.ROAN_PASSPHRASE;
  // What is started by this process need not know it.
  delete process.env.ROAN_PASSPHRASE;
  if (passphrase === undefined || (await hasPassphrases(database.db))) return;
  const fault = passphraseFault(passphrase);
  if (fault) throw new DatabaseRefused(`ROAN_PASSPHRASE cannot be the first passphrase: ${fault}`);
  const hash = await hashPassphrase(passphrase);
  await database.write(async tx => {
    const first = present(await listPeople(tx, yardId)).find(({ role }) => role === 'instructor');
    const personId =
      first?.id ?? (await savePerson(tx, yardId, { name: NAMELESS, role: 'instructor', stepLengthM: null }));
    await setPassphrase(tx, yardId, personId, hash);
  });
}
