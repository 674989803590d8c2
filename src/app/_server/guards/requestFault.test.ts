import { hostname } from 'node:os';
import { contentPolicy, nonceOf } from './contentPolicy';
import { isOwnHost, ownNames } from './hosts';
import { requestFault } from './requestFault';

const NAMES = ownNames({ ROAN_HOST: '0.0.0.0', ROAN_HOSTS: 'roan.example, stable.example:8443' });
const asked = (method: string, headers: Record<string, string>, url = '/today') =>
  requestFault({ method, url, headers: new Headers(headers) }, NAMES)?.status ?? null;

describe('the names that a Roan goes by', () => {
  it.each([
    'localhost',
    'localhost:3000',
    '127.0.0.1:3000',
    '192.168.1.20',
    '[::1]:3000',
    'ROAN.example',
    'stable.example:8443',
    'yard.localhost',
    `${hostname()}.local:3000`,
  ])('%s is one', host => {
    expect(isOwnHost(host, NAMES)).toBe(true);
  });

  // A site whose name was made to point here: it could read as if it were Roan.
  it.each(['evil.example', 'roan.example.evil.example', 'xroan.example', '1.2.3.4.evil.example', 'localhost.evil', ''])(
    '“%s” is none',
    host => {
      expect(isOwnHost(host, NAMES)).toBe(false);
    },
  );

  it('without a name there is none', () => {
    expect(isOwnHost(null, NAMES)).toBe(false);
    expect(ownNames({}).has('')).toBe(false);
  });
});

describe('a request is refused before anything of it is read', () => {
  const here = { host: 'roan.example' };

  it('for a host that is not Roan’s, also where only a server before it says so', () => {
    expect(asked('GET', { host: 'evil.example' })).toBe(421);
    expect(asked('GET', { ...here, 'x-forwarded-host': 'evil.example' })).toBe(421);
    expect(asked('GET', {})).toBe(421);
    expect(asked('GET', here)).toBeNull();
  });

  it.each<{ from: string; headers: Record<string, string>; status: number | null }>([
    { from: 'another site', headers: { origin: 'https://evil.example' }, status: 403 },
    { from: 'a page without an origin', headers: { origin: 'null' }, status: 403 },
    { from: 'another port of this machine', headers: { origin: 'http://localhost:9999' }, status: 403 },
    { from: 'a site beside it', headers: { 'sec-fetch-site': 'same-site' }, status: 403 },
    { from: 'its own pages', headers: { origin: 'https://roan.example' }, status: null },
    { from: 'a listed name with its port', headers: { origin: 'https://stable.example:8443' }, status: null },
    { from: 'a program', headers: {}, status: null },
    { from: 'an address that was typed', headers: { 'sec-fetch-site': 'none' }, status: null },
  ])('a write from $from: $status', ({ headers, status }) => {
    expect(asked('POST', { ...here, ...headers })).toBe(status);
  });

  it('what is only read may be asked for from anywhere', () => {
    for (const method of ['GET', 'HEAD', 'OPTIONS'])
      expect(asked(method, { ...here, origin: 'https://evil.example' })).toBeNull();
    for (const method of ['PUT', 'DELETE', 'PATCH'])
      expect(asked(method, { ...here, origin: 'https://evil.example' })).toBe(403);
  });

  it('an address that cannot be read is none', () => {
    expect(asked('GET', here, '/plan/%E0%A4%A')).toBe(404);
    expect(asked('GET', here, '/plan/%C3%A9')).toBeNull();
  });
});

test('a page runs its own scripts alone, lies in no frame, and sends its forms home', () => {
  const policy = contentPolicy('abc');
  const rules = Object.fromEntries(policy.split('; ').map(rule => [rule.split(' ')[0], rule.split(' ').slice(1)]));
  expect(rules['script-src']).toEqual(["'self'", "'nonce-abc'", "'strict-dynamic'"]);
  expect(rules['frame-ancestors']).toEqual(["'none'"]);
  expect(rules['object-src']).toEqual(["'none'"]);
  expect(rules['form-action']).toEqual(["'self'"]);
  expect(policy).not.toMatch(/unsafe-eval|script-src[^;]*unsafe-inline|https?:|\*/);
  expect(nonceOf(policy)).toBe('abc');
  expect([nonceOf(null), nonceOf("script-src 'self'")]).toEqual([undefined, undefined]);
});
