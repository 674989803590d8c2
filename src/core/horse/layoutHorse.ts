import type { LayoutHorse } from '../layout/layout';
import { STRIDE_ENTRY_KEYS } from './strideEntry';
import { profileStride, type HorseProfile } from './strideProfile';

/**
 * A horse as layouts have it, with every stride that is known of it or that practice has for its height, so that a layout
 * stands by itself.
 * @throws {RangeError} a height outside 0.6 to 2.2 m
 */
export function layoutHorse(horse: HorseProfile & Pick<LayoutHorse, 'id' | 'name' | 'level'>): LayoutHorse {
  const { id, name, heightM, type, level } = horse;
  const known = STRIDE_ENTRY_KEYS.flatMap(entry => {
    const stride = profileStride(horse, entry);
    if (!stride) return [];
    const { shortM, normalM, longM, spread } = stride;
    return [[entry, { shortM, normalM, longM, ...(spread === undefined ? {} : { spread }) }] as const];
  });
  return { id, name, heightM, type, level, strides: Object.fromEntries(known) };
}
