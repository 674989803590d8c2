import { z } from 'zod';

export const MANIFEST_FILE = 'roan-archive.json';

const Hash = z.string().regex(/^[0-9a-f]{64}$/);

/** What an archive says of itself. */
export const Manifest = z.strictObject({
  format: z.literal('roan-archive'),
  /** 2 keeps what was asked, 3 what was changed afterwards; older archives are brought over when they are restored. */
  version: z.literal([1, 2, 3]),
  madeAt: z.string().max(40),
  yard: z.string().max(200),
  /** SHA-256 of each file that is restored. */
  files: z.record(z.string().max(200), Hash),
  rows: z.record(z.string().max(60), z.number().int().min(0)),
});
export type Manifest = z.infer<typeof Manifest>;
