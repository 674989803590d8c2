export type CautionLevel = 'stop' | 'warn' | 'note';

export type CautionCode =
  | 'too-tight'
  | 'too-far'
  | 'between'
  | 'uneven-row'
  | 'combination-length'
  | 'wall-near'
  | 'run-up-short'
  | 'landing-short'
  | 'not-straight'
  | 'tight-turn'
  | 'against-slope'
  | 'off-arena'
  | 'overlap'
  | 'one-way-from-behind'
  | 'false-ground-line'
  | 'placing-pole'
  | 'too-many-efforts'
  | 'small-circle-long'
  | 'leg-yield-steep'
  | 'kit-short'
  | 'no-natural-track'
  | 'cannot-be-ridden'
  | 'in-the-line'
  | 'in-the-landing'
  | 'beside-the-line'
  | 'landing-pole-near'
  | 'ground-line-far'
  | 'thing-near'
  | 'gait-poles'
  /** A count of a stage of an exercise: found with the plan, for a layout alone has no stages. */
  | 'stage-count';

/** Where on a layout a caution is: the track, and the leg or figure in it, counted from 0; null where it is neither. */
export type CautionPlace = { track: string | null; part: number | null };

/** One thing to look at before anybody rides: what, where, how bad, and what would mend it in words. */
export type Caution = {
  code: CautionCode;
  level: CautionLevel;
  items: string[];
  place: CautionPlace;
  text: string;
  mend: string;
};

/** A caution about the layout as a whole, or about items wherever they are ridden. */
export const NOWHERE: CautionPlace = { track: null, part: null };
