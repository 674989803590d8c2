import { z } from 'zod';

/** Nothing was done, and why. */
export const refuse = (problem: string) => ({ ok: false as const, fields: {}, problem });

/** What a page or another window still shows, and is there no more. */
export const gone = (what: 'arena' | 'film' | 'horse' | 'layout' | 'lesson' | 'pair' | 'person' | 'version'): string =>
  `This ${what} is not in the yard any more.`;

/** The name of a row, as a page sends it: what it names is looked for in the yard. */
export const Id = z.string().min(1).max(60);
