/** The hand one rides on: on the left rein turns go left and the wall is on the right. */
export type Rein = 'left' | 'right';

export const REINS: readonly Rein[] = ['left', 'right'];

export function otherRein(rein: Rein): Rein {
  return rein === 'left' ? 'right' : 'left';
}

/** The way an arc turns on a rein: left is anticlockwise and positive. */
export function sideOfRein(rein: Rein): 1 | -1 {
  return rein === 'left' ? 1 : -1;
}
