import { dayOfNumber, PURPOSES, REIN_MEASURES, type Goal } from '@/core';

/** What a form for a goal holds while it is typed: every measure’s own fields, of which one measure’s count. */
export type GoalTyped = {
  words: string;
  purposes: string[];
  /** '' where nothing measures it. */
  measure: '' | 'stage' | 'clean' | 'rein' | 'count' | 'head';
  exercise: string;
  stage: string;
  purpose: string;
  reinMeasure: string;
  rein: string;
  way: string;
  /** '' for any. */
  gait: string;
  /** In 100. */
  percent: number | string;
  byDay: string;
};

export const NO_GOAL: GoalTyped = {
  ...{ words: '', purposes: [], measure: '', exercise: '', stage: '0', purpose: PURPOSES[0] },
  ...{ reinMeasure: REIN_MEASURES[0], rein: 'left', way: 'more', gait: '', percent: 75, byDay: '' },
};

/** A goal as its form has it. */
export function typedGoal({ words, purposes, measure, byDay }: Goal): GoalTyped {
  const own = { ...NO_GOAL, words, purposes: [...purposes], byDay: byDay === null ? '' : dayOfNumber(byDay) };
  if (!measure) return own;
  const share = 'share' in measure ? { percent: Math.round(100 * measure.share) } : {};
  const gait = 'gait' in measure ? { gait: measure.gait ?? '' } : {};
  switch (measure.kind) {
    case 'stage':
      return { ...own, measure: 'stage', exercise: measure.exercise, stage: String(measure.stage) };
    case 'clean':
      return { ...own, ...share, measure: 'clean', purpose: measure.purpose };
    case 'rein':
      return { ...own, ...gait, measure: 'rein', reinMeasure: measure.measure, rein: measure.rein };
    case 'count':
      return { ...own, ...share, measure: 'count', way: measure.way };
    case 'head':
      return { ...own, ...share, ...gait, measure: 'head' };
  }
}
