import { execFileSync } from 'node:child_process';
import { X509Certificate } from 'node:crypto';
import { chmodSync, mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { certificateFindings, fileFindings, hostFindings } from './findings.mjs';
import { ownPlaces } from './places.mjs';

let folder = '';
beforeEach(() => {
  folder = mkdtempSync(path.join(tmpdir(), 'roan-certificate-'));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

type Made = { key: string; cert: string; fingerprint: string | null };
type Own = { cert: string | null; key: string | null };

/** As the start makes it: in a process of its own, with the names that it is told. */
function certificate(at: string, own: Own = { cert: null, key: null }, hosts = ''): Made {
  const script = `import { certificate } from './scripts/lib/certificate.mjs';
    console.log(JSON.stringify(await certificate(...JSON.parse(process.argv[1]))));`;
  const said = execFileSync(process.execPath, ['--input-type=module', '-e', script, JSON.stringify([at, own])], {
    env: { ...process.env, ROAN_HOSTS: hosts },
  });
  return JSON.parse(String(said)) as Made;
}

const mode = (file: string) => statSync(path.join(folder, 'network', file)).mode & 0o777;

test('a root is made once, a certificate for this machine signed by it, and keys are for this account alone', () => {
  const first = certificate(folder);
  const [leaf, root] = first.cert
    .split(/(?<=-----END CERTIFICATE-----)\s*/)
    .filter(Boolean)
    .map((text: string) => new X509Certificate(text));
  expect(root!.ca).toBe(true);
  expect(leaf!.ca).toBe(false);
  expect(leaf!.verify(root!.publicKey)).toBe(true);
  expect(leaf!.checkHost('localhost')).toBe('localhost');
  expect(leaf!.checkIP('127.0.0.1')).toBe('127.0.0.1');
  expect(leaf!.checkHost('evil.example')).toBeUndefined();
  // CA/Browser Forum, Baseline Requirements (from memory): no certificate of a site is good for more than 398 days.
  expect((Date.parse(leaf!.validTo) - Date.parse(leaf!.validFrom)) / 86_400_000).toBeLessThan(398);
  if (process.platform !== 'win32') expect([mode('root.key'), mode('roan.key')]).toEqual([0o600, 0o600]);
  const second = certificate(folder);
  expect(second).toEqual(first);
});

test('where the machine has another name by now the certificate is made anew, and the root stays', () => {
  const first = certificate(folder);
  const second = certificate(folder, undefined, 'yard.example:4747');
  expect(second.fingerprint).toBe(first.fingerprint);
  expect(new X509Certificate(second.cert).checkHost('yard.example')).toBe('yard.example');
});

test('the doctor says what is as it should be, and what to do about the rest', () => {
  const nowMs = Date.now();
  expect(certificateFindings(folder, ownPlaces(''), nowMs)).toEqual([
    { ok: true, says: expect.stringContaining('No certificate was made yet') },
  ]);
  certificate(folder);
  expect(certificateFindings(folder, ownPlaces(''), nowMs).every(({ ok }) => ok)).toBe(true);
  const later = certificateFindings(folder, { names: ['other.example'], addresses: [] }, nowMs + 360 * 86_400_000);
  expect(later.filter(({ ok }) => !ok).map(({ says }) => says)).toEqual([
    expect.stringMatching(/^The certificate ends on/),
    'It does not name other.example: the next start with --network makes another.',
  ]);
  writeFileSync(path.join(folder, 'network', 'roan.pem'), 'no certificate');
  expect(certificateFindings(folder, ownPlaces(''), nowMs)).toMatchObject([{ ok: false }]);

  const database = path.join(folder, 'roan.db');
  writeFileSync(database, '');
  chmodSync(database, 0o644);
  const says = () => fileFindings(folder, database).find(finding => finding.says.includes('roan.db'))!;
  if (process.platform !== 'win32')
    expect(says()).toMatchObject({ ok: false, says: expect.stringContaining('chmod 600') });
  chmodSync(database, 0o600);
  expect(says().ok).toBe(true);

  expect(hostFindings({}).every(({ ok }) => ok)).toBe(true);
  expect(hostFindings({ ROAN_HOST: '0.0.0.0' })[0]).toMatchObject({
    ok: false,
    says: expect.stringContaining('--network'),
  });
  expect(hostFindings({ ROAN_HOST: '0.0.0.0', ROAN_TRUST_PROXY: '1' })[0]!.ok).toBe(true);
  expect(hostFindings({ ROAN_HOSTS: 'good.example, no name' })[1]!.ok).toBe(false);
});

test('a certificate of one’s own is taken as it is', () => {
  certificate(folder);
  const [cert, key] = ['roan.pem', 'roan.key'].map(name => path.join(folder, 'network', name));
  const own = certificate(path.join(folder, 'elsewhere'), { cert: cert!, key: key! });
  expect(own).toEqual({ cert: readFileSync(cert!, 'utf8'), key: readFileSync(key!, 'utf8'), fingerprint: null });
});
