import { countInWords, shownCount, type HorseReading, type StrideWord } from '@/core';
import { memo } from 'react';
import classes from './Ribbon.module.css';

type CallMarkProps = {
  reading: HorseReading;
  xPx: number;
  yPx: number;
  widthPx: number;
  hasRoom: boolean;
  title: string;
};

/** How far from easy, cool (tight) below zero and warm (far) above. */
const STEPS_FROM_EASY: Record<StrideWord, number> = {
  'too tight': -3,
  short: -2,
  quiet: -1,
  easy: 0,
  forward: 1,
  long: 2,
  'too far': 3,
};

const LETTER_PX = 6.1;

/** The call of a leg in words, then its mark: bars that close in where it is tight and stand off where it is far. */
export const CallMark = memo(function CallMark({ reading, xPx, yPx, widthPx, hasRoom, title }: CallMarkProps) {
  const word = wordOf(reading);
  const step = word === null ? null : STEPS_FROM_EASY[word];
  const words = hasRoom ? fitting(reading, widthPx) : shortWords(reading);
  const markPx = xPx - (words.length * LETTER_PX) / 2 - 8;
  return (
    <g className={classes.call} data-step={step ?? undefined}>
      <title>{title}</title>
      {hasRoom && step !== null && (
        <path d={`M${markPx - 3 + step * 0.9} ${yPx - 5}v10M${markPx + 3 - step * 0.9} ${yPx - 5}v10`} />
      )}
      <text x={hasRoom ? xPx + 4 : xPx} y={yPx} dy="0.35em">
        {words}
      </text>
    </g>
  );
});

/** The word for the count that is asked, or for the one the call is about; null where none is in reach. */
function wordOf({ asked, options }: HorseReading): StrideWord | null {
  if (asked) return asked.word;
  const nearest = [...options].sort((a, b) => Math.abs(Math.log(a.q)) - Math.abs(Math.log(b.q)))[0];
  return nearest?.word ?? null;
}

/** An asked count is judged by itself; without one the call says what lies nearest. */
function fullWords({ asked, call }: HorseReading): string {
  return asked ? `${asked.word} ${asked.strides === 0 ? call.split(' ').pop() : countInWords(asked.strides)}` : call;
}

function fitting(reading: HorseReading, widthPx: number): string {
  const words = fullWords(reading);
  if (words.length * LETTER_PX + 22 <= widthPx) return words;
  const between = betweenCounts(reading);
  if (between) return `between ${between}`;
  const count = shownCount(reading);
  const word = wordOf(reading);
  return count === null || word === null ? '–' : `${word} ${count}`;
}

function shortWords(reading: HorseReading): string {
  const count = shownCount(reading);
  return betweenCounts(reading) ?? (count === null ? '–' : String(count));
}

/** The two counts that a distance lies between, where it is no count at all; null where it is one. */
function betweenCounts({ asked, call, options }: HorseReading): string | null {
  if (asked || !call.startsWith('between')) return null;
  return options.map(({ strides }) => strides).join('–');
}
