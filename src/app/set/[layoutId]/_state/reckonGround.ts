import { changedLegs, itemsAsSet, layoutLabels, type Layout, type SettingSheet } from '@/core';
import type { GroundTyped } from '@/files/standing';
import { legKey, type Ground, type Typed } from './ground';

/** What was measured makes of the layout: where its pieces are, and which distances and words change. */
export function reckonGround(
  layout: Layout,
  sheet: SettingSheet,
  measureBy: GroundTyped['measureBy'],
  measures: Record<string, Typed>,
  legs: Record<string, Typed>,
): Ground {
  const lengths = Object.entries(measures).flatMap(([id, { lengthM }]) =>
    lengthM === null ? [] : [[id, lengthM] as const],
  );
  const grounds = layout.tracks.flatMap(track =>
    track.kind !== 'items'
      ? []
      : track.legs.flatMap((_, leg) => {
          const groundM = legs[legKey(track.id, leg)]?.lengthM ?? null;
          return groundM === null ? [] : [{ track: track.id, leg, groundM }];
        }),
  );
  if (lengths.length === 0 && grounds.length === 0) return { kind: 'nothing' };
  const typed = { measureBy, measures: Object.fromEntries(lengths), legs: grounds };
  try {
    const asSet = itemsAsSet(layout, sheet, { measures: new Map(lengths), legs: grounds });
    const { inWords } = layoutLabels(layout);
    if (!asSet.ok)
      return { kind: 'faulty', problem: `From ${inWords(asSet.from)} to ${inWords(asSet.to)} cannot be that long.` };
    return { kind: 'measured', items: asSet.items, changes: changedLegs(layout, asSet.items), typed };
  } catch (error) {
    if (error instanceof RangeError)
      return { kind: 'faulty', problem: 'Two pieces would stand on each other: look at the numbers again.' };
    throw error;
  }
}
