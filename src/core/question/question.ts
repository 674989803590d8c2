import type { ItemTrack } from '../layout/layout';
import type { TrackGait } from '../layout/trackGait';
import type { Rein } from '../track/rein';
import type { BuiltState } from './builtState';

/** Something of a layout that is ridden: one of its tracks, or figures of one of its sessions. */
export type TrackOrFigures =
  { kind: 'track'; trackId: string } | { kind: 'figures'; trackId: string; figureIds: readonly string[] };

/**
 * What a question goes over: a track, figures, a stage of an exercise (and what of the layout that is), or stops that were
 * chosen in order, with the legs between them.
 */
export type QuestionWhat =
  | TrackOrFigures
  | { kind: 'stage'; exerciseId: string; stage: number; over: TrackOrFigures }
  | { kind: 'made'; through: ItemTrack['through']; legs: ItemTrack['legs'] };

/**
 * What is asked over a layout. What stands on the sand is one thing, this is another: one track or figure, over the layout
 * in some state, in a gait, with the counts that are meant.
 */
export type Question = {
  id: string;
  /** What somebody called it; null where what it is says enough. */
  name: string | null;
  what: QuestionWhat;
  state: BuiltState;
  gait: TrackGait;
  /** The rein it is asked on; null for both in turn, and where the track changes the rein. */
  rein: Rein | null;
  /** The count meant for each leg of its track; none, or null, for the horse's own. */
  asked: readonly (number | null)[];
};

/** What was asked in a pass that a device kept from before questions were kept: the version it was ridden over tells. */
export const UNTOLD_QUESTION: Question = {
  ...{ id: 'untold', name: null, what: { kind: 'track', trackId: '' }, gait: 'trot', rein: null, asked: [] },
  state: { out: [], asPole: [], raisedM: {}, heightM: {}, form: {} },
};
