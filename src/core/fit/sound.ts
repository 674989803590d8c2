import type { CautionLimits } from '../cautions/cautionLimits';
import { CAUTION_RULES } from '../cautions/layoutCautions';
import type { Layout } from '../layout/layout';
import { layoutReckoner, reckonLayout } from '../layout/reckonLayout';
import type { ReckonedTrack } from '../layout/reckonedTrack';

/** A caution that must not come about: what it is, what it says of what, and the items it is about. */
type Alarm = { code: string; key: string; items: readonly string[] };

/** A turn that cannot be ridden takes long to mend, and is only counted here. */
const COUNTED = 'cannot-be-ridden';

/**
 * Looks whether states of a layout raise a caution of level stop or warn that the first of them did not.
 * @returns for a state the items of the cautions it raises, caution by caution
 */
export function soundness(first: Layout, limits: CautionLimits): (layout: Layout) => Generator<readonly string[]> {
  // From one state to the next most legs stay as they are.
  const reckon = layoutReckoner();
  const alarmsOf = (layout: Layout) => alarmsIn(layout, reckon(layout), limits);
  const known = new Set([...alarmsOf(first)].map(({ key }) => key));
  return function* (layout) {
    for (const { key, items } of alarmsOf(layout)) if (!known.has(key)) yield items;
  };
}

/** A distance is cautioned for a horse: the same leg for another horse is another caution. */
function whoseIs(code: string, text: string): string {
  const isRead = code === 'between' || code === 'too-tight' || code === 'too-far';
  return isRead ? (/ for (.+?)\.$/.exec(text)?.[1] ?? '') : '';
}

/** The cautions of level stop and warn of a layout. */
function* alarmsIn(layout: Layout, tracks: readonly ReckonedTrack[], limits: CautionLimits): Generator<Alarm> {
  for (const track of tracks)
    if (track.kind === 'items')
      for (const [leg, { from, to, readings }] of track.legs.entries())
        for (const { horseId, cannot } of readings)
          if (cannot) yield { code: COUNTED, key: `${COUNTED} ${track.id} ${leg} ${horseId}`, items: [from, to] };
  for (const rule of CAUTION_RULES) {
    if (rule.code === COUNTED) continue;
    for (const { code, level, items, place, text } of rule.find({ layout, tracks, limits })) {
      if (level === 'note') continue;
      const of = [...items].sort().join();
      yield { code, key: `${code} ${place.track} ${place.part} ${whoseIs(code, text)} ${of}`, items };
    }
  }
}

/** How many cautions of level stop and warn a layout has, by what they are. */
export function alarmCodes(layout: Layout, limits: CautionLimits): Map<string, number> {
  const counts = new Map<string, number>();
  for (const { code } of alarmsIn(layout, reckonLayout(layout), limits)) counts.set(code, (counts.get(code) ?? 0) + 1);
  return counts;
}
