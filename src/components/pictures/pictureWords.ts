/** Pictures are drawn this wide: their words are then about as large on a phone as at a desk. */
export const PICTURE_WIDTH = 340;
/** How wide a letter is at most on the mean, in the same units (13 px of a humanist sans; measured). */
const LETTER = 7.4;

/** How much room words take. */
export const roomOf = (words: string): number => words.length * LETTER;

/** Words as far as they have room, with the sign that there are more. */
export function shortened(words: string, room: number): string {
  const most = Math.max(2, Math.floor(room / LETTER));
  return words.length <= most ? words : `${words.slice(0, most - 1).trimEnd()}…`;
}

/** Words in as many lines as they may take, the last one shortened. */
export function wrapped(words: string, room: number, most: number): string[] {
  const lines: string[] = [];
  for (const word of words.split(' ')) {
    const last = lines.at(-1);
    if (last !== undefined && roomOf(`${last} ${word}`) <= room) lines[lines.length - 1] = `${last} ${word}`;
    else lines.push(word);
  }
  const kept = lines.slice(0, most);
  if (lines.length > most) kept[most - 1] = `${kept[most - 1]} ${lines.slice(most).join(' ')}`;
  return kept.map(line => shortened(line, room));
}

/**
 * Which of some marks along a line have room for their words, the last one always.
 * @param marks - where each stands and what is written under its middle, in order
 */
export function withRoom<Mark extends { at: number; words: string }>(marks: readonly Mark[], between = 8): Mark[] {
  const kept: Mark[] = [];
  for (const mark of [...marks].reverse()) {
    const before = kept[0];
    if (!before || before.at - mark.at >= (roomOf(before.words) + roomOf(mark.words)) / 2 + between) kept.unshift(mark);
  }
  return kept;
}

/** Where words in the middle of `at` begin, so that they are not cut off at an edge of the picture. */
export function middleWithin(at: number, words: string): number {
  const half = roomOf(words) / 2;
  return Math.min(PICTURE_WIDTH - half, Math.max(half, at));
}
