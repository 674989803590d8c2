import { X509Certificate } from 'node:crypto';
import { existsSync, readFileSync, statSync } from 'node:fs';
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
