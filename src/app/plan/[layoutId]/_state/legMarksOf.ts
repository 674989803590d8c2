import { distanceCaseOf, legMarks, type HoofMark, type ItemTrack, type Layout, type ReckonedLeg } from '@/core';

/** A leg that was not touched is the same object as before: its marks are found once. */
const known = new WeakMap<ReckonedLeg, Map<string, HoofMark[]>>();

/** Where a horse lands, strides and takes off on a leg of a track; none where its stride is not known. */
export function legMarksOf(
  layout: Layout,
  track: ItemTrack,
  index: number,
  leg: ReckonedLeg,
  horse: string,
): HoofMark[] {
  const ofLeg = known.get(leg) ?? new Map<string, HoofMark[]>();
  known.set(leg, ofLeg);
  const before = ofLeg.get(horse);
  if (before) return before;
  const reading = leg.readings.find(one => one.horseId === horse);
  const marks = reading ? legMarks(leg, distanceCaseOf(layout, track, index), reading) : [];
  ofLeg.set(horse, marks);
  return marks;
}
