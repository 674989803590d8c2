/** Words as they are compared: small, and without hyphens. */
export const plainWords = (text: string): string => text.toLowerCase().replaceAll(/[-–]/g, ' ');

/** Whether all the words that are looked for are in a text. */
export function hasWords(text: string, words: string): boolean {
  return plainWords(words)
    .split(/\s+/)
    .every(word => text.includes(word));
}
