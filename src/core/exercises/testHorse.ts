import type { LayoutHorse } from '../layout/layout';

const FT = 0.3048;

/** For tests: a medium horse of common practice: 12 ft between fences, 10 ft over canter poles, steps of 4 ft 6 in. */
export const TWELVE_FT: LayoutHorse = {
  ...{ id: 'Juniper', name: 'Juniper', heightM: 1.6, type: 'all-round', level: 'novice' },
  strides: {
    'course-canter': { shortM: 12 * FT * 0.85, normalM: 12 * FT, longM: 12 * FT * 1.12 },
    'canter-poles': { shortM: 10 * FT * 0.75, normalM: 10 * FT, longM: 10 * FT * 1.12 },
    'trot-poles': { shortM: 4.5 * FT * 0.75, normalM: 4.5 * FT, longM: 4.5 * FT * 1.12 },
  },
};
