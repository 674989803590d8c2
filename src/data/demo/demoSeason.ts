import type { Rein, StandInManner } from '@/core';

/** So many weeks of lessons lie behind the demo yard. */
export const SEASON_WEEKS = 24;

type SeasonLessons = {
  name: string;
  layout: string;
  dayOfWeek: number;
  every: number;
  from: number;
  eachRein: number;
  pairs: string[];
  stages: (week: number) => number[] | 'every figure in trot';
};

/**
 * The lessons of a week: on which day of it (1 is Monday), who rides what, which of its stages, and how often on each rein. Every
 * so many weeks, beginning with a week of the season.
 */
export const SEASON_LESSONS: SeasonLessons[] = [
  {
    ...{ name: 'Tuesday, the bend', layout: 'bend', dayOfWeek: 2, every: 2, from: 0, eachRein: 2 },
    pairs: ['ode-quill', 'bas-barley', 'ode-larkspur'],
    /** In the first weeks poles and cross-rails, later what is higher. */
    stages: (week: number) => (week < 8 ? [0, 1] : week < 16 ? [1, 2] : [2, 3]),
  },
  {
    ...{ name: 'Saturday, the course', layout: 'course', dayOfWeek: 6, every: 2, from: 1, eachRein: 4 },
    pairs: ['ode-quill', 'ode-larkspur', 'maud-osprey'],
    stages: () => [0],
  },
  {
    ...{ name: 'Thursday, two fences', layout: 'line', dayOfWeek: 4, every: 2, from: 1, eachRein: 3 },
    pairs: ['ode-quill', 'bas-barley', 'ode-larkspur', 'maud-osprey'],
    stages: () => [0],
  },
  {
    ...{ name: 'Sunday, flat', layout: 'flat', dayOfWeek: 7, every: 3, from: 2, eachRein: 2 },
    pairs: ['neve-thimble', 'bas-barley', 'ode-quill'],
    stages: () => [0],
  },
  {
    ...{ name: 'Sunday, trot poles', layout: 'five-trot', dayOfWeek: 7, every: 4, from: 0, eachRein: 2 },
    pairs: ['ode-quill', 'bas-barley'],
    stages: () => [0],
  },
  {
    ...{ name: 'Wednesday, the flat', layout: 'flat-session', dayOfWeek: 3, every: 2, from: 0, eachRein: 2 },
    pairs: ['ode-quill', 'bas-barley', 'ode-larkspur'],
    stages: () => 'every figure in trot' as const,
  },
  {
    ...{ name: 'Friday, flat walk', layout: 'easy-gaits', dayOfWeek: 5, every: 2, from: 0, eachRein: 2 },
    pairs: ['maud-tansy'],
    stages: () => [0],
  },
  {
    ...{ name: 'Friday, gaits in turn', layout: 'gaits-in-turn', dayOfWeek: 5, every: 2, from: 1, eachRein: 2 },
    pairs: ['maud-tansy'],
    stages: () => [0],
  },
  {
    ...{ name: 'Monday, circles', layout: 'large-and-small', dayOfWeek: 1, every: 2, from: 0, eachRein: 3 },
    pairs: ['bas-fennel'],
    stages: () => [0, 1],
  },
];

/**
 * How a pair really goes, from the first week to the last: its canter stride between fences, metres, how often something
 * goes wrong at a fence, how good its passes are, and how much worse one rein is. Quill comes on, and her left rein with
 * her; Barley gets shorter and worse.
 */
export const SEASON_TRUTH: Record<
  string,
  {
    strideM: [number, number];
    trotStepM: [number, number];
    mishap: [number, number];
    quality: [number, number];
    worseRein: { rein: Rein; times: [number, number] } | null;
    slip?: NonNullable<StandInManner['slip']>;
    gaits?: NonNullable<StandInManner['gaits']>;
  }
> = {
  'ode-quill': {
    ...{ strideM: [3.42, 3.62], trotStepM: [1.33, 1.37], mishap: [0.09, 0.04], quality: [3, 4] },
    worseRein: { rein: 'left', times: [3, 1.1] },
  },
  'bas-barley': {
    ...{ strideM: [3.3, 3.16], trotStepM: [1.26, 1.24], mishap: [0.05, 0.12], quality: [3.6, 2.8], worseRein: null },
    slip: { from: 'right leg', chance: 0.4 },
  },
  'ode-larkspur': {
    ...{ strideM: [3.78, 3.8], trotStepM: [1.45, 1.45], mishap: [0.06, 0.06], quality: [3.4, 3.5] },
    worseRein: { rein: 'right', times: [1.5, 1.5] },
  },
  'maud-osprey': {
    ...{ strideM: [3.95, 3.95], trotStepM: [1.5, 1.5], mishap: [0.03, 0.03], quality: [4, 4.2], worseRein: null },
  },
  'maud-tansy': {
    ...{ strideM: [3.3, 3.3], trotStepM: [1.25, 1.25], mishap: [0.06, 0.05], quality: [3.2, 3.6], worseRein: null },
    /** She paces where the short side at C begins, her head comes up with the speed, and she canters best out of trot. */
    gaits: {
      slip: { at: { xM: 12.4, yM: 40 }, radiusM: 2.5, into: 'pace', chance: 0.5, elsewhere: 0.05 },
      headHigh: { 'flat-walk': 0.1, 'running-walk': 0.6 },
      promptCanter: { 'running-walk': 0.25, trot: 0.85 },
    },
  },
  'bas-fennel': {
    ...{ strideM: [2.9, 2.95], trotStepM: [0.98, 1], mishap: [0.05, 0.05], quality: [3.3, 3.8] },
    worseRein: { rein: 'right', times: [2.5, 2.5] },
  },
  'neve-thimble': {
    ...{ strideM: [2.8, 2.85], trotStepM: [1.0, 1.02], mishap: [0.08, 0.05], quality: [3, 3.6], worseRein: null },
  },
};

/** A place in the field arena that nobody has marked: more goes wrong there, whoever rides. */
export const SEASON_BAD_PLACE = { arena: 'field', at: { xM: 26.25, yM: 38 }, radiusM: 3, chance: 0.24 };
/** One in the lower school, where nothing stands: beside the wall, between E and H. */
export const SEASON_FLAT_PLACE = { arena: 'lower', at: { xM: 1, yM: 26 }, radiusM: 1.5, chance: 0.24 };
