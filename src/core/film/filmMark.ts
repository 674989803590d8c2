import type { TrackGait } from '../layout/trackGait';
import type { HEAD_HEIGHTS, LEADS } from '../record/passMark';

/** What is ridden at a time of a film: a gait, or a halt. */
export type FilmGait = TrackGait | 'halt';

/**
 * One thing seen in a film. A gait, the gait that was asked, and the height of the head hold from their time until the next of
 * their kind; all else is of its time alone.
 */
export type FilmMark =
  | { kind: 'gait'; ridden: FilmGait }
  | { kind: 'asked'; gait: FilmGait }
  | { kind: 'head'; height: (typeof HEAD_HEIGHTS)[number] }
  | { kind: 'lead'; lead: (typeof LEADS)[number] }
  | { kind: 'break' }
  | { kind: 'stride' }
  | { kind: 'note'; words: string };

/** A mark with its time from the beginning of the film, seconds. */
export type TimedFilmMark = { id: string; atS: number } & FilmMark;
