import type { Share } from '../statistics/proportions';

/** Nothing is claimed from fewer passes on a side than this. */
export const LEAST_PASSES = 8;

/** A share as a reader says it; the sign is not parted from its number. */
export const percent = ({ of, hits }: Share): string => `${Math.round((100 * hits) / of)}\u00a0%`;

export const ofAll = ({ of, hits }: Share): string => `${hits} of ${of}`;
