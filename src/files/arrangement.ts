import type { Item, PlannedTrack } from '@/core';
import { readLayout, writeLayout } from './layoutFile';
import type { LayoutOnPaper } from './layoutOnPaper';

/** Items and tracks for the shelf, about their middle. On paper they are a layout file of their own. */
export type Arrangement = { items: Item[]; tracks: PlannedTrack[] };

/** Only its figures at letters would need an arena, and an arrangement has none. */
const ANY_ARENA = { widthM: 100, lengthM: 100, letters: 'none' } as const;

export function writeArrangement({ items, tracks }: Arrangement): LayoutOnPaper {
  return writeLayout({
    ...{ name: 'arrangement', arena: ANY_ARENA, fall: null, school: 'whole-stride', horses: [], kit: null },
    ...{ items, tracks },
  });
}

/** Reads an arrangement, whole or not at all; says what is wrong and where. */
export function readArrangement(json: unknown): { ok: true; arrangement: Arrangement } | { ok: false; reason: string } {
  const read = readLayout(json);
  if (!read.ok) return read;
  const { items, tracks } = read.layout;
  return { ok: true, arrangement: { items, tracks } };
}
