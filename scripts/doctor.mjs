/** npm run doctor: whether hosts, certificate, passphrase and file modes are as they should be. Changes nothing. */
import { existsSync } from 'node:fs';
import path from 'node:path';
import { createClient } from '@libsql/client';
import { certificateFindings, fileFindings, hostFindings } from './lib/findings.mjs';
import { ownPlaces } from './lib/places.mjs';

const url = process.env.ROAN_DATABASE_URL ?? 'file:./data/roan.db';
const file = url.startsWith('file:') ? path.resolve(url.slice('file:'.length)) : null;
const folder = file ? path.dirname(file) : path.resolve('data');

/** Whether anybody has a passphrase; a database is only read. */
async function passphraseFindings() {
  if (file && !existsSync(file))
    return [{ ok: true, says: `There is no database at ${file} yet: the first start makes it.` }];
  const client = createClient({ url: file ? `file:${file}` : url, authToken: process.env.ROAN_DATABASE_TOKEN });
  try {
    const { rows } = await client.execute(
      `select count(*) as n from passphrases join people on people.id = passphrases.person_id where people.archived_at is null`,
    );
    const many = Number(rows[0].n);
    return [
      many > 0
        ? { ok: true, says: `${many} ${many === 1 ? 'person has' : 'people have'} a passphrase: everybody signs in.` }
        : { ok: true, says: 'Nobody has a passphrase: Roan is open on this machine, and asks for one from elsewhere.' },
    ];
  } catch (error) {
    return [{ ok: false, says: `The database cannot be asked who has a passphrase: ${error.message}` }];
  } finally {
    client.close();
  }
}

const findings = [
  ...hostFindings(process.env),
  ...certificateFindings(folder, ownPlaces(), Date.now()),
  ...(await passphraseFindings()),
  ...fileFindings(folder, file ?? 'roan.db'),
];
for (const { ok, says } of findings) console.log(`${ok ? 'good ' : 'WRONG'}  ${says}`);
process.exit(findings.every(({ ok }) => ok) ? 0 : 1);
