import { X509Certificate } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, statfsSync, statSync } from 'node:fs';
import path from 'node:path';

/** What somebody who may read the account's files, but is not it, may do with a file; Windows has other rules. */
const OTHERS = 0o077;
/** A certificate is made anew so long before it ends. */
const SOON_MS = 30 * 24 * 3600 * 1000;

/** @typedef {{ ok: boolean, says: string }} Finding */

/** Files that are for this account alone. @returns {Finding[]} */
export function fileFindings(folder, databaseFile) {
  const wanted = [databaseFile, 'session-secret', 'network/root.key', 'network/roan.key'].map(name =>
    path.isAbsolute(name) ? name : path.join(folder, name),
  );
  return wanted
    .filter(file => existsSync(file))
    .map(file => {
      const mode = statSync(file).mode & 0o777;
      const ok = process.platform === 'win32' || (mode & OTHERS) === 0;
      const says = ok
        ? `${file} is for this account alone.`
        : `${file} may be read by other accounts of this machine (${mode.toString(8)}): chmod 600 ${file}`;
      return { ok, says };
    });
}

/** Where Roan listens, and whether that is as safe as it should be. @returns {Finding[]} */
export function hostFindings({ ROAN_HOST = '', ROAN_HOSTS = '', ROAN_TRUST_PROXY = '' }) {
  const isHere = ['', '127.0.0.1', 'localhost', '::1'].includes(ROAN_HOST.toLowerCase());
  const host = isHere
    ? {
        ok: true,
        says: 'Plain HTTP is heard on this machine alone; other devices come over HTTPS (npm start -- --network).',
      }
    : {
        ok: ROAN_TRUST_PROXY === '1',
        says:
          ROAN_TRUST_PROXY === '1'
            ? `Roan listens on ${ROAN_HOST} and believes the server before it: let nobody reach it but that server.`
            : `Roan listens on ${ROAN_HOST} over plain HTTP: passphrases can be read on the way. Start it with --network.`,
      };
  const names = ROAN_HOSTS.split(',')
    .map(name => name.trim())
    .filter(Boolean);
  const odd = names.filter(name => !/^[a-z0-9.-]+(:\d{1,5})?$/i.test(name));
  const named =
    odd.length > 0
      ? { ok: false, says: `ROAN_HOSTS names what is no name: ${odd.join(', ')}` }
      : {
          ok: true,
          says: names.length > 0 ? `Roan also goes by ${names.join(', ')}.` : 'Roan goes by this machine’s own names.',
        };
  return [host, named];
}

/** The certificate of --network, where one was made. @returns {Finding[]} */
export function certificateFindings(folder, { names, addresses }, nowMs) {
  const [leafFile, rootFile] = ['roan.pem', 'root.pem'].map(name => path.join(folder, 'network', name));
  if (!existsSync(leafFile) || !existsSync(rootFile))
    return [{ ok: true, says: 'No certificate was made yet: the first start with --network makes it.' }];
  try {
    const [leaf, root] = [leafFile, rootFile].map(file => new X509Certificate(readFileSync(file)));
    const missing = [
      ...names.filter(name => leaf.checkHost(name) === undefined),
      ...addresses.filter(ip => leaf.checkIP(ip) === undefined),
    ];
    return [
      leaf.verify(root.publicKey)
        ? { ok: true, says: `The certificate is signed by the root ${root.fingerprint256}` }
        : {
            ok: false,
            says: `${leafFile} is not signed by the root beside it: remove it, and the next start makes another.`,
          },
      Date.parse(leaf.validTo) - nowMs > SOON_MS
        ? { ok: true, says: `It is good until ${leaf.validTo}.` }
        : { ok: false, says: `The certificate ends on ${leaf.validTo}: the next start with --network makes another.` },
      missing.length === 0
        ? { ok: true, says: 'It names all that this machine goes by today.' }
        : { ok: false, says: `It does not name ${missing.join(', ')}: the next start with --network makes another.` },
    ];
  } catch (error) {
    return [{ ok: false, says: `${leafFile} cannot be read as a certificate: ${error.message}` }];
  }
}

const GB = 1024 ** 3;
/** Below this a day's films may fill the disk. */
const LITTLE_GB = 1;

/** Room where the database and its films lie. @returns {Finding[]} */
export function diskFindings(folder) {
  let at = path.resolve(folder);
  while (!existsSync(at)) at = path.dirname(at);
  const { bavail, bsize, blocks } = statfsSync(at);
  const freeGb = (bavail * bsize) / GB;
  const says = `${freeGb.toFixed(1)} GB of ${((blocks * bsize) / GB).toFixed(1)} GB are free at ${at}.`;
  return [{ ok: freeGb >= LITTLE_GB, says: freeGb >= LITTLE_GB ? says : `${says} Make room before the next films.` }];
}

const BACKUP = /^roan-(\d{6})-(\d{4})(\d{2})(\d{2})T(\d{2})(\d{2})(\d{2})Z\.zip$/;
const DAY_MS = 24 * 3600 * 1000;
/** One is kept a day while Roan runs: after this something is amiss. */
const OLD_DAYS = 3;

/**
 * The newest backup of each place, by its own name.
 * @param {string[]} folders
 * @returns {Finding[]}
 */
export function backupFindings(folders, nowMs) {
  return folders.map(folder => {
    const names = existsSync(folder) ? readdirSync(folder).filter(name => BACKUP.test(name)) : [];
    const newest = names.sort().at(-1);
    if (!newest)
      return { ok: true, says: `No backup lies in ${folder} yet: the first is kept when Roan has run for a minute.` };
    const [, , ...told] = BACKUP.exec(newest);
    const [year, month, day, hour, minute, second] = told.map(Number);
    const days = (nowMs - Date.UTC(year, month - 1, day, hour, minute, second)) / DAY_MS;
    const says = `${names.length} ${names.length === 1 ? 'backup lies' : 'backups lie'} in ${folder}, the newest ${days < 1 ? 'of the last day' : `${Math.floor(days)} ${Math.floor(days) === 1 ? 'day' : 'days'} old`}.`;
    return { ok: days <= OLD_DAYS, says: days <= OLD_DAYS ? says : `${says} Does Roan run, and may it write there?` };
  });
}

/** Earlier than any Roan. */
const FIRST_DAY_MS = Date.parse('2026-01-01T00:00:00Z');

/**
 * The clock of this machine, against the latest that Roan ever saw.
 * @param {number | null} latestMs - null where it saw none yet
 * @returns {Finding[]}
 */
export function clockFindings(nowMs, latestMs) {
  const now = new Date(nowMs).toISOString();
  if (nowMs < FIRST_DAY_MS)
    return [{ ok: false, says: `The clock says ${now}: set it right before anything is recorded.` }];
  if (latestMs !== null && nowMs < latestMs - 10 * 60 * 1000)
    return [
      {
        ok: false,
        says: `The clock says ${now}, and has said ${new Date(latestMs).toISOString()} before: one of them is wrong.`,
      },
    ];
  return [{ ok: true, says: `The clock says ${now}.` }];
}

/**
 * What runs, and whether the database is of it.
 * @param {{ node: string, roan: string, newestKnownMs: number, appliedMs: number | null }} versions
 * @returns {Finding[]}
 */
export function versionFindings({ node, roan, newestKnownMs, appliedMs }) {
  const [major] = node.split('.').map(Number);
  const runs =
    major >= 20
      ? { ok: true, says: `Roan ${roan} on Node ${node}.` }
      : { ok: false, says: `Roan ${roan} needs Node 20 or newer; this is ${node}.` };
  if (appliedMs === null) return [runs];
  if (appliedMs > newestKnownMs)
    return [runs, { ok: false, says: 'The database was made by a newer Roan than this one: update Roan.' }];
  const says =
    appliedMs === newestKnownMs
      ? 'The database is of this Roan.'
      : 'The database is of an older Roan: the next start brings it up to date, and keeps a copy of it first.';
  return [runs, { ok: true, says }];
}

/**
 * What the database says of itself.
 * @param {{ check: string[], broken: number, asked: 'file' | 'server', ms: number }} looked
 * @returns {Finding[]}
 */
export function databaseFindings({ check, broken, asked, ms }) {
  const sound = check.length === 1 && check[0] === 'ok';
  const where = asked === 'file' ? 'The database file' : 'The database server';
  return [
    sound
      ? { ok: true, says: `${where} is sound${asked === 'server' ? `, and answers in ${ms} ms` : ''}.` }
      : { ok: false, says: `${where} is damaged (${check.slice(0, 3).join('; ')}): stop Roan, and restore a backup.` },
    broken === 0
      ? { ok: true, says: 'Every row names rows that are there.' }
      : {
          ok: false,
          says: `${broken} ${broken === 1 ? 'row names' : 'rows name'} what is not there: restore a backup, or ask for help with this one.`,
        },
  ];
}
