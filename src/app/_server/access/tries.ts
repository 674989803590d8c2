import 'server-only';
import { headers } from 'next/headers';
import { RateLimiterMemory } from 'rate-limiter-flexible';

/** Common practice, no source: so many tries in a quarter of an hour, from one place and for one name, and for all together. */
const QUARTER_S = 15 * 60;
const limiters = {
  place: new RateLimiterMemory({ keyPrefix: 'place', points: 10, duration: QUARTER_S }),
  name: new RateLimiterMemory({ keyPrefix: 'name', points: 20, duration: QUARTER_S }),
  all: new RateLimiterMemory({ keyPrefix: 'all', points: 300, duration: QUARTER_S }),
};

/** Where a request comes from, as the server that listens saw it; "here" where nobody told. */
async function placeOf(): Promise<string> {
  return (await headers()).get('x-roan-address') ?? 'here';
}

/** Counts a try; null where it may be made, else how many minutes to wait. */
export async function tryAgainInMin(name: string): Promise<number | null> {
  const place = await placeOf();
  try {
    await limiters.all.consume('all');
    await limiters.place.consume(place);
    await limiters.name.consume(name.trim().toLowerCase().slice(0, 60));
    return null;
  } catch (refused) {
    const waitMs = (refused as { msBeforeNext?: number }).msBeforeNext ?? QUARTER_S * 1000;
    return Math.max(1, Math.ceil(waitMs / 60_000));
  }
}

/** What was tried came right: the place and the name begin anew. */
export async function cameRight(name: string): Promise<void> {
  await Promise.all([
    limiters.place.delete(await placeOf()),
    limiters.name.delete(name.trim().toLowerCase().slice(0, 60)),
  ]);
}
