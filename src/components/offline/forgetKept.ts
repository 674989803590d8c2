import { forgetKnown } from '@/components/sync/knownStore';
import { PAGES_CACHE } from '@/files/keptPages';

/** Forgets the pages and records that this device keeps of whoever goes; what waits to be sent stays. */
export async function forgetKept(): Promise<void> {
  await forgetKnown().catch(() => undefined);
  if (!('caches' in window)) return;
  const names = await caches.keys();
  await Promise.all(names.filter(name => name.startsWith(PAGES_CACHE)).map(name => caches.delete(name)));
}
