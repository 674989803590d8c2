/**
 * The two ways of reckoning a course distance: half a stride to land and half to take off, or two metres each, more or
 * less by height and stride. The yard picks one; each reading says which.
 */
export type School = 'whole-stride' | 'two-metre';

/** How a distance is ridden: as on a course, as in a low grid, or over poles. */
export type Setting = 'course' | 'grid' | 'poles';

export type Approach = 'canter' | 'trot';
