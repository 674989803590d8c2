import type { RiddenItem } from '../items/item';
import type { Chain } from '../geometry/chain';
import type { ItemTrack, Layout } from '../layout/layout';
import { stopNumbers } from '../layout/stopNumbers';
import type { ReckonedItemTrack } from '../layout/reckonedTrack';
import type { ReckonedLeg } from '../layout/reckonedLeg';
import { countName } from '../stride/callInWords';
import type { Rein } from '../track/rein';

/** One stop of a course as it is called out: what, which way, and how it goes on from there. */
export type CallLine = {
  /** Its number in the course; null for a pole that only helps. */
  number: number | null;
  item: string;
  /** What a person called it; null where nobody did. */
  name: string | null;
  /** "oxer", "pole", "placing pole". */
  what: string;
  fromBehind: boolean;
  /** The way to the next stop, null behind the last: which way it turns, its ground, and the count that is asked. */
  next: { turns: Rein[]; groundM: number; asked: string | null; calls: [string, string][] } | null;
};

/** Which way a track goes on, as it is said: "straight on", "turning left, then right". */
export function turnWords(turns: readonly Rein[]): string {
  return turns.length === 0 ? 'straight on' : `turning ${turns.join(', then ')}`;
}

/** Less turning than this is called straight (common practice, no source). */
const STRAIGHT_RAD = (5 * Math.PI) / 180;

/** A track in the words in which it is called to a rider. `calls` are the horses' names and their words for the distance. */
export function callSheet(layout: Layout, track: ItemTrack, reckoned: ReckonedItemTrack): CallLine[] {
  const numbers = stopNumbers(track, layout.items);
  return track.through.map((stop, index) => {
    const item = layout.items.find(({ id }) => id === stop.item) as RiddenItem;
    const leg = reckoned.legs[index];
    return {
      number: numbers[index] ?? null,
      item: item.id,
      name: item.name,
      what: item.kind === 'fence' ? item.form : numbers[index] === null ? helpWords(layout, track, index) : 'pole',
      fromBehind: stop.reversed,
      next: leg ? nextWay(leg, track.legs[index]!.asked) : null,
    };
  });
}

/** What a pole that only helps is there for. */
function helpWords({ items }: Layout, { through }: ItemTrack, index: number): string {
  const isFence = (at: number) => items.some(({ id, kind }) => id === through[at]?.item && kind === 'fence');
  if (isFence(index - 1)) return isFence(index + 1) ? 'halfway pole' : 'landing pole';
  return isFence(index + 1) ? 'placing pole' : 'pole';
}

function nextWay(leg: ReckonedLeg, asked: number | null): CallLine['next'] {
  return {
    turns: turnsOf(leg.chain),
    groundM: leg.groundM,
    asked: asked === null ? null : countName(asked, leg.readings[0]?.zeroIs ?? 'bounce'),
    calls: leg.readings.map(({ horse, call }) => [horse, call]),
  };
}

/** The turns of a way in order, what goes the same way told once; an S has two, though it ends as it began. */
function turnsOf({ segments }: Chain): Rein[] {
  const turns: { side: Rein; turnRad: number }[] = [];
  for (const segment of segments) {
    if (segment.kind !== 'arc') continue;
    const side = segment.sweepRad > 0 ? 'left' : 'right';
    const last = turns[turns.length - 1];
    if (last?.side === side) last.turnRad += Math.abs(segment.sweepRad);
    else turns.push({ side, turnRad: Math.abs(segment.sweepRad) });
  }
  const said = turns.filter(({ turnRad }) => turnRad >= STRAIGHT_RAD).map(({ side }) => side);
  return said.filter((side, index) => side !== said[index - 1]);
}
