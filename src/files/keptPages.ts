/** A page that a device keeps for when the server cannot be reached. */
export type PageToKeep = {
  /** Its address, with nothing of the host. */
  href: string;
  /** What it shows, in a few words: it is found by them where the server is not. */
  words: string;
  /** Another one as soon as the page would be another one: with the same it is not asked for again. */
  stamp: string;
};

/** What a device keeps, and for whom: of somebody else, or of another yard, nothing is left of the one before. */
export type KeepList = { owner: string; pages: PageToKeep[] };

/** Pages are kept apart for each build: an old page names files of its own build. */
export const PAGES_CACHE = 'roan-pages-';
/** Files of the build before, as long as a page of it may be open. */
export const FILES_BEFORE = 'roan-files-before';

/** What a kept answer says of itself. */
export const KEPT_AT = 'x-roan-kept-at';
export const KEPT_STAMP = 'x-roan-stamp';
/** The words a page goes by, encoded as in an address. */
export const KEPT_WORDS = 'x-roan-words';

/** What a page says to the worker that keeps pages, and what that answers to all pages. */
export const KEEP = 'roan-keep';
export const KEPT = 'roan-kept-anew';

/** The address of what is kept to say whose it is. */
export const OWNER_URL = '/roan-owner';

/** Which pages are kept by being looked at: those that are used where no signal is. */
export function isForTheArena(pathname: string): boolean {
  return /^\/(today|ride|set|waiting|mine|yard\/horses\/[^/]+\/test)(\/|$)/.test(pathname);
}
