import { hostname, networkInterfaces } from 'node:os';

/** The names and addresses at which other devices reach this machine. */
export function ownPlaces(extra = process.env.ROAN_HOSTS ?? '') {
  const machine = hostname().toLowerCase();
  const listed = extra.split(',').map(name => name.trim().replace(/:\d+$/, '').toLowerCase());
  const names = ['localhost', machine, `${machine}.local`, ...listed].filter(name => /^[a-z0-9.-]+$/.test(name));
  const all = Object.values(networkInterfaces()).flat();
  // An address of one link only is reached by nobody else.
  const addresses = all.filter(one => !/^fe80:/i.test(one.address)).map(({ address }) => address.replace(/%.*$/, ''));
  return { names: [...new Set(names)], addresses: [...new Set(['127.0.0.1', '::1', ...addresses])] };
}

/** The addresses that a phone on the same network types, the likeliest first. */
export function networkAddresses() {
  return Object.values(networkInterfaces())
    .flat()
    .filter(one => one.family === 'IPv4' && !one.internal)
    .map(({ address }) => address);
}
