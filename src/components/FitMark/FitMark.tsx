import type { StrideWord } from '@/core';
import classes from './FitMark.module.css';
import { STEPS_FROM_EASY } from './stepsFromEasy';

/**
 * The word first, then a mark whose bars close in for a tight distance and stand off for a far one, then a tone:
 * nothing is told by colour alone.
 */
export function FitMark({ word }: { word: StrideWord }) {
  const step = STEPS_FROM_EASY[word];
  return (
    <span className={classes.fit} data-step={step}>
      {word}
      <svg viewBox="0 0 24 12" className={classes.mark} aria-hidden="true">
        <line x1={8 - step * 1.8} x2={8 - step * 1.8} y1="1" y2="11" />
        <line x1={16 + step * 1.8} x2={16 + step * 1.8} y1="1" y2="11" />
        <circle cx="12" cy="6" r={1.6} />
      </svg>
    </span>
  );
}
