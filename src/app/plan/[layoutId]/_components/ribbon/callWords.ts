import { STEPS_FROM_EASY } from '@/components/FitMark/stepsFromEasy';
import { countName, nearestToEven, type HorseReading, type StrideWord } from '@/core';
import type { LegChances } from '../chances';

/**
 * One thing that is said of a leg for one horse: an option with how far it is from easy, cool (tight) below zero and warm (far)
 * above, and how likely the horse is to do it by itself; null where there is none.
 */
export type CallLine = { words: string; step: number | null; chance: number | null };

/** All that is said of a leg: an asked count is judged by itself; without one the call says what lies nearest. */
export function fullWords({ asked, call, zeroIs }: HorseReading): string {
  return asked ? `${asked.word} ${countName(asked.strides, zeroIs)}` : call;
}

const UNRATED = 'not rated';
const isEasy = (word: StrideWord) => word === 'easy';
const isComfortable = (word: StrideWord) => word === 'quiet' || word === 'easy' || word === 'forward';

/** What is said of a leg, an option a line: what is asked, or every option that the call names. */
export function callLines(reading: HorseReading, chances: LegChances): CallLine[] {
  const { asked, options, cannot, call, zeroIs } = reading;
  if (cannot) return [{ words: 'cannot be ridden', step: null, chance: null }];
  const chanceOf = (strides: number) => chances.find(one => one.strides === strides)?.chance ?? null;
  const line = ({ strides, word }: Option, before = ''): CallLine => ({
    words: `${before}${word} ${countName(strides, zeroIs)}`,
    step: STEPS_FROM_EASY[word],
    chance: chanceOf(strides),
  });
  if (asked) {
    const better = isEasy(asked.word)
      ? null
      : nearestToEven(options.filter(({ strides }) => strides !== asked.strides));
    return [line(asked), ...(better && isComfortable(better.word) ? [line(better, 'else ')] : [])];
  }
  if (call === UNRATED) return [];
  const named = options.filter(({ strides, word }) => call.includes(`${word} ${countName(strides, zeroIs)}`));
  if (call.startsWith('between'))
    return options.map((option, index) => ({
      words: `${index === 0 ? 'between' : 'and'} ${countName(option.strides, zeroIs)}`,
      step: STEPS_FROM_EASY[option.word],
      chance: chanceOf(option.strides),
    }));
  return named.map((option, index) => line(option, index === 0 ? '' : 'or '));
}

type Option = { strides: number; q: number; word: StrideWord };
