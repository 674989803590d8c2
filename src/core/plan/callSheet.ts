import type { RiddenItem } from '../items/item';
import { netTurnRad } from '../geometry/chain';
import type { ItemTrack, Layout } from '../layout/layout';
import type { ReckonedItemTrack, ReckonedLeg } from '../layout/reckonLayout';
import { countInWords } from '../stride/countInWords';

/** One stop of a course as it is called out: what, which way, and how it goes on from there. */
export type CallLine = {
  number: number;
  item: string;
  /** What a person called it; null where nobody did. */
  name: string | null;
  /** "oxer, 0.80 m", or "pole". */
  what: string;
  fromBehind: boolean;
  /** The way to the next stop, null behind the last: which way it turns, how long it is, and the count that is asked. */
  next: { turn: 'straight' | 'left' | 'right'; trackM: number; asked: string | null; calls: [string, string][] } | null;
};

/** Which way a track goes on, as it is said. */
export const TURN_WORDS = { straight: 'straight on', left: 'turning left', right: 'turning right' } as const;

/** Less turning than this is called straight (common practice, no source). */
const STRAIGHT_RAD = (5 * Math.PI) / 180;

/** A track in the words in which it is called to a rider. `calls` are the horses' names and their words for the distance. */
export function callSheet(layout: Layout, track: ItemTrack, reckoned: ReckonedItemTrack): CallLine[] {
  return track.through.map((stop, index) => {
    const item = layout.items.find(({ id }) => id === stop.item) as RiddenItem;
    const leg = reckoned.legs[index];
    return {
      number: index + 1,
      item: item.id,
      name: item.name,
      what: item.kind === 'pole' ? 'pole' : item.form,
      fromBehind: stop.reversed,
      next: leg ? nextWay(leg, track.legs[index]!.asked) : null,
    };
  });
}

function nextWay(leg: ReckonedLeg, asked: number | null): CallLine['next'] {
  const turnRad = netTurnRad(leg.chain);
  return {
    turn: Math.abs(turnRad) < STRAIGHT_RAD ? 'straight' : turnRad > 0 ? 'left' : 'right',
    trackM: leg.trackM,
    asked: asked === null ? null : countInWords(asked),
    calls: leg.readings.map(({ horse, call }) => [horse, call]),
  };
}
