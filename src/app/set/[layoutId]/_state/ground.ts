import type { Item, LegChange } from '@/core';
import type { GroundTyped } from '@/files/standing';

/** What was typed for one length: nothing yet, a length, or a sentence about what cannot be read. */
export type Typed = { text: string; lengthM: number | null; fault: string | null };

/** What was measured on the ground, as far as it makes a layout. */
export type Ground =
  | { kind: 'nothing' }
  | { kind: 'faulty'; problem: string }
  | { kind: 'measured'; items: Item[]; changes: LegChange[]; typed: GroundTyped };

export const legKey = (track: string, leg: number) => `${track}|${leg}`;
