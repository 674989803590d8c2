/** So many days or weeks are seen in one picture; the numbers have all of them. */
const MOST_SEEN = 60;

/** The latest of what a picture has room for, and what is said where that is not all. */
export function latest<Value>(all: readonly Value[], what: string): { seen: Value[]; words: string } {
  const seen = all.slice(-MOST_SEEN);
  return { seen, words: all.length > MOST_SEEN ? ` The latest ${MOST_SEEN} ${what}; the numbers have all.` : '' };
}
