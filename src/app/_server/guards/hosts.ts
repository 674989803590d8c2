import { hostname } from 'node:os';

const IPV4 = /^\d{1,3}(\.\d{1,3}){3}$/;

/**
 * The names that this Roan answers to besides its addresses: those of this machine, and what ROAN_HOST and ROAN_HOSTS (names
 * with commas between, each with its port where it has one) say.
 */
export function ownNames(environment: Record<string, string | undefined> = process.env): ReadonlySet<string> {
  const machine = hostname().toLowerCase();
  const listed = `${environment.ROAN_HOST ?? ''},${environment.ROAN_HOSTS ?? ''}`.toLowerCase().split(',');
  const names = ['localhost', machine, `${machine}.local`, ...listed.map(name => name.trim())];
  return new Set(names.filter(name => name !== ''));
}

/**
 * Whether a request names a host that is Roan's. A page of another site can have its own name point at this machine and then
 * read as if it were Roan; it cannot do so with an address, and not with a name that is Roan's.
 * @param host - the Host header, with or without a port
 */
export function isOwnHost(host: string | null, names: ReadonlySet<string>): boolean {
  if (host === null) return false;
  const whole = host.toLowerCase();
  const name = whole.replace(/:\d{1,5}$/, '');
  if (names.has(whole) || names.has(name) || name.endsWith('.localhost')) return true;
  return IPV4.test(name) || /^\[[0-9a-f:.]+\]$/.test(name);
}
