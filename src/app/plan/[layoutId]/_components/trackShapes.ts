import { hoofShapes } from '@/components/Sand/hoofShapes';
import { paperFrame } from '@/components/Sand/paperFrame';
import type { SandView } from '@/components/Sand/sandView';
import type { Shape } from '@/components/Sand/shape';
import { chainPath, chainsPath, wayPoses } from '@/components/Sand/trackPath';
import {
  chainsOf,
  laneStride,
  strideMarks,
  type Chain,
  type ItemTrack,
  type Layout,
  type LayoutHorse,
  type ReckonedFigureTrack,
  type ReckonedLeg,
  type ReckonedTrack,
} from '@/core';
import { legMarksOf } from '../_state/legMarksOf';
import type { LegPlace } from '../_state/selection';

/** How the sand is seen: the metres of paper of its text among it. */
export type Seen = { view: SandView; textM: number };

export type LegOnSand = {
  layout: Layout;
  track: ItemTrack;
  index: number;
  leg: ReckonedLeg;
  /** The track that is looked at is drawn stronger, with the way it is ridden. */
  chosen: boolean;
  /** Whose strides are shown. */
  horse: string | null;
  marked: boolean;
};

/** A layout as it is looked at. */
export type InSight = {
  layout: Layout;
  tracks: readonly ReckonedTrack[];
  /** The track that is looked at: its strides are shown. */
  chosenTrack: string | null;
  horse: LayoutHorse | null;
  /** The leg that is selected, or pointed at. */
  marked: LegPlace | null;
};

/** The legs of a track as they lie on the sand. */
export function legsOnSand({ layout, tracks, chosenTrack, horse, marked }: InSight, id: string): LegOnSand[] {
  const planned = layout.tracks.find(one => one.id === id);
  const track = tracks.find(one => one.id === id);
  if (track?.kind !== 'items' || planned?.kind !== 'items') return [];
  const chosen = id === chosenTrack;
  return track.legs.map((leg, index) => ({
    ...{ layout, track: planned, index, leg, chosen },
    horse: chosen ? (horse?.id ?? null) : null,
    marked: marked?.track === id && marked.leg === index,
  }));
}

/** A leg of a track: its line, which way it is ridden, and the strides of a horse. */
export function legShapes({ layout, track, index, leg, chosen, horse, marked }: LegOnSand, seen: Seen): Shape[] {
  const d = chainPath(seen.view, leg.chain);
  const marks = horse === null ? [] : legMarksOf(layout, track, index, leg, horse);
  const strideM = leg.groundM / Math.max(1, marks.length);
  return [
    ...(marked ? [{ kind: 'path' as const, d, look: 'markedLeg' as const, strokeM: seen.textM * 0.3 }] : []),
    wayShape(d, chosen, seen),
    ...(chosen ? [headShape([leg.chain], seen)] : []),
    ...hoofShapes(marks, strideM, seen),
  ];
}

/** A session of figures on the flat: its line, and the strides of a horse; what is done on the spot is drawn beside it. */
export function sessionShapes(
  track: ReckonedFigureTrack,
  { chosen, horse }: { chosen: boolean; horse: LayoutHorse | null },
  seen: Seen,
): Shape[] {
  const chains = chainsOf(track);
  const pieces = track.session.ok ? track.session.pieces : [];
  const strides = horse ? strideMarks(pieces, gait => laneStride(horse, gait)) : [];
  return [
    wayShape(chainsPath(seen.view, chains), chosen, seen),
    ...(chosen ? [headShape(chains, seen)] : []),
    ...hoofShapes(strides, strides[0]?.strideM ?? 1, seen),
  ];
}

function wayShape(d: string, chosen: boolean, { textM }: Seen): Shape {
  return { kind: 'path', d, look: chosen ? 'chosenWay' : 'way', strokeM: textM * (chosen ? 0.14 : 0.1) };
}

const HEADS_EVERY_M = 9;

/** Which way it is ridden: heads along the track, in one shape. */
function headShape(chains: readonly Chain[], { view, textM }: Seen): Shape {
  const sizeM = textM * 0.8;
  const heads = wayPoses(chains, HEADS_EVERY_M).map(pose => {
    const { at } = paperFrame(view, pose);
    return `M${at(-0.4 * sizeM, -0.34 * sizeM)}L${at(0.2 * sizeM, 0)}L${at(-0.4 * sizeM, 0.34 * sizeM)}`;
  });
  return { kind: 'path', d: heads.join(''), look: 'head', strokeM: sizeM * 0.2 };
}
