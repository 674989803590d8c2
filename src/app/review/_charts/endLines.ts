/** Room for words behind the end of a line, in the units of a picture. */
export const END_ROOM = 84;
const MOST_LETTERS = 13;

/** Words in lines that fit behind the end of a line. */
export function endLines(words: string): string[] {
  const lines: string[] = [];
  for (const word of words.split(' ')) {
    const last = lines.at(-1);
    if (last !== undefined && last.length + 1 + word.length <= MOST_LETTERS)
      lines[lines.length - 1] = `${last} ${word}`;
    else lines.push(word);
  }
  return lines;
}
