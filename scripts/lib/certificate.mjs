import { X509Certificate } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { generate } from 'selfsigned';
import { certificateFindings } from './findings.mjs';
import { ownPlaces } from './places.mjs';
import { giveUp } from './run.mjs';

const YEAR_MS = 365 * 24 * 3600 * 1000;
/** A root is trusted by hand on each device, so it lasts; browsers take a leaf of no more than about a year. */
const ROOT_YEARS = 10;
const LEAF_DAYS = 370;
const KEYS = { keyType: 'ec', curve: 'P-256', algorithm: 'sha256' };

/**
 * A certificate for this machine: one of one's own, or one signed by a root that is made once beside the database. Keys are
 * readable by this account alone.
 * @returns {Promise<{ key: string, cert: string, fingerprint: string | null }>}
 */
export async function certificate(folder, own) {
  if (own.cert || own.key) return given(own);
  const home = path.join(folder, 'network');
  mkdirSync(home, { recursive: true, mode: 0o700 });
  const root = await madeOnce(home, 'root', rootOptions, 'Roan root of this yard');
  const places = ownPlaces();
  const leaf = await leafFor(home, root, places);
  return {
    key: leaf.key,
    cert: `${leaf.cert}\n${root.cert}`,
    fingerprint: new X509Certificate(root.cert).fingerprint256,
  };
}

function given({ cert, key }) {
  if (!cert || !key) giveUp('A certificate of your own is two files: give both --cert FILE and --key FILE.');
  try {
    const pair = { cert: readFileSync(cert, 'utf8'), key: readFileSync(key, 'utf8') };
    const read = new X509Certificate(pair.cert);
    if (Date.parse(read.validTo) < Date.now()) giveUp(`The certificate in ${cert} ended on ${read.validTo}.`);
    return { ...pair, fingerprint: null };
  } catch (error) {
    return giveUp(`The certificate cannot be used: ${error.message}`);
  }
}

const rootOptions = () => ({
  ...KEYS,
  notAfterDate: new Date(Date.now() + ROOT_YEARS * YEAR_MS),
  extensions: [
    { name: 'basicConstraints', cA: true, pathLenConstraint: 0, critical: true },
    { name: 'keyUsage', keyCertSign: true, cRLSign: true, critical: true },
  ],
});

async function madeOnce(home, name, options, commonName) {
  const [certFile, keyFile] = [path.join(home, `${name}.pem`), path.join(home, `${name}.key`)];
  if (!existsSync(certFile) || !existsSync(keyFile)) {
    const made = await generate([{ name: 'commonName', value: commonName }], options());
    writeFileSync(keyFile, made.private, { mode: 0o600 });
    writeFileSync(certFile, made.cert, { mode: 0o644 });
  }
  return { cert: readFileSync(certFile, 'utf8'), key: readFileSync(keyFile, 'utf8') };
}

/** Made anew where anything is wrong with it: the machine has another name or address by now, or it ends soon. */
async function leafFor(home, root, places) {
  const [certFile, keyFile] = [path.join(home, 'roan.pem'), path.join(home, 'roan.key')];
  const isGood = () => certificateFindings(path.dirname(home), places, Date.now()).every(({ ok }) => ok);
  if (existsSync(certFile) && existsSync(keyFile) && isGood())
    return { cert: readFileSync(certFile, 'utf8'), key: readFileSync(keyFile, 'utf8') };
  const made = await generate([{ name: 'commonName', value: places.names[1] ?? 'localhost' }], {
    ...KEYS,
    notAfterDate: new Date(Date.now() + LEAF_DAYS * 24 * 3600 * 1000),
    ca: { key: root.key, cert: root.cert },
    extensions: [
      { name: 'basicConstraints', cA: false, critical: true },
      { name: 'keyUsage', digitalSignature: true, critical: true },
      { name: 'extKeyUsage', serverAuth: true },
      {
        name: 'subjectAltName',
        altNames: [
          ...places.names.map(value => ({ type: 2, value })),
          ...places.addresses.map(ip => ({ type: 7, ip })),
        ],
      },
    ],
  });
  writeFileSync(keyFile, made.private, { mode: 0o600 });
  writeFileSync(certFile, made.cert, { mode: 0o644 });
  return { cert: made.cert, key: made.private };
}
