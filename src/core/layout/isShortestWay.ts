import { legTrack } from '../track/leg';
import type { ItemTrack, Layout } from './layout';
import { legEnds, legGroundOf } from './reckonLayout';
import type { ReckonedLeg } from './reckonedLeg';

/** Ways that differ by less than this are the same, metres. */
const SAME_M = 1e-3;

/** Whether a leg that turns has no room to be ridden any rounder than the shortest possible way. */
export function isShortestWay(layout: Layout, track: ItemTrack, leg: number, ridden: ReckonedLeg): boolean {
  const planned = track.legs[leg]!;
  if (planned.circle || planned.track === 'direct' || ridden.smallestRadiusM === null) return false;
  const [from, to] = legEnds(layout, track, leg);
  const direct = legTrack(from, to, { ...planned, track: 'direct' }, legGroundOf(layout, track));
  return direct.ok && Math.abs(direct.chain.lengthM - ridden.chain.lengthM) < SAME_M;
}
