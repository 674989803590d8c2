/** How much each term weighs (practice of this yard’s rule, not of the trade); docs/suggestions.md says how they did. */
export const WEIGHTS = {
  goal: 3,
  uneven: 2.5,
  earned: 2,
  since: 2,
  change: 1,
  fit: 1,
  carrying: 0.5,
} as const;

export type TermKey = keyof typeof WEIGHTS;
export const TERM_KEYS = Object.keys(WEIGHTS) as TermKey[];
