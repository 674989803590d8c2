import 'server-only';
import { AsyncLocalStorage } from 'node:async_hooks';
import { cookies, headers } from 'next/headers';
import type { NextRequest } from 'next/server';
import { oneForAll } from '@/data/oneForAll';

const asking = oneForAll('what is asked past the framework', () => new AsyncLocalStorage<NextRequest>());

/** Answers a request that did not come through the framework: what it carries is told by the request itself. */
export const askedBy = <Result>(request: NextRequest, work: () => Promise<Result>): Promise<Result> =>
  asking.run(request, work);

/** The headers of what is asked now. */
export async function askedHeaders(): Promise<Pick<Headers, 'get'>> {
  return asking.getStore()?.headers ?? (await headers());
}

/** What a device carries under a name; null where it carries nothing. */
export async function carriedCookie(name: string): Promise<string | null> {
  const carried = asking.getStore()?.cookies ?? (await cookies());
  return carried.get(name)?.value ?? null;
}
