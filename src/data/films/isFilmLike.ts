/** How what runs, or is a page or a packet of files, begins. */
const NO_FILM = ['<', '%PDF', 'PK\u0003\u0004', 'MZ', '#!', '\u007fELF', '{', '\ufeff<'];
const LOOKED_AT = 64;

/**
 * Whether what a file holds may be a film: what it says of itself is not believed. A film of any kind begins with bytes of its
 * own, so what is refused is what a browser or a machine would take for something else.
 * @param head - its first bytes
 */
export function isFilmLike(head: Uint8Array): boolean {
  const text = Buffer.from(head.subarray(0, LOOKED_AT)).toString('utf8').trimStart();
  return !NO_FILM.some(begin => text.startsWith(begin));
}
