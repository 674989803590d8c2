import { isOwnHost } from './hosts';

const READS = new Set(['GET', 'HEAD', 'OPTIONS']);

export type RequestFault = { status: number; problem: string };

type Asked = { method: string; url: string; headers: Pick<Headers, 'get'> };

/**
 * Why a request is refused before anything of it is read: a host that is not Roan's, a write that another site sends, an
 * address that cannot be read; null where nothing is wrong. Browsers name the origin of every write, over HTTP too; programs
 * name none, and no page can send as one of them.
 */
export function requestFault({ method, url, headers }: Asked, names: ReadonlySet<string>): RequestFault | null {
  const host = headers.get('host');
  // Only where a server before this one is believed does a request still say what that one was asked as.
  const foreign = [host, headers.get('x-forwarded-host') ?? host].find(name => !isOwnHost(name, names));
  if (foreign !== undefined)
    return {
      status: 421,
      problem: `Roan does not go by the name “${foreign ?? ''}”. If it should, start it with ROAN_HOSTS set to that name.`,
    };
  if (!READS.has(method) && !isFromHere(headers, host!, names))
    return { status: 403, problem: 'Another site may not change this yard.' };
  if (!canBeRead(url)) return { status: 404, problem: 'There is nothing at this address: it cannot be read.' };
  return null;
}

function isFromHere(headers: Asked['headers'], host: string, names: ReadonlySet<string>): boolean {
  const origin = headers.get('origin');
  const site = headers.get('sec-fetch-site');
  if (origin === null) return site === null || site === 'same-origin' || site === 'none';
  if (!URL.canParse(origin)) return false;
  const from = new URL(origin).host.toLowerCase();
  // Behind a server that passes another Host on, the origin is one of the names that were listed, with its port.
  return from === host.toLowerCase() || (from !== 'localhost' && names.has(from));
}

function canBeRead(url: string): boolean {
  try {
    decodeURIComponent(new URL(url, 'http://roan').pathname);
    return true;
  } catch {
    return false;
  }
}
