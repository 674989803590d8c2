const WORDS = [
  'none',
  'one',
  'two',
  'three',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
  'ten',
  'eleven',
  'twelve',
];

/** A count as it is said: in words up to twelve, in figures beyond. */
export function countInWords(count: number): string {
  return WORDS[count] ?? String(count);
}
