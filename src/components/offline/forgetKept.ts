import { anew } from '@/components/anew';
import { forgetKnown } from '@/components/sync/knownStore';
import { PAGES_CACHE } from '@/files/keptPages';

/** Forgets the pages and records that this device keeps of whoever goes; what waits to be sent stays. */
async function forgetKept(): Promise<void> {
  await forgetKnown().catch(() => undefined);
  if (!('caches' in window)) return;
  const names = await caches.keys();
  await Promise.all(names.filter(name => name.startsWith(PAGES_CACHE)).map(name => caches.delete(name)));
}

/** Goes to a page as somebody else, or in another yard: nothing is left here of the one before but what waits. */
export async function anewWithout(page: string): Promise<void> {
  await forgetKept().catch(() => undefined);
  anew(page);
}
