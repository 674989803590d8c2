import type { Role } from '@/data/queries/access';

/** Who may come to a page, a route or an action. What names no rule is for instructors alone. */
export type Rule = readonly Role[] | typeof byItsLink;

/** Whoever has its link, or finds it: it looks by itself at what it shows, and shows nothing of the yard without that. */
export const byItsLink = 'by its link';

export const may = {
  /** Plans, changes, restores, lets others in. */
  instruct: ['instructor'],
  /** Sets out, ticks and marks: what a helper does, and the instructor. */
  help: ['instructor', 'helper'],
  /** Whoever is signed in; what a rider reads is looked at by the page itself. */
  read: ['instructor', 'helper', 'rider'],
  /** Reads the sums of yards that tell them. */
  sum: ['instructor', 'office'],
  /** Whoever is signed in, the office too: which yard, and out again. */
  choose: ['instructor', 'helper', 'rider', 'office'],
} as const satisfies Record<string, readonly Role[]>;
