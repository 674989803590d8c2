/**
 * Which way a track was ridden: as it is drawn; the other way round, from its last stop to its first; or on its mirror image,
 * which was set, or, on the flat, simply ridden.
 */
export const RIDE_DIRECTIONS = ['as-drawn', 'other-way', 'mirrored'] as const;
export type RideDirection = (typeof RIDE_DIRECTIONS)[number];
