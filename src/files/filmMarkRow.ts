import { HEAD_HEIGHTS, LEADS, TRACK_GAITS, type FilmMark } from '@/core';
import { z } from 'zod';

const Gait = z.enum([...TRACK_GAITS, 'halt']);

const MOST_LETTERS = 500;

/** What is seen in a film, as it is sent. */
export const FilmMarkOnPaper = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('gait'), ridden: Gait }),
  z.strictObject({ kind: z.literal('asked'), gait: Gait }),
  z.strictObject({ kind: z.literal('head'), height: z.enum(HEAD_HEIGHTS) }),
  z.strictObject({ kind: z.literal('lead'), lead: z.enum(LEADS) }),
  z.strictObject({ kind: z.literal('break') }),
  z.strictObject({ kind: z.literal('stride') }),
  z.strictObject({ kind: z.literal('note'), words: z.string().trim().min(1).max(MOST_LETTERS) }),
]) satisfies z.ZodType<FilmMark>;

export type FilmMarkRow = { kind: FilmMark['kind']; words: string };

/** A mark of a film as the store keeps it: its kind, and the one word that it says. */
export function filmMarkRow(mark: FilmMark): FilmMarkRow {
  switch (mark.kind) {
    case 'gait':
      return { kind: mark.kind, words: mark.ridden };
    case 'asked':
      return { kind: mark.kind, words: mark.gait };
    case 'head':
      return { kind: mark.kind, words: mark.height };
    case 'lead':
      return { kind: mark.kind, words: mark.lead };
    case 'note':
      return { kind: mark.kind, words: mark.words };
    case 'break':
    case 'stride':
      return { kind: mark.kind, words: '' };
  }
}

/** The name under which a mark of each kind says its word. */
const SAYS = { gait: 'ridden', asked: 'gait', head: 'height', lead: 'lead', note: 'words' } as const;

/** A mark as it was kept; null where the store says what this Roan does not know. */
export function readFilmMark({ kind, words }: FilmMarkRow): FilmMark | null {
  const mark = kind === 'break' || kind === 'stride' ? { kind } : { kind, [SAYS[kind]]: words };
  const read = FilmMarkOnPaper.safeParse(mark);
  return read.success ? read.data : null;
}
