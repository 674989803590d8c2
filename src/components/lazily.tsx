import dynamic from 'next/dynamic';
import type { ComponentType } from 'react';
import { NotFetched } from './NotFetched';
import { onceStill } from './onceStill';

/** A connection that was lost comes back, perhaps: a part that did not come is asked for again so often, so long apart. */
const AGAIN_MS = [500, 2000];

export type Part<Props> = { default: ComponentType<Props> };

/**
 * A part of a page that is seen only when it is asked for. It is fetched when the page has nothing else to do, so that it is there before
 * a thumb asks for it; where it cannot be fetched the page stays, and says so in its place. What a page may
 * need when its server is gone a moment later comes with it, or at once (`atOnce`): a pad has its sheets so.
 */
export function lazily<Props extends object>(
  load: () => Promise<Part<Props>>,
  { atOnce = false } = {},
): ComponentType<Props> {
  const fetchNow = () => void load().catch(() => undefined);
  if (typeof window !== 'undefined') {
    if (atOnce) fetchNow();
    else onceStill(fetchNow);
  }
  return dynamic<Props>(() => fetched(load), { ssr: false });
}

/** What was fetched, or what stands in its place. */
export async function fetched<Props extends object>(load: () => Promise<Part<Props>>): Promise<Part<Props>> {
  for (const againMs of [...AGAIN_MS, null]) {
    try {
      return await load();
    } catch {
      if (againMs !== null) await new Promise(resolve => setTimeout(resolve, againMs));
    }
  }
  return { default: NotFetched };
}
