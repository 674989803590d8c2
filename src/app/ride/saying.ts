import { newId } from '@/components/newId';
import { whoSays } from '@/components/who/whoSays';
import type { Saying } from '@/core';

/** Who says something on this device, and when: what one tap says has one time. */
export function saying(): Saying {
  return { newId, atMs: Date.now(), by: whoSays() };
}
