import type { ExerciseParams } from '../exercises/exercise';
import type { Pose } from '../geometry/pose';
import type { Item } from '../items/item';
import type { LayoutHorse, PlannedTrack } from '../layout/layout';
import type { School } from '../stride/school';
import type { Rein } from '../track/rein';

/** An exercise of the shelf as it was put on the sand. It stays parametric: its items follow horses and parameters. */
export type PlacedRecipe = {
  id: string;
  name: string | null;
  kind: string;
  rein: Rein;
  params: ExerciseParams;
  place: Pose;
  /** The horses it is laid out for, by their ids in the yard; null for the whole group. */
  horseIds: string[] | null;
  /** The session of figures it is ridden in, one after the other; null for a track of its own. */
  session: string | null;
};

/**
 * A layout as it is designed: exercises that stay parametric, and items and tracks laid by hand. The layout that is
 * reckoned, set and ridden is made from it.
 */
export type Plan = {
  school: School;
  /** The horses of the lesson, by their ids in the yard. */
  groupIds: string[];
  items: Item[];
  tracks: PlannedTrack[];
  exercises: PlacedRecipe[];
  /** What may not be moved: ids of items and of exercises. */
  lockedIds: string[];
};

export type PlanHorse = LayoutHorse;

export const EMPTY_PLAN: Plan = {
  school: 'whole-stride',
  groupIds: [],
  items: [],
  tracks: [],
  exercises: [],
  lockedIds: [],
};
