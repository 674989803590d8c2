import { z } from 'zod';

export const MANIFEST_FILE = 'roan-archive.json';

/**
 * The version that is written. 2 keeps what was asked, 3 what was changed afterwards, 4 has its films by their hash,
 * 5 what was said to riders at the end of a lesson, 6 how each pass of a stride test went, 7 goals and refused suggestions, 8 films of a
 * pair and a day, with their pictures and answers.
 */
export const NEWEST_VERSION = 8;

const Hash = z.string().regex(/^[0-9a-f]{64}$/);

/** What an archive says of itself. Older archives are brought over when they are restored. */
export const Manifest = z.strictObject({
  format: z.literal('roan-archive'),
  version: z.literal([1, 2, 3, 4, 5, 6, 7, 8]),
  madeAt: z.string().max(40),
  yard: z.string().max(200),
  /** SHA-256 of each file that is restored; before version 4 its films were among them. */
  files: z.record(z.string().max(200), Hash),
  /** The films by their SHA-256, with their length in bytes: in the archive under films/, or beside it. */
  films: z.record(Hash, z.number().int().min(1)).default({}),
  rows: z.record(z.string().max(60), z.number().int().min(0)),
});
export type Manifest = z.infer<typeof Manifest>;

export const filmEntry = (hash: string) => `films/${hash}`;
