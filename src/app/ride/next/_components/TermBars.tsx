import { Said } from '@/components/Lengths/LengthsProvider';
import { WEIGHTS, type Term, type TermKey } from '@/core';
import classes from './WhatNext.module.css';

/** What each term is called. */
export const TERM_NAMES: Record<TermKey, string> = {
  goal: 'a goal',
  uneven: 'what is uneven',
  earned: 'what was earned',
  since: 'left out',
  change: 'another sort of work',
  fit: 'distances that fit',
  carrying: 'little to carry',
};

const MOST = Math.max(...Object.values(WEIGHTS));

/** What spoke for a suggestion, and how much: the bar is as long as what it added. */
export function TermBars({ terms }: { terms: readonly Term[] }) {
  return (
    <details className={classes.terms}>
      <summary>The numbers behind it</summary>
      <ul>
        {terms.map(({ key, value, words }) => (
          <li key={key}>
            <span>{TERM_NAMES[key]}</span>
            <span className={classes.bar} aria-hidden="true">
              <span style={{ inlineSize: `${(100 * WEIGHTS[key] * value) / MOST}%` }} />
            </span>
            <span className={classes.number}>
              {(WEIGHTS[key] * value).toFixed(1)} of {WEIGHTS[key]}
            </span>
            <span className={classes.quiet}>
              <Said>{words ?? 'says nothing here'}</Said>
            </span>
          </li>
        ))}
      </ul>
    </details>
  );
}
