import {
  chanceOfCount,
  countedGroundM,
  countName,
  distanceCaseOf,
  layoutStride,
  settingAt,
  type ItemTrack,
  type Layout,
  type LayoutHorse,
  type ReckonedLeg,
} from '@/core';

export type LegChances = { strides: number; chance: number; zeroIs: 'bounce' | 'step' }[];

/** Less than this is not worth a word. */
const LEAST_CHANCE = 0.02;

/** How likely each count of a leg is for a horse left to itself, likeliest first; none where it cannot be ridden. */
export function chancesOf(
  layout: Layout,
  track: ItemTrack,
  leg: number,
  reckoned: ReckonedLeg,
  horse: LayoutHorse,
): LegChances {
  const stride = layoutStride(horse, track.gait, settingAt(track.gait, track.legs[leg]!));
  const reading = reckoned.readings.find(one => one.horseId === horse.id);
  if (!stride || !reading || reading.cannot) return [];
  const distance = distanceCaseOf(layout, track, leg);
  const middle = Math.max(0, Math.round(reading.evenCount));
  return [-2, -1, 0, 1, 2]
    .map(by => middle + by)
    .filter(strides => strides >= 0)
    .map(strides => ({
      strides,
      zeroIs: reading.zeroIs,
      chance: chanceOfCount(reading.ownLine?.groundM ?? countedGroundM(reckoned), strides, distance, stride),
    }))
    .filter(({ chance }) => chance >= LEAST_CHANCE)
    .sort((a, b) => b.chance - a.chance);
}

/** "five 78 %, six 21 %". */
export function chanceWords(chances: LegChances): string {
  return chances
    .map(({ strides, chance, zeroIs }) => `${countName(strides, zeroIs)} ${Math.round(chance * 100)} %`)
    .join(', ');
}
