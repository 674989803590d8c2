/** npm run doctor: whether all that Roan stands on is as it should be. Changes nothing. */
import { existsSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { createClient } from '@libsql/client';
import {
  backupFindings,
  certificateFindings,
  clockFindings,
  databaseFindings,
  diskFindings,
  fileFindings,
  hostFindings,
  versionFindings,
} from './lib/findings.mjs';
import { ownPlaces } from './lib/places.mjs';

const url = process.env.ROAN_DATABASE_URL ?? 'file:./data/roan.db';
const file = url.startsWith('file:') ? path.resolve(url.slice('file:'.length)) : null;
const folder = file ? path.dirname(file) : path.resolve(process.env.ROAN_DATA_FOLDER || 'data');
const backups = [path.join(folder, 'backups'), process.env.ROAN_BACKUP_FOLDER].filter(Boolean);
const roan = JSON.parse(readFileSync('package.json', 'utf8')).version;
const journal = JSON.parse(readFileSync('src/data/migrations/meta/_journal.json', 'utf8'));
const newestKnownMs = Math.max(...journal.entries.map(({ when }) => when));

/** What a database is asked; it is only read. */
async function askedDatabase(address) {
  const client = createClient({ url: address, authToken: process.env.ROAN_DATABASE_TOKEN });
  const startedAt = performance.now();
  const first = async sql => (await client.execute(sql)).rows;
  try {
    await first('select 1');
    const ms = Math.round(performance.now() - startedAt);
    const tables = (await first("select name from sqlite_master where type = 'table'")).map(({ name }) => name);
    if (!tables.includes('__drizzle_migrations'))
      return [{ ok: true, says: 'The database is empty: the first start makes it.' }];
    const check = file ? (await first('pragma quick_check')).map(row => String(row[0])) : ['ok'];
    const broken = (await first('pragma foreign_key_check')).length;
    const [applied] = await first('select max(created_at) as newest from __drizzle_migrations');
    const clocks = await first("select value from settings where key = 'clock'");
    const latest = Math.max(...clocks.map(({ value }) => Number(JSON.parse(String(value)).latestMs)));
    const [passphrases] = tables.includes('passphrases')
      ? await first(
          'select count(*) as n from passphrases join people on people.id = passphrases.person_id where people.archived_at is null',
        )
      : [{ n: 0 }];
    const [yards] = await first('select count(*) as n from yards');
    const many = Number(passphrases.n);
    return [
      ...databaseFindings({ check, broken, asked: file ? 'file' : 'server', ms }),
      ...versionFindings({ node: process.versions.node, roan, newestKnownMs, appliedMs: Number(applied.newest) }),
      ...clockFindings(Date.now(), Number.isFinite(latest) ? latest : null),
      { ok: true, says: `The store has ${yards.n} ${Number(yards.n) === 1 ? 'yard' : 'yards'}.` },
      many > 0
        ? { ok: true, says: `${many} ${many === 1 ? 'person has' : 'people have'} a passphrase: everybody signs in.` }
        : { ok: true, says: 'Nobody has a passphrase: Roan is open on this machine, and asks for one from elsewhere.' },
    ];
  } catch (error) {
    return [{ ok: false, says: `The database cannot be read: ${error.message}` }];
  } finally {
    client.close();
  }
}

async function allOfDatabase() {
  if (file && !existsSync(file))
    return [
      { ok: true, says: `There is no database at ${file} yet: the first start makes it.` },
      ...versionFindings({ node: process.versions.node, roan, newestKnownMs, appliedMs: null }),
      ...clockFindings(Date.now(), null),
    ];
  const found = await askedDatabase(file ? `file:${file}` : url);
  const copy = process.env.ROAN_DATABASE_REPLICA_URL;
  if (!copy || file) return found;
  const near = await askedDatabase(copy);
  return [...found, ...near.filter(({ ok }) => !ok).map(({ says }) => ({ ok: false, says: `The near copy: ${says}` }))];
}

const findings = [
  ...(await allOfDatabase()),
  ...diskFindings(folder),
  ...backupFindings(backups, Date.now()),
  ...hostFindings(process.env),
  ...certificateFindings(folder, ownPlaces(), Date.now()),
  ...fileFindings(folder, file ?? 'roan.db'),
];
for (const { ok, says } of findings) console.log(`${ok ? 'good ' : 'WRONG'}  ${says}`);
process.exit(findings.every(({ ok }) => ok) ? 0 : 1);
