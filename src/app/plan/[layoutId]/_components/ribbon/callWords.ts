import { STEPS_FROM_EASY } from '@/components/FitMark/stepsFromEasy';
import { countName, shownCount, type HorseReading, type StrideWord } from '@/core';

/** How wide a letter of a call is, about. */
const LETTER_PX = 6.1;
/** Below this there is no room for words: the count alone is written. */
const WORDS_PX = 66;

/** What is said of a leg for one horse. `step`: how far from easy, cool (tight) below zero and warm (far) above; null for none. */
export type CallWords = { words: string; step: number | null };

/** What is written of a reading in so much room. */
export function callWords(reading: HorseReading, widthPx: number): CallWords {
  const word = wordOf(reading);
  const words = widthPx > WORDS_PX ? fitting(reading, widthPx) : shortWords(reading);
  return { words, step: word === null ? null : STEPS_FROM_EASY[word] };
}

/** The word for the count that is asked, or for the one nearest to even; null where none is in reach. */
function wordOf({ asked, options }: HorseReading): StrideWord | null {
  if (asked) return asked.word;
  const nearest = [...options].sort((a, b) => Math.abs(Math.log(a.q)) - Math.abs(Math.log(b.q)))[0];
  return nearest?.word ?? null;
}

/** All that is said of a leg: an asked count is judged by itself; without one the call says what lies nearest. */
export function fullWords({ asked, call, zeroIs }: HorseReading): string {
  return asked ? `${asked.word} ${countName(asked.strides, zeroIs)}` : call;
}

/** Where there is no room for all of it: what cannot be ridden never looks as if it were only not rated. */
const CANNOT = 'cannot';

function fitting(reading: HorseReading, widthPx: number): string {
  const words = fullWords(reading);
  if (words.length * LETTER_PX + 22 <= widthPx) return words;
  if (reading.cannot) return CANNOT;
  const between = betweenCounts(reading);
  if (between) return `between ${between}`;
  const count = shownCount(reading);
  const word = wordOf(reading);
  return count === null || word === null ? '–' : `${word} ${shortCount(count, reading)}`;
}

/** A count in figures; no stride at all by its name: a bounce is a bounce. */
const shortCount = (strides: number, { zeroIs }: Pick<HorseReading, 'zeroIs'>): string =>
  strides === 0 ? countName(0, zeroIs) : String(strides);

function shortWords(reading: HorseReading): string {
  if (reading.cannot) return CANNOT;
  const count = shownCount(reading);
  return betweenCounts(reading) ?? (count === null ? '–' : shortCount(count, reading));
}

/** The two counts that a distance lies between, where it is no count at all; null where it is one. */
function betweenCounts({ asked, call, options, zeroIs }: HorseReading): string | null {
  if (asked || !call.startsWith('between')) return null;
  return options.map(({ strides }) => shortCount(strides, { zeroIs })).join('–');
}
