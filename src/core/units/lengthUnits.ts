/** International yard and pound agreement, 1959: exact. */
export const M_PER_FT = 0.3048;
export const M_PER_YD = 0.9144;
export const M_PER_IN = 0.0254;
/** One hand is four inches, exactly. */
export const M_PER_HAND = 0.1016;
export const M_PER_CM = 0.01;

/** The units a user may choose to read lengths in. */
export type LengthUnit = 'm' | 'cm' | 'ft' | 'yd' | 'hands' | 'steps';

export const LENGTH_UNITS: readonly LengthUnit[] = ['m', 'cm', 'ft', 'yd', 'hands', 'steps'];
