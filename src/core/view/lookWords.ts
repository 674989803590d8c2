import type { LookFacts } from './lookFacts';

/** Less off square than this is not seen. */
const SQUARE_DEG = 3;
/** Less aside than this is straight on. */
const STRAIGHT_DEG = 5;

/**
 * What a rider has before them, in short sentences.
 * @param inWords - what a thing is called in a sentence
 * @param format - a length in the unit of whoever reads
 */
export function lookWords(
  inWords: (itemId: string) => string,
  facts: LookFacts,
  format: (lengthM: number) => string,
): string[] {
  const { next, drawsTheEye } = facts;
  if (!next) return ['Nothing more to ride at.'];
  const asideDeg = degrees(next.asideRad);
  const where =
    Math.abs(asideDeg) < STRAIGHT_DEG
      ? 'straight on'
      : `look ${Math.abs(asideDeg)}° to the ${asideDeg > 0 ? 'left' : 'right'}`;
  const offDeg = degrees(next.offSquareRad);
  return [
    `Next: ${inWords(next.item)} in ${format(next.farM)}, ${where}.`,
    offDeg < SQUARE_DEG
      ? 'Straight at it from here meets it square.'
      : `Straight at it from here would meet it ${offDeg}° off square${straight(next, format)}.`,
    ...(next.hiddenBy ? [`From here ${inWords(next.hiddenBy)} stands before it.`] : []),
    ...(drawsTheEye ? [`${capital(inWords(drawsTheEye))} looks larger and draws the eye.`] : []),
  ];
}

/** How much room the track leaves to come straight. */
function straight({ straightM }: NonNullable<LookFacts['next']>, format: (lengthM: number) => string): string {
  if (!Number.isFinite(straightM)) return '';
  return straightM < 0.5
    ? '; the track turns right up to it'
    : `; the track is straight for the last ${format(straightM)}`;
}

const degrees = (rad: number) => Math.round((rad * 180) / Math.PI);
const capital = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);
