import { joinChains, poseAt, type Chain } from '../geometry/chain';
import type { Pose } from '../geometry/pose';
import type { RidePiece } from '../figures/stretch';
import type { ItemTrack, Layout } from './layout';
import type { LayoutEdit } from './layoutEdit';
import type { ReckonedItemTrack, ReckonedTrack } from './reckonedTrack';

/** Where the stops of a track lie on it unrolled, metres from its first. */
export function stopsAlongM({ legs }: ReckonedItemTrack): number[] {
  return legs.reduce<number[]>((along, leg) => [...along, along[along.length - 1]! + leg.trackM], [0]);
}

/** The pieces of a track that are ridden, in order; what is done on the spot is not among them. */
export function chainsOf(track: ReckonedTrack): Chain[] {
  if (track.kind === 'items') return track.legs.map(({ chain }) => chain);
  if (!track.session.ok) return [];
  return track.session.pieces.flatMap((piece: RidePiece) => (piece.kind === 'stretch' ? [piece.chain] : []));
}

/** The pose so far along a track, straight before its beginning for less than none; null on a track without length. */
export function poseOnTrack(track: ReckonedTrack, alongM: number): Pose | null {
  let leftM = Math.max(0, alongM);
  const chains = chainsOf(track);
  if (alongM < 0 && chains[0]) return poseBeyond(chains[0], alongM);
  for (const chain of chains) {
    if (leftM <= chain.lengthM) return poseAt(chain, leftM);
    leftM -= chain.lengthM;
  }
  const last = chains[chains.length - 1];
  return last ? poseAt(last, last.lengthM) : null;
}

/**
 * The edits that slide a stop of a track along it, its way of facing turned with the track.
 * @param byM - forwards; it stops short of its neighbours, and at the ends of the track goes straight on
 */
export function slideStop(
  layout: Layout,
  track: ItemTrack,
  reckoned: ReckonedItemTrack,
  index: number,
  byM: number,
): LayoutEdit[] {
  const stop = track.through[index];
  const item = layout.items.find(({ id }) => id === stop?.item);
  if (!item || !('headingRad' in item)) return [];
  const before = reckoned.legs[index - 1]?.chain;
  const behind = reckoned.legs[index]?.chain;
  const chain = before && behind ? joinChains([before, behind]) : (before ?? behind);
  if (!chain) return [];
  const hereM = before ? before.lengthM : 0;
  const from = poseAt(chain, hereM);
  const to = poseBeyond(chain, hereM + byM);
  const turnedRad = to.headingRad - from.headingRad;
  return [
    {
      kind: 'move-item',
      item: item.id,
      to: { xM: item.at.xM + to.at.xM - from.at.xM, yM: item.at.yM + to.at.yM - from.at.yM },
    },
    { kind: 'turn-item', item: item.id, headingRad: item.headingRad + turnedRad },
  ];
}

/** On a chain, or straight on from its ends. */
function poseBeyond(chain: Chain, alongM: number): Pose {
  const onM = Math.min(chain.lengthM, Math.max(0, alongM));
  const pose = poseAt(chain, onM);
  const restM = alongM - onM;
  return {
    headingRad: pose.headingRad,
    at: {
      xM: pose.at.xM + restM * Math.cos(pose.headingRad),
      yM: pose.at.yM + restM * Math.sin(pose.headingRad),
    },
  };
}
